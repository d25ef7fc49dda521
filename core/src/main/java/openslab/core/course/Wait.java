package openslab.core.course;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import openslab.core.air.SlabHistory;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;

/** What has to pass before a step is through: seconds or days, by the clock, by the slab's temperature, or until it looks so. */
public sealed interface Wait {
    /** Nothing has to pass. */
    Wait NONE = new Fixed(0);

    /** So many minutes; half a one is a wait like any other. */
    record Fixed(double minutes) implements Wait {
        @Override
        public Timer from(Instant began, SlabHistory slab) {
            return new Timer(began, Optional.of(after(began, minutes)), Optional.empty(), Optional.empty());
        }

        @Override
        public String words() {
            return minutes == 0 ? "" : span(minutes);
        }
    }

    /** As a sheet's clock has it at the slab's temperature. */
    record ByTemperature(Timing timing) implements Wait {
        @Override
        public Timer from(Instant began, SlabHistory slab) {
            OptionalDouble slabC = slab.nearest(began);
            OptionalDouble minutes = slabC.isPresent() ? timing.minutes(slabC.getAsDouble()) : OptionalDouble.empty();
            return new Timer(
                    began,
                    minutes.isPresent() ? Optional.of(after(began, minutes.getAsDouble())) : Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }

        @Override
        public String words() {
            return "as the slab has it";
        }
    }

    /** Something has to be done while it lasts: too early and too late are as bad. */
    record Window(Timing opens, Timing closes, String until) implements Wait {
        @Override
        public Timer from(Instant began, SlabHistory slab) {
            OptionalDouble slabC = slab.nearest(began);
            return new Timer(began, at(began, opens, slabC), Optional.empty(), at(began, closes, slabC));
        }

        private static Optional<Instant> at(Instant began, Timing timing, OptionalDouble slabC) {
            OptionalDouble minutes = slabC.isPresent() ? timing.minutes(slabC.getAsDouble()) : OptionalDouble.empty();
            return minutes.isPresent() ? Optional.of(after(began, minutes.getAsDouble())) : Optional.empty();
        }

        @Override
        public String look() {
            return until;
        }

        @Override
        public String words() {
            return "a window that opens and closes as the slab has it";
        }
    }

    /**
     * Until it looks so, and nobody can say when.
     *
     * @param lookMin minutes until the first look
     * @param usualMin minutes after which it is usually through, never less than {@code lookMin}
     */
    record Open(double lookMin, double usualMin, String until) implements Wait {
        @Override
        public Timer from(Instant began, SlabHistory slab) {
            return new Timer(
                    began, Optional.of(after(began, lookMin)), Optional.of(after(began, usualMin)), Optional.empty());
        }

        @Override
        public String look() {
            return until;
        }

        @Override
        public String words() {
            return "usually " + span(usualMin) + ", first look after " + span(lookMin);
        }
    }

    /** Minutes by temperature; empty outside of what is known. */
    @FunctionalInterface
    interface Timing {
        OptionalDouble minutes(double slabC);
    }

    /**
     * A wait that has begun.
     *
     * @param ready when it is through, or first looked at; empty where no temperature says when
     * @param usual when it is usually through, where only a look can tell
     * @param closes when it is too late, where that can be
     */
    record Timer(Instant started, Optional<Instant> ready, Optional<Instant> usual, Optional<Instant> closes) {}

    Timer from(Instant began, SlabHistory slab);

    /** How long it takes, in words; empty where nothing has to pass. */
    String words();

    /** What a look has to show, where no clock can tell; empty where one can. */
    default String look() {
        return "";
    }

    /** Whether anything has to pass at all. */
    default boolean isAny() {
        return !equals(NONE);
    }

    private static String span(double minutes) {
        if (minutes < 1) {
            return Math.round(minutes * 60) + " s";
        }
        return minutes < 60
                ? Math.round(minutes) + " min"
                : Show.number(Unit.HOUR.fromBase(minutes), minutes % 60 == 0 ? 0 : 1) + " h";
    }

    private static Instant after(Instant began, double minutes) {
        return began.plusMillis(Math.round(minutes * 60_000));
    }
}

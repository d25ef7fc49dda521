package openslab.core.job;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import openslab.core.cure.CureTime;
import openslab.core.cure.Readiness;
import openslab.core.cure.Spell;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** When each layer starts, from what was logged, what was planned, and what the layer below allows. */
final class LayerSchedule {
    record Slot(LayerReport.Started started, Optional<Instant> start, List<LayerReport.TimedClock> clocks) {
        Optional<Instant> at(Clock clock) {
            return clocks.stream().filter(c -> c.clock() == clock).findFirst().flatMap(LayerReport.TimedClock::at);
        }
    }

    static final String NO_SLAB = "No slab temperature is known: read air and slab first.";

    private LayerSchedule() {}

    /**
     * @param coated whether all of it is on
     * @param below the slot of the nearest liquid layer beneath, which a broadcast lies in and a coat waits for
     */
    static Slot of(
            LayerChoice layer, boolean coated, Optional<Slot> below, ZoneFacts zone, UnitSystem system, Instant now) {
        if (coated) {
            Optional<Instant> on = zone.newest(LogEntry.Kind.COAT, layer.id()).map(LogEntry::at);
            return slot(LayerReport.Started.COATED, on, layer.sheet(), zone, system, now);
        }
        if (layer.plannedStart().isPresent()) {
            return slot(LayerReport.Started.PLANNED, layer.plannedStart(), layer.sheet(), zone, system, now);
        }
        boolean broadcast = layer.isBroadcast();
        Optional<Instant> earliest = below.flatMap(b -> broadcast ? b.start() : b.at(Clock.RECOAT_OPENS));
        var started = earliest.isPresent() ? LayerReport.Started.RECKONED : LayerReport.Started.UNKNOWN;
        return slot(started, earliest, layer.sheet(), zone, system, now);
    }

    private static Slot slot(
            LayerReport.Started started,
            Optional<Instant> start,
            ProductSheet sheet,
            ZoneFacts zone,
            UnitSystem system,
            Instant now) {
        if (sheet.broadcast().isPresent()) {
            return new Slot(started, start, List.of());
        }
        OptionalDouble slabC = slabC(started, start.orElse(now), zone);
        List<LayerReport.TimedClock> clocks = Arrays.stream(Clock.values())
                .filter(c -> sheet.curve(c).isPresent())
                .filter(c -> c != Clock.RAIN)
                .map(clock -> clock(clock, start, sheet, slabC, system))
                .toList();
        return new Slot(
                started,
                start,
                Stream.concat(clocks.stream(), rain(start, sheet, zone, slabC, system).stream())
                        .toList());
    }

    /** Until rain does no harm: where it rains, by the sheet's times, or by the one time that it says beside them. */
    private static Optional<LayerReport.TimedClock> rain(
            Optional<Instant> start, ProductSheet sheet, ZoneFacts zone, OptionalDouble slabC, UnitSystem system) {
        if (zone.exposure() == Exposure.INDOORS) {
            return Optional.empty();
        }
        if (sheet.curve(Clock.RAIN).isPresent()) {
            return Optional.of(clock(Clock.RAIN, start, sheet, slabC, system));
        }
        double minutes = sheet.handling().rainSafeMin();
        if (minutes == 0) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        w.given("r", "as its sheet has it, whatever the weather", minutes, Unit.MINUTE);
        Figure figure = w.figure(Clock.RAIN.label(), "t", "r", minutes, Unit.MINUTE, sheet.source());
        return Optional.of(new LayerReport.TimedClock(
                Clock.RAIN,
                Clock.RAIN.label(),
                new CureTime(Clock.RAIN, Optional.of(figure), ""),
                start.map(from -> after(from, minutes))));
    }

    /** What went on is reckoned with what was read then, what is to go on with what is planned. */
    static OptionalDouble slabC(LayerReport.Started started, Instant at, ZoneFacts zone) {
        return started == LayerReport.Started.COATED ? zone.slabC(at) : zone.plannedSlabC(at);
    }

    /** Minutes that one of a sheet's clocks runs; empty where it is not known. */
    static OptionalDouble minutes(ProductSheet sheet, Clock clock, OptionalDouble slabC) {
        return slabC.isPresent() && sheet.curve(clock).isPresent()
                ? Readiness.minutes(sheet.curve(clock).get(), List.of(new Spell(0, slabC.getAsDouble())))
                : OptionalDouble.empty();
    }

    /** When the pot life of a batch mixed at {@code at} is over; empty where that is not known. */
    static Optional<Instant> useBy(ProductSheet sheet, Instant at, ZoneFacts zone) {
        OptionalDouble minutes = minutes(sheet, Clock.POT_LIFE, zone.slabC(at));
        return minutes.isPresent() ? Optional.of(after(at, minutes.getAsDouble())) : Optional.empty();
    }

    /** When a clock of so many minutes runs out, to the second. */
    static Instant after(Instant from, double minutes) {
        return from.plusSeconds(Math.round(minutes * 60));
    }

    private static LayerReport.TimedClock clock(
            Clock clock, Optional<Instant> start, ProductSheet sheet, OptionalDouble slabC, UnitSystem system) {
        CureTime time = slabC.isPresent()
                ? CureTime.of(sheet, clock, slabC.getAsDouble(), system)
                : new CureTime(clock, Optional.empty(), NO_SLAB);
        Optional<Instant> at = start.flatMap(from -> time.minutes().map(m -> after(from, m.base())));
        return new LayerReport.TimedClock(clock, clock.label(), time, at);
    }
}

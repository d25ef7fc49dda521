package openslab.core.air;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The slab's temperature as it was read over the years. What happened at a moment is reckoned with what was read nearest to it:
 * a reading of this winter says nothing of a coat of last summer.
 */
public record SlabHistory(List<Read> readings) {
    /** One reading, °C. */
    public record Read(Instant at, double celsius) {}

    public static final SlabHistory NONE = new SlabHistory(List.of());

    public SlabHistory {
        readings = readings.stream().sorted(Comparator.comparing(Read::at)).toList();
    }

    /** One temperature, whenever. @param celsius of the slab */
    public static SlabHistory always(double celsius) {
        return new SlabHistory(List.of(new Read(Instant.EPOCH, celsius)));
    }

    /** What was read nearest to {@code at}, °C; of two as near the earlier; empty where nobody ever read. */
    public OptionalDouble nearest(Instant at) {
        return readings.stream()
                .min(Comparator.comparing(r -> Duration.between(r.at(), at).abs()))
                .map(r -> OptionalDouble.of(r.celsius()))
                .orElseGet(OptionalDouble::empty);
    }
}

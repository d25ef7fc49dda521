package openslab.core.job;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import openslab.core.air.Location;
import openslab.core.air.SunDay;
import openslab.core.product.Exposure;
import openslab.core.quantity.Source;
import openslab.core.survey.Finding;

/** Coat porous concrete on a falling temperature: while the sun warms a slab outdoors, the air in its pores blows bubbles. */
final class Warming {
    /** OURS: a slab goes on warming for some two hours after the sun stood highest. */
    private static final Duration LAGS = Duration.ofHours(2);

    private static final Source PRACTICE = Source.commonPractice(
            "coat porous concrete on a falling temperature; that a slab warms until two hours after solar noon is ours");
    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    private Warming() {}

    /** Of a coat, not of what is thrown into one. Empty indoors, where nobody said on which part of the earth, and where nobody means to begin while the slab warms. */
    static Optional<Finding> of(LayerReport layer, Exposure exposure, Location place) {
        boolean ahead = !layer.coated() && layer.start().isPresent();
        if (!exposure.isOutdoors() || !ahead || place.position().isEmpty()) {
            return Optional.empty();
        }
        Instant start = layer.start().get();
        LocalDate day = start.atZone(place.zone()).toLocalDate();
        SunDay sun = SunDay.of(place.position().get(), place.zone(), day);
        Instant cools = sun.noon().plus(LAGS);
        boolean warming = sun.rise().map(r -> !start.isBefore(r)).orElse(false) && start.isBefore(cools);
        if (!warming) {
            return Optional.empty();
        }
        return Optional.of(Finding.of("warming-slab")
                .measured("to begin at " + hour(start, place) + ", the sun up since "
                        + hour(sun.rise().get(), place))
                .needed("after " + hour(cools, place) + ", or before sunrise", PRACTICE)
                .watch(
                        "the slab warms while it is coated",
                        "Air in the pores of a warming slab swells and blows bubbles through the wet film.",
                        "Begin in the evening, on a falling temperature, or keep the sun off the slab."));
    }

    private static String hour(Instant at, Location place) {
        return HOUR.format(at.atZone(place.zone()));
    }
}

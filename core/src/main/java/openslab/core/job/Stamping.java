package openslab.core.job;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import openslab.core.course.Step;
import openslab.core.course.Wait;
import openslab.core.course.work.Effort;
import openslab.core.course.work.Paces;
import openslab.core.product.Exposure;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.system.LayWorks;

/**
 * How a layer is stamped: how fast, and while its window is open.
 *
 * @param paceM2PerMin all hands together
 * @param most stamped while the window is open; empty where no slab temperature says how long that is
 */
public record Stamping(double paceM2PerMin, Optional<Figure> most) {
    private static final Source WINDOW = Source.commonPractice(
            "50 °F: 3 to 5 h after placing; 80 °F: 15 to 30 min; between them by the slab's temperature");

    /** Empty where nobody stamps it. */
    public static Optional<Stamping> of(
            ZoneFacts zone, LayerChoice layer, Paces paces, UnitSystem system, Instant now) {
        return zone.steps(layer).stream()
                .filter(s -> s.work().is(LayWorks.STAMP))
                .findFirst()
                .map(stamp -> of(zone, layer, stamp, paces, system, now));
    }

    private static Stamping of(
            ZoneFacts zone, LayerChoice layer, Step stamp, Paces paces, UnitSystem system, Instant now) {
        double m2 = zone.area(system).base();
        Effort effort = Effort.of(stamp.work(), m2, zone.exposure() == Exposure.INDOORS, paces, system);
        double pace = m2 / effort.time().base();
        OptionalDouble slabC = zone.plannedSlabC(layer.plannedStart().orElse(now));
        Optional<Wait.Window> window = zone.steps(layer).stream()
                .map(Step::waits)
                .filter(w -> w instanceof Wait.Window)
                .map(w -> (Wait.Window) w)
                .findFirst();
        return new Stamping(
                pace,
                window.flatMap(w -> slabC.isPresent() ? most(w, slabC.getAsDouble(), pace, system) : Optional.empty()));
    }

    private static Optional<Figure> most(Wait.Window window, double slabC, double pace, UnitSystem system) {
        OptionalDouble opens = window.opens().minutes(slabC);
        OptionalDouble closes = window.closes().minutes(slabC);
        if (opens.isEmpty() || closes.isEmpty()) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        double to = w.given("c", "too late, minutes after placing", closes.getAsDouble(), Unit.MINUTE);
        double from = w.given("o", "ready, minutes after placing", opens.getAsDouble(), Unit.MINUTE);
        w.given("p", "stamped by all hands", pace, Unit.SQUARE_METRE_PER_MINUTE);
        return Optional.of(w.figure(
                "stamped while the window is open", "A", "(c-o)·p", (to - from) * pace, Unit.SQUARE_METRE, WINDOW));
    }
}

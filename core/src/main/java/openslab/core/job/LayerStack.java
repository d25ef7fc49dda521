package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.air.Location;
import openslab.core.course.Course;
import openslab.core.mix.TakeOff;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.system.BuildUp;

/** Every layer of a zone reported from the slab upward, then marked from the top downward. */
final class LayerStack {
    private final ZoneFacts zone;
    private final double areaM2;
    private final UnitSystem system;
    private final Instant now;
    private Optional<LayerSchedule.Slot> below = Optional.empty();

    private LayerStack(ZoneFacts zone, double areaM2, UnitSystem system, Instant now) {
        this.zone = zone;
        this.areaM2 = areaM2;
        this.system = system;
        this.now = now;
    }

    static List<LayerReport> of(
            ZoneFacts zone,
            BuildUp buildUp,
            Conduct conduct,
            double areaM2,
            Location where,
            UnitSystem system,
            Instant now) {
        var stack = new LayerStack(zone, areaM2, system, now);
        var reports = new ArrayList<LayerReport>();
        for (int i = 0; i < zone.layers().size(); i++) {
            reports.add(stack.next(zone.layers().get(i), buildUp.layers().get(i)));
        }
        return marked(reports, zone.exposure(), conduct, where, now);
    }

    private LayerReport next(LayerChoice choice, BuildUp.Layer layer) {
        var sheet = zone.taken(choice);
        Course course = LayLog.course(zone, choice, system);
        boolean coated = LayLog.coat(course).isThrough();
        LayerSchedule.Slot slot = LayerSchedule.of(choice, coated, below, zone, system, now);
        Figure amount = TakeOff.of(areaM2, sheet.material(), zone.bought(choice), system);
        if (!choice.isBroadcast()) {
            below = Optional.of(slot);
        }
        return LayerReport.of(choice, layer, amount, slot, course, zone, system);
    }

    private static List<LayerReport> marked(
            List<LayerReport> reports, Exposure exposure, Conduct conduct, Location where, Instant now) {
        var marked = new ArrayList<LayerReport>();
        boolean next = true;
        for (int i = 0; i < reports.size(); i++) {
            LayerReport layer = reports.get(i);
            List<Finding> against = next && !layer.coated() ? conduct.coating(layer.id(), now) : List.of();
            next &= layer.coated();
            if (layer.isBroadcast()) {
                boolean thrown = layer.coated() && !marked.isEmpty();
                marked.add(layer.marked(thrown ? marked.get(i - 1).mark() : Mark.NOT_STARTED, List.of(), against));
            } else {
                Optional<LayerReport> above = reports.subList(i + 1, reports.size()).stream()
                        .filter(r -> !r.isBroadcast())
                        .findFirst();
                marked.add(layer.marked(
                        mark(layer, above, now),
                        Warming.of(layer, exposure, where).map(List::of).orElse(List.of()),
                        against));
            }
        }
        return List.copyOf(marked);
    }

    private static Mark mark(LayerReport layer, Optional<LayerReport> above, Instant now) {
        if (layer.repeating().isPresent()) {
            return Mark.HOLD;
        }
        if (!layer.coated()) {
            return layer.begun() ? Mark.IN_HAND : Mark.NOT_STARTED;
        }
        if (above.isPresent() && above.get().coated()) {
            return Mark.DONE;
        }
        if (layer.openGate().isPresent()) {
            boolean runs = layer.running()
                    .flatMap(StepReport::ready)
                    .map(now::isBefore)
                    .orElse(false);
            return runs ? Mark.WET : Mark.IN_HAND;
        }
        if (above.isPresent()) {
            return beforeNextCoat(layer, now);
        }
        // a sheet that knows no light foot has the other one
        if (runningAt(layer, says(layer, Clock.LIGHT_FOOT) ? Clock.LIGHT_FOOT : Clock.FOOT, now)) {
            return Mark.WET;
        }
        return runningAt(layer, Clock.FULL_CURE, now) ? Mark.CURING : Mark.DONE;
    }

    private static Mark beforeNextCoat(LayerReport layer, Instant now) {
        if (says(layer, Clock.RECOAT_OPENS) && runningAt(layer, Clock.RECOAT_OPENS, now)) {
            return Mark.WET;
        }
        return !says(layer, Clock.RECOAT_CLOSES) || runningAt(layer, Clock.RECOAT_CLOSES, now)
                ? Mark.WINDOW_OPEN
                : Mark.OVERDUE;
    }

    private static boolean says(LayerReport layer, Clock clock) {
        return layer.sheet().curve(clock).isPresent();
    }

    /** Not yet over; a clock whose time is not known counts as running, since nobody may rely on it. */
    private static boolean runningAt(LayerReport layer, Clock clock, Instant now) {
        return layer.at(clock).map(now::isBefore).orElse(true);
    }
}

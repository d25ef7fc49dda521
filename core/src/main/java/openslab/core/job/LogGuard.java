package openslab.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Staging;
import openslab.core.course.Step;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.ProfileNeed;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;

/**
 * Refuses what cannot be so: nothing starts behind an open gate, no clock before everything lies ready, and no place of a zone
 * lies beside it.
 */
public final class LogGuard {
    /** A tape laid to a wall. */
    private static final double ON_FLOOR_M = 0.05;

    private LogGuard() {}

    /**
     * @param entry about to be logged
     * @throws InvalidInput naming what stands before it
     */
    public static void require(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        switch (entry.kind()) {
            case GATE, BEGUN, DONE -> requireTurn(zone, entry, system);
            case BATCH, COAT -> requirePrepared(zone, entry, system);
            case PLACE -> requireOnFloor(zone, entry, system);
            default -> {}
        }
    }

    private static void requireOnFloor(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        double along = entry.values().get("along").base();
        double off = entry.values().get("off").base();
        var place = new Corner(along, off);
        if (zone.shape().parts().stream().noneMatch(part -> Shapes2D.distanceM(part, place) <= ON_FLOOR_M)) {
            throw new InvalidInput(
                    "values.along",
                    Show.in(system, Dimension.LENGTH, along) + " along, " + Show.in(system, Dimension.LENGTH, off)
                            + " off",
                    "a place on " + zone.name());
        }
    }

    private static void requireTurn(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        PrepPlan plan = PrepLog.plan(zone, PrepLog.need(zone, system), system);
        var deeds = new ArrayList<>(PrepLog.deeds(zone));
        PrepLog.deed(entry).forEach(deeds::add);
        PrepLog.course(zone, plan, deeds, system).misfits().stream()
                .filter(m -> m.deed().key().equals(entry.key()))
                .findFirst()
                .ifPresent(m -> {
                    throw new InvalidInput(List.of(m.fault()));
                });
        if (entry.kind() == LogEntry.Kind.BEGUN) {
            requireStaged(zone, plan.steps(), entry);
        }
    }

    private static void requireStaged(ZoneFacts zone, List<Step> steps, LogEntry entry) {
        Staging staging = Staging.of(steps, PrepLog.ticks(zone), entry.at());
        steps.stream().filter(s -> s.id().equals(entry.subject())).findFirst().ifPresent(step -> {
            List<String> missing = staging.missing(step);
            if (!missing.isEmpty()) {
                throw new InvalidInput(
                        "subject",
                        step.title(),
                        "a step that everything lies ready for; not ticked: " + String.join("; ", missing));
            }
        });
    }

    /** What did go on is a fact all the same: with a reason it is logged. */
    private static void requirePrepared(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        ProfileNeed need = PrepLog.need(zone, system);
        PrepReport prep = PrepReport.of(zone, need, need, system);
        if (prep.mark() == Mark.DONE || !entry.note().isBlank()) {
            return;
        }
        Optional<String> open = prep.open().stream()
                .flatMap(s -> s.gate().stream())
                .map(PrepReport.GateReport::title)
                .findFirst();
        throw new InvalidInput(
                "note",
                null,
                "the reason why it went on all the same: preparation is not through, "
                        + open.map(g -> "\"" + g + "\" has not passed").orElse(prep.title()));
    }
}

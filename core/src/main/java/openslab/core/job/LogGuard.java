package openslab.core.job;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.course.Course;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.prep.PrepPlan;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.InvalidInput.Fault;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Verdict;

/**
 * Refuses what cannot be: a step that the preparation does not have, a place of a zone beside it. What should not have been is
 * taken, once somebody says why.
 */
public final class LogGuard {
    /** A tape laid to a wall. */
    private static final double ON_FLOOR_M = 0.05;

    private LogGuard() {}

    /**
     * @param said about to be logged
     * @return the entry as it is logged: a step and a gate keep which method they were done for
     * @throws InvalidInput naming what cannot be read, or asking for the reason why it was done all the same
     */
    public static LogEntry take(ZoneFacts zone, LogEntry said, UnitSystem system) {
        LogEntry entry = PrepLog.withMethod(zone, said, PrepLog.need(zone, system), system);
        List<Fault> odd =
                switch (entry.kind()) {
                    case PLACE -> {
                        requireOnFloor(zone, entry, system);
                        yield List.of();
                    }
                    case METHOD -> {
                        requireFit(zone, entry, system);
                        yield List.of();
                    }
                    case GATE, BEGUN, DONE -> oddities(zone, entry, system);
                    default -> List.of();
                };
        List<Finding> against = new Conduct(zone, system).against(entry);
        if (entry.note().isBlank() && Conduct.asksReason(against)) {
            throw new InvalidInput(
                    Stream.concat(odd.stream(), Stream.of(why(against))).toList());
        }
        return entry;
    }

    private static Fault why(List<Finding> against) {
        return new Fault(
                "note",
                null,
                "the reason why it was done all the same: "
                        + against.stream()
                                .filter(f -> f.verdict().compareTo(Verdict.HOLD) >= 0)
                                .map(f -> f.brief() + " (" + f.measured() + "; asked: " + f.needed() + ")")
                                .collect(Collectors.joining("; ")));
    }

    /** A way of preparing is chosen among those that nothing stands against, with the reason for it. */
    private static void requireFit(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        PrepPlan plan = PrepLog.plan(zone, PrepLog.need(zone, system), system);
        var faults = new Faults();
        List<String> ids = plan.fits().stream().map(f -> f.method().id()).toList();
        if (!ids.contains(entry.subject())) {
            faults.add(
                    "subject",
                    entry.subject(),
                    ids.isEmpty()
                            ? "nothing: every way of preparing is refused here"
                            : "a way that fits here: " + String.join(", ", ids));
        }
        if (entry.note().isBlank()) {
            faults.add("note", null, "the reason why it is done this way");
        }
        faults.check();
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

    private static Course course(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        return entry.layer()
                .map(id -> zone.layers().stream()
                        .filter(l -> l.id().equals(id))
                        .findFirst()
                        .map(l -> LayLog.with(zone, l, entry, system))
                        .orElseThrow(() -> new InvalidInput(
                                "subject", entry.subject(), "a step or a gate of a layer of this cycle")))
                .orElseGet(() -> PrepLog.run(zone.with(entry), PrepLog.need(zone, system), system)
                        .course());
    }

    /**
     * The fields of an entry that do not fit the course.
     *
     * @throws InvalidInput for a step or a gate that this preparation does not have: it cannot have been done
     */
    private static List<Fault> oddities(ZoneFacts zone, LogEntry entry, UnitSystem system) {
        List<Course.Misfit> own = course(zone, entry, system).misfits().stream()
                .filter(m -> m.deed().key().equals(entry.key()))
                .toList();
        List<Fault> faults = own.stream().map(Course.Misfit::fault).toList();
        if (own.stream().anyMatch(m -> m.kind() == Course.Misfit.Kind.ELSEWHERE)) {
            throw new InvalidInput(faults);
        }
        return faults;
    }
}

package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Course;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepNeed;
import openslab.core.prep.PrepPlan;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;

/**
 * The preparation of a zone and how far it is.
 *
 * @param method empty when every method is refused
 * @param need the profile that is asked for; empty on floors that have none
 * @param byThickness what the published table asks for a film this thick, beside what the sheets ask
 * @param chosen empty where nobody chose it: the best of what fits
 * @param against what stands against going on with the method that was begun; empty once it is through
 * @param steps as they were done, and what a failed gate made anybody do again; what is left at the end
 */
public record PrepReport(
        String method,
        String title,
        String because,
        String need,
        Source needSource,
        String byThickness,
        List<StepReport> steps,
        List<PrepPlan.Refused> refused,
        List<String> against,
        Optional<Chosen> chosen,
        Mark mark) {
    /** Who chose the way, and why. */
    public record Chosen(String by, Instant at, String why) {}

    /** Whether it opens a surface to a profile: tile and vinyl have none. */
    public boolean opens() {
        return steps.stream()
                .anyMatch(s -> s.gate().map(g -> g.id().equals("profile")).orElse(false));
    }

    /** Whether all is done that only made the floor another one: it is walked again before anything else. */
    boolean looksAgain() {
        return mark == Mark.HOLD
                && !method.isEmpty()
                && against.isEmpty()
                && open().stream().allMatch(s -> s.gate().isEmpty());
    }

    /** What nobody has finished, the next first. */
    List<StepReport> open() {
        return steps.stream().filter(s -> !s.isThrough()).toList();
    }

    /** The step that a failed gate makes somebody do again. */
    Optional<StepReport> repeating() {
        return open().stream().findFirst().filter(s -> s.round() > 1);
    }

    /** The step whose clock runs. */
    Optional<StepReport> running() {
        return open().stream().filter(s -> s.ready().isPresent()).findFirst();
    }

    static PrepReport of(PrepLog.Run run, PrepNeed byThickness, ZoneFacts zone, UnitSystem system) {
        boolean profiled = zone.isProfiled();
        PrepPlan plan = run.plan();
        PrepNeed need = plan.need();
        Course course = run.course();
        return new PrepReport(
                plan.method().map(PrepMethod::id).orElse(""),
                plan.method().map(PrepMethod::title).orElse("No method fits"),
                plan.because(),
                profiled ? need.text() : "",
                need.source(),
                profiled ? byThickness.text() : "",
                course.turns().stream().map(t -> StepReport.of(t, system)).toList(),
                plan.refused(),
                isThrough(course) ? List.of() : plan.against(),
                PrepLog.wanted(zone)
                        .filter(e -> plan.method()
                                .map(m -> m.id().equals(e.subject()))
                                .orElse(false))
                        .map(e -> new Chosen(e.by(), e.at(), e.note())),
                mark(plan, course));
    }

    /** Whether every gate there is has passed. */
    private static boolean isThrough(Course course) {
        List<Course.Turn> gated =
                course.turns().stream().filter(t -> t.step().gate().isPresent()).toList();
        return !gated.isEmpty() && gated.stream().allMatch(Course.Turn::isThrough);
    }

    private static Mark mark(PrepPlan plan, Course course) {
        if (plan.method().isEmpty()
                || course.isRepeating()
                || !isThrough(course) && !plan.against().isEmpty()) {
            return Mark.HOLD;
        }
        if (isThrough(course)) {
            return plan.method().get().looksAgain() ? Mark.HOLD : Mark.DONE;
        }
        boolean begun = course.turns().stream()
                .anyMatch(t -> t.isThrough() || t.doneSoFar() > 0 || t.timer().isPresent());
        return begun ? Mark.IN_HAND : Mark.NOT_STARTED;
    }
}

package openslab.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.course.Wait;
import openslab.core.quantity.Show;
import openslab.core.survey.Finding;

/** What has to be done while a window lasts, as a stamp while the overlay takes a print. */
final class StepWindow {
    private StepWindow() {}

    /** What stands against {@code e} in how a layer was laid: that its window had closed. */
    static Optional<Finding> against(LogEntry e, Course course) {
        return Optional.ofNullable(tooLate(course).get(e.key())).map(turn -> Finding.of("after-its-window")
                .measured(Show.span(Duration.between(turn.closed(), e.at())) + " after its window had closed")
                .needed("while it lasts", Conduct.OURS)
                .hold(
                        "\"" + turn.turn().title() + "\" came after its window",
                        "What has set by then takes no print and no edge any more: it tears or cracks.",
                        "Try it where it is seen least; what does not take comes off before it hardens."));
    }

    /** A step that was done when its window had closed. */
    record Late(Course.Turn turn, Instant closed) {}

    /** What has to be done while a window lasts, by the step that waits for it or the one after it, and came too late; by its deed. */
    static Map<String, Late> tooLate(Course course) {
        Map<String, Late> late = new HashMap<>();
        Optional<Instant> before = Optional.empty();
        for (Course.Turn turn : course.turns()) {
            Optional<Instant> own = closes(turn);
            Optional<Instant> closed = own.isPresent() ? own : before;
            Optional<Deed> deed = turn.done().or(turn::tested);
            if (closed.isPresent()
                    && deed.isPresent()
                    && closed.get().isBefore(deed.get().at())) {
                late.put(deed.get().key(), new Late(turn, closed.get()));
            }
            before = own;
        }
        return late;
    }

    private static Optional<Instant> closes(Course.Turn turn) {
        return turn.timer().flatMap(Wait.Timer::closes);
    }
}

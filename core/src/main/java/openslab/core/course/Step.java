package openslab.core.course;

import java.util.List;
import java.util.Optional;
import openslab.core.course.work.Work;
import openslab.core.quantity.Unit;

/**
 * One thing to do.
 *
 * @param id of its work, and of which one where a course has the same work twice: "vacuum.last"
 * @param why the reason it is there
 * @param caution what can hurt, beside the step that can do it; empty when nothing special
 * @param gate what must pass before the next step
 * @param waits what passes by itself, dwelling, drying or curing
 * @param again ids of earlier steps that are done again when its gate fails, before it is itself
 * @param mix what is mixed for it
 * @param own how much of its work there is where that is not the whole floor or its edge, m² or m
 * @param closing whether repairs come before it
 */
public record Step(
        String id,
        Work work,
        String title,
        String does,
        String why,
        String caution,
        Optional<Gate> gate,
        Wait waits,
        List<String> again,
        Optional<Mix> mix,
        Optional<Double> own,
        boolean closing) {
    public Step {
        again = List.copyOf(again);
    }

    public static Step of(Work work, String title, String does, String why) {
        return new Step(
                work.id(),
                work,
                title,
                does,
                why,
                "",
                Optional.empty(),
                Wait.NONE,
                List.of(),
                Optional.empty(),
                Optional.empty(),
                false);
    }

    /** Which of a course's steps of the same work it is. */
    public Step which(String name) {
        return new Step(work.id() + "." + name, work, title, does, why, caution, gate, waits, again, mix, own, closing);
    }

    public Step careful(String words) {
        return new Step(id, work, title, does, why, words, gate, waits, again, mix, own, closing);
    }

    public Step until(Gate passed) {
        return new Step(id, work, title, does, why, caution, Optional.of(passed), waits, again, mix, own, closing);
    }

    public Step dwells(double minutes) {
        return waiting(new Wait.Fixed(minutes));
    }

    public Step waiting(Wait passes) {
        return new Step(id, work, title, does, why, caution, gate, passes, again, mix, own, closing);
    }

    /** @param earlier ids of steps, in the order they are done */
    public Step failingRepeats(String... earlier) {
        return new Step(id, work, title, does, why, caution, gate, waits, List.of(earlier), mix, own, closing);
    }

    public Step mixes(Mix mixed) {
        return new Step(id, work, title, does, why, caution, gate, waits, again, Optional.of(mixed), own, closing);
    }

    /** @param amount m² or m */
    public Step over(double amount) {
        return new Step(id, work, title, does, why, caution, gate, waits, again, mix, Optional.of(amount), closing);
    }

    /** @param words at the end of what is done */
    public Step adding(String words) {
        return new Step(id, work, title, does + words, why, caution, gate, waits, again, mix, own, closing);
    }

    /** Repairs come before it. */
    public Step closes() {
        return new Step(id, work, title, does, why, caution, gate, waits, again, mix, own, true);
    }

    /** Whether it is the squares in which strengths are tried. */
    public boolean isPatch() {
        return gate.map(Gate::ladder).orElse(false);
    }

    /** Whether nothing but time has to pass: what dries begins by itself when the floor was last wet. */
    public boolean onlyWaits() {
        return work.hands() == 1 && work.items().isEmpty() && waits.isAny();
    }

    /** Whether its clock is started by hand, so that everything lies ready first. */
    public boolean isTimed() {
        return waits.isAny() && !onlyWaits();
    }

    /** How much of its work there is, m² or m; ignored for what is done once. */
    public double amount(Extent extent) {
        return own.orElse(work.per() == Work.Per.EDGE ? extent.edgeM() : extent.floorM2());
    }

    /** In minutes. */
    public static double hours(double h) {
        return Unit.HOUR.toBase(h);
    }

    public static List<Gate> gatesOf(List<Step> steps) {
        return steps.stream().flatMap(s -> s.gate().stream()).toList();
    }
}

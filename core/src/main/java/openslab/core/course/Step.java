package openslab.core.course;

import java.util.List;
import java.util.Optional;
import openslab.core.course.work.Item;
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
 * @param proves whether its being done shows that everything was done that no gate before it asks for
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
        boolean closing,
        boolean proves) {
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
                false,
                false);
    }

    /** Which of a course's steps of the same work it is. */
    public Step which(String name) {
        return new Step(
                work.id() + "." + name, work, title, does, why, caution, gate, waits, again, mix, own, closing, proves);
    }

    public Step careful(String words) {
        return new Step(id, work, title, does, why, words, gate, waits, again, mix, own, closing, proves);
    }

    public Step until(Gate passed) {
        return new Step(
                id, work, title, does, why, caution, Optional.of(passed), waits, again, mix, own, closing, proves);
    }

    public Step dwells(double minutes) {
        return waiting(new Wait.Fixed(minutes));
    }

    public Step waiting(Wait passes) {
        return new Step(id, work, title, does, why, caution, gate, passes, again, mix, own, closing, proves);
    }

    /** @param earlier ids of steps, in the order they are done */
    public Step failingRepeats(String... earlier) {
        return new Step(id, work, title, does, why, caution, gate, waits, List.of(earlier), mix, own, closing, proves);
    }

    public Step mixes(Mix mixed) {
        return new Step(
                id, work, title, does, why, caution, gate, waits, again, Optional.of(mixed), own, closing, proves);
    }

    /** @param amount m² or m */
    public Step over(double amount) {
        return new Step(
                id, work, title, does, why, caution, gate, waits, again, mix, Optional.of(amount), closing, proves);
    }

    public Step called(String name) {
        return new Step(id, work, name, does, why, caution, gate, waits, again, mix, own, closing, proves);
    }

    /** @param words at the end of what is done */
    public Step adding(String words) {
        return new Step(id, work, title, does + words, why, caution, gate, waits, again, mix, own, closing, proves);
    }

    /** Repairs come before it. */
    public Step closes() {
        return new Step(id, work, title, does, why, caution, gate, waits, again, mix, own, true, proves);
    }

    /** What went before it was done with it: nobody rolls what was not mixed. */
    public Step proving() {
        return new Step(id, work, title, does, why, caution, gate, waits, again, mix, own, closing, true);
    }

    /** The same step of a course among others. @param prefix what its ids begin with there */
    public Step in(String prefix) {
        return new Step(
                prefix + id,
                work,
                title,
                does,
                why,
                caution,
                gate.map(g -> g.in(prefix)),
                waits,
                again.stream().map(a -> prefix + a).toList(),
                mix,
                own,
                closing,
                proves);
    }

    /** The same step, with this lying ready for it too. */
    public Step with(List<Item> items) {
        return new Step(id, work.with(items), title, does, why, caution, gate, waits, again, mix, own, closing, proves);
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

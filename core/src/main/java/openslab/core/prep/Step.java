package openslab.core.prep;

import java.util.List;
import java.util.Optional;
import openslab.core.prep.wash.Dose;
import openslab.core.prep.work.Work;
import openslab.core.quantity.Unit;

/**
 * One thing to do.
 *
 * @param id of its work, and of which one where a plan has the same work twice: "vacuum.last"
 * @param why the reason it is there
 * @param caution what can hurt, beside the step that can do it; empty when nothing special
 * @param gate what must pass before the next step
 * @param waitMin minutes that it takes by itself, dwelling or drying; 0 for none
 * @param again ids of earlier steps that are done again when its gate fails, before it is itself
 * @param dose what is mixed for it
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
        double waitMin,
        List<String> again,
        Optional<Dose> dose,
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
                0,
                List.of(),
                Optional.empty(),
                Optional.empty(),
                false);
    }

    /** Which of a plan's steps of the same work it is. */
    public Step which(String name) {
        return new Step(
                work.id() + "." + name, work, title, does, why, caution, gate, waitMin, again, dose, own, closing);
    }

    public Step careful(String words) {
        return new Step(id, work, title, does, why, words, gate, waitMin, again, dose, own, closing);
    }

    public Step until(Gate passed) {
        return new Step(id, work, title, does, why, caution, Optional.of(passed), waitMin, again, dose, own, closing);
    }

    public Step dwells(double minutes) {
        return new Step(id, work, title, does, why, caution, gate, minutes, again, dose, own, closing);
    }

    /** @param earlier ids of steps, in the order they are done */
    public Step failingRepeats(String... earlier) {
        return new Step(id, work, title, does, why, caution, gate, waitMin, List.of(earlier), dose, own, closing);
    }

    public Step mixes(Dose mixed) {
        return new Step(id, work, title, does, why, caution, gate, waitMin, again, Optional.of(mixed), own, closing);
    }

    /** @param amount m² or m */
    public Step over(double amount) {
        return new Step(id, work, title, does, why, caution, gate, waitMin, again, dose, Optional.of(amount), closing);
    }

    /** @param words at the end of what is done */
    Step adding(String words) {
        return new Step(id, work, title, does + words, why, caution, gate, waitMin, again, dose, own, closing);
    }

    Step closes() {
        return new Step(id, work, title, does, why, caution, gate, waitMin, again, dose, own, true);
    }

    /** Whether it is the squares in which strengths are tried. */
    public boolean isPatch() {
        return gate.map(Gate::ladder).orElse(false);
    }

    /** Whether nothing but time has to pass: what dries begins by itself when the floor was last wet. */
    boolean onlyWaits() {
        return work.hands() == 1 && work.items().isEmpty() && waitMin > 0;
    }

    /** Whether its clock is started by hand, so that everything lies ready first. */
    public boolean isTimed() {
        return waitMin > 0 && !onlyWaits();
    }

    /** How much of its work there is, m² or m. */
    public double amount(double floorM2, double edgeM) {
        return own.orElse(work.per() == Work.Per.EDGE ? edgeM : floorM2);
    }

    static double hours(double h) {
        return Unit.HOUR.toBase(h);
    }

    static List<Gate> gatesOf(List<Step> steps) {
        return steps.stream().flatMap(s -> s.gate().stream()).toList();
    }
}

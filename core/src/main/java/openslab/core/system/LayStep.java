package openslab.core.system;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.Gate;
import openslab.core.course.Step;
import openslab.core.course.work.Work;
import openslab.core.prep.wash.Dose;
import openslab.core.product.ProductSheet;

/**
 * One step by which a layer is laid.
 *
 * @param which of a layer's steps of the same work it is; empty where there is one
 * @param mixes what it is done with where that is a wash
 * @param again ids of earlier steps that are done again when its gate fails
 * @param coat whether it is the one that puts the material on the floor
 */
public record LayStep(
        Work work,
        String which,
        String title,
        String does,
        String why,
        List<Harm> harms,
        Optional<Dose> mixes,
        Optional<Gate> gate,
        LayWait waits,
        List<String> again,
        boolean coat) {
    /** One that mixes no wash. */
    public LayStep(
            Work work,
            String which,
            String title,
            String does,
            String why,
            List<Harm> harms,
            Optional<Gate> gate,
            LayWait waits,
            List<String> again,
            boolean coat) {
        this(work, which, title, does, why, harms, Optional.empty(), gate, waits, again, coat);
    }

    public LayStep {
        harms = List.copyOf(harms);
        again = List.copyOf(again);
    }

    /** What must be settled before the next step, because it cannot be undone cheaply. */
    public static LayStep settle(String which, String what, String why) {
        return new LayStep(
                LayWorks.SETTLE,
                which,
                what,
                "Agree it with whoever decides, and say here with whom.",
                why,
                List.of(),
                Optional.of(LayGates.settled(what)),
                LayWait.NONE,
                List.of(),
                false);
    }

    /** Its id within its layer: its work, and which one of it. */
    public String id() {
        return which.isEmpty() ? work.id() : work.id() + "." + which;
    }

    /** As it is done with {@code sheet}. */
    Step of(ProductSheet sheet) {
        Step step = Step.of(InHand.work(work, sheet), title, does, why)
                .careful(harms.stream()
                        .filter(h -> InHand.harms(h, sheet))
                        .map(Harm::words)
                        .collect(Collectors.joining(" ")))
                .waiting(waits.of(sheet))
                .failingRepeats(again.toArray(String[]::new));
        Step named = which.isEmpty() ? step : step.which(which);
        Step mixed = mixes.map(named::mixes).orElse(named);
        Step gated = gate.map(mixed::until).orElse(mixed);
        return coat ? gated.proving() : gated;
    }
}

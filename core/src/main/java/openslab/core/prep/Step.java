package openslab.core.prep;

import java.util.List;
import java.util.Optional;

/**
 * One thing to do.
 *
 * @param why the reason it is there
 * @param caution what can hurt, beside the step that can do it; empty when nothing special
 * @param gate what must pass before the next step
 */
public record Step(String title, String does, String why, String caution, Optional<Gate> gate) {
    static Step of(String title, String does, String why) {
        return new Step(title, does, why, "", Optional.empty());
    }

    /** The last step where the floor is another one afterwards. */
    static Step walkAgain(String does) {
        return of("Walk it again", does, "A method chosen before the floor is known is a guess.");
    }

    Step careful(String words) {
        return new Step(title, does, why, words, gate);
    }

    Step until(Gate passed) {
        return new Step(title, does, why, caution, Optional.of(passed));
    }

    static List<Gate> gatesOf(List<Step> steps) {
        return steps.stream().flatMap(s -> s.gate().stream()).toList();
    }
}

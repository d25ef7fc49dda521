package openslab.core.prep;

import java.util.Optional;
import openslab.core.survey.Survey;
import openslab.core.survey.method.WalkOver;

/** What stands between the film and the concrete, as far as anybody looked. */
public record Condition(
        Optional<Boolean> sealer,
        Optional<Boolean> oil,
        Optional<Boolean> coating,
        Optional<Boolean> dusting,
        Optional<Boolean> hollow,
        Optional<Boolean> beads) {

    public static Condition of(Survey survey) {
        var drops = survey.current("water-drop");
        return new Condition(
                survey.anyYes(WalkOver.ID, "sealer"),
                survey.anyYes(WalkOver.ID, "oil"),
                survey.anyYes(WalkOver.ID, "coating"),
                survey.anyYes(WalkOver.ID, "dusting"),
                survey.anyYes(WalkOver.ID, "hollow"),
                drops.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                drops.stream().anyMatch(r -> r.choice("drop").equals("beads"))));
    }

    /** Whether somebody walked the floor and dropped water on it. */
    public boolean known() {
        return oil.isPresent() && beads.isPresent();
    }

    static boolean isYes(Optional<Boolean> seen) {
        return seen.orElse(false);
    }
}

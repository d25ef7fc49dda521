package openslab.core.prep;

import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.survey.Survey;
import openslab.core.survey.method.OldFloor;

/**
 * What stands between the film and the concrete, as far as anybody looked.
 *
 * @param unsampled whether something old is there that no laboratory has cleared
 */
public record Condition(
        Optional<Boolean> sealer,
        Optional<Boolean> oil,
        Optional<Boolean> coating,
        Optional<Boolean> dusting,
        Optional<Boolean> hollow,
        Optional<Boolean> beads,
        boolean unsampled) {
    /** Why nothing is abraded over an old film that no laboratory has cleared. */
    static final String UNSAMPLED =
            "The old film or floor may hold asbestos or lead: nobody sands, grinds, scrapes, scrubs or strips it before a laboratory result.";

    public static Condition of(Survey survey, Substrate substrate) {
        var drops = survey.current("water-drop");
        return new Condition(
                survey.seen("sealer"),
                survey.seen("oil"),
                survey.seen("coating"),
                survey.seen("dusting"),
                survey.seen("hollow"),
                drops.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                drops.stream().anyMatch(r -> r.choice("drop").equals("beads"))),
                OldFloor.bars(survey, substrate));
    }

    /** Whether somebody walked the floor and dropped water on it. */
    public boolean known() {
        return oil.isPresent() && beads.isPresent();
    }

    static boolean isYes(Optional<Boolean> seen) {
        return seen.orElse(false);
    }
}

package openslab.core.prep;

import java.util.List;

/** Clean, then look again: nothing is opened while something unknown or greasy is on it. */
final class CleanAndTest implements PrepMethod {
    @Override
    public String id() {
        return "clean-and-test";
    }

    @Override
    public String title() {
        return "Clean and test again";
    }

    @Override
    public List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site) {
        if (!condition.known() || Condition.isYes(condition.oil())) {
            return List.of();
        }
        return List.of("The floor was walked and dropped on, and no oil was found: there is nothing to clean first.");
    }

    @Override
    public String because(Condition condition, ProfileNeed need) {
        return condition.known()
                ? "Oil or grease was found. Grinding smears it in and acid cannot get through it."
                : "Nobody has said what is on this floor: the walk-over or the water drop is missing.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        return List.of(
                Step.of(
                        "Sweep and vacuum",
                        "Edges and joints too.",
                        "Grit under a scrubber scratches and turns to slurry."),
                Step.of(
                                "Degrease and scrub",
                                "Work in sections; scrub joints and corners by hand.",
                                "Oil sits deepest where the pad does not reach.")
                        .careful("Degreasers burn skin and eyes: gloves and goggles. Never mix cleaners."),
                Step.of(
                                "Rinse each section with fresh water",
                                "Pick the water up before it dries.",
                                "Dirty rinse water lays the oil down again as a thin film.")
                        .careful("Wash water goes where local rules let it, not simply down the drain.")
                        .until(Gate.residue()),
                Step.of(
                                "Drop water again",
                                "At every place that beaded and at every stain.",
                                "If water cannot get in, neither can the primer.")
                        .until(Gate.soaks()),
                Step.of(
                        "Walk it again",
                        "Key in a new walk-over: the method is chosen from what is found then.",
                        "A method chosen before the floor is known is a guess."));
    }
}

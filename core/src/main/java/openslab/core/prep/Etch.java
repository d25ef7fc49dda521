package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Acid etch: bare, sound, absorbent concrete and thin films only; about CSP 1, never over 3. */
final class Etch implements PrepMethod {
    private static final About ABOUT = new About(
            "etch",
            "Etch",
            Kinds.CONCRETE,
            Set.of(Defect.EFFLORESCENCE),
            1,
            1,
            Set.of(Demand.ACID, Demand.WASH_WATER, Demand.FUMES),
            Source.commonPractice("about CSP 1; from memory the ICRI range says up to 3"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (condition.beads().orElse(false) && ABOUT.substrates().contains(condition.substrate())) {
            reasons.add("Water beads: where water cannot get in, acid cannot either.");
        }
        return reasons;
    }

    @Override
    public String unknown() {
        return "; acid cannot cut through sealer, wax or oil";
    }

    @Override
    public String cannot(Defect defect) {
        return switch (defect) {
            case DUSTING, HOLLOW, FAILED_OVERLAY -> "acid only loosens it further";
            default -> "acid cannot cut through it";
        };
    }

    @Override
    public String because(Condition condition, ProfileNeed need) {
        return "The concrete is bare, sound and thirsty, the film is thin, and grinding is not possible here.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        return List.of(
                Step.of("Sweep, wash and leave damp", "No puddles.", "Dry concrete drinks the acid unevenly."),
                Step.of(
                        "Try it weakest first",
                        "A hidden square of 1 ft: from weak towards the label; stop at the weakest that fizzes.",
                        "Stronger than needed burns the surface for nothing."),
                Step.of(
                                "Etch one section at a time",
                                "About 10 × 10 ft. Acid into water, never water into acid. Scrub in; never let it dry.",
                                "Acid that dries leaves salts under the film.")
                        .careful(
                                "Goggles, gloves, boots, fresh air; keep metal away. Never near bleach. Not on post-tensioned or metallic-hardened slabs.")
                        .until(Gate.fizz()),
                Step.of(
                                "Neutralise, rinse twice",
                                "Baking soda in water, 15 to 20 min, then fresh water twice; pick it up.",
                                "Spent acid left behind feeds on the bond.")
                        .careful("Neutralising gives off gas: ventilate. Wash water goes where local rules let it.")
                        .until(Gate.rinsePh()),
                Step.of("Dry 24 h", "A fan is fine for wash water.", "A damp pore cannot take primer.")
                        .until(Gate.dry(24)),
                Step.of("Rub and drop", "Fingers across, then water.", "White dust is loosened cement: scrub it off.")
                        .until(Gate.rub()),
                Step.of("Compare the profile", "Fine sandpaper at least.", "The film needs tooth.")
                        .until(Gate.profile(need)));
    }
}

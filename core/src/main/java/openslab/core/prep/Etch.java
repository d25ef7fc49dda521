package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;

/** Acid etch: bare, sound, absorbent concrete and thin films only; about CSP 1, never over 3. */
final class Etch implements PrepMethod {
    private static final int REACHES = 1;

    @Override
    public String id() {
        return "etch";
    }

    @Override
    public String title() {
        return "Etch";
    }

    @Override
    public List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site) {
        var reasons = new ArrayList<String>();
        if (!condition.known()) {
            reasons.add("It is not known what is on the floor; acid cannot cut through sealer, wax or oil.");
        }
        if (Condition.isYes(condition.sealer())) {
            reasons.add("Sealer or wax is on the floor; acid cannot cut through it.");
        }
        if (Condition.isYes(condition.oil())) {
            reasons.add("Oil is on the floor; acid cannot cut through it.");
        }
        if (Condition.isYes(condition.coating())) {
            reasons.add("A film is on the floor; acid cannot cut through it.");
        }
        if (Condition.isYes(condition.beads())) {
            reasons.add("Water beads: where water cannot get in, acid cannot either.");
        }
        if (Condition.isYes(condition.dusting()) || Condition.isYes(condition.hollow())) {
            reasons.add("The top is not sound; acid only loosens it further.");
        }
        if (need.min() > REACHES) {
            reasons.add("It gives about CSP " + REACHES + "; this build-up asks for " + need.text() + ".");
        }
        if (!site.washWater()) {
            reasons.add("The place does not allow wash water, and acid must be rinsed off twice.");
        }
        return reasons;
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

package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Water and a brush: new stamped work and green concrete under a thin film that lets vapour through. */
final class WashConcrete implements PrepMethod {
    /** A litre of soapy water goes so far, m². */
    private static final double SPREAD = 3;

    private static final About ABOUT = new About(
            "wash",
            "Wash",
            Kinds.CONCRETE,
            Set.of(Defect.RELEASE_POWDER, Defect.EFFLORESCENCE),
            0,
            0,
            Set.of(Demand.WASH_WATER),
            Source.commonPractice("new stamped concrete is washed the next day"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (!ABOUT.substrates().contains(condition.substrate())) {
            return reasons;
        }
        // any concrete that was finished at all is as rough as the smoothest plaque
        double rough = Math.max(1, condition.csp().orElse(1.0));
        if (need.min() > rough) {
            reasons.add("It opens nothing: the concrete is about CSP " + Show.number(rough, 0)
                    + ", and this build-up asks for " + need.text() + ".");
        }
        if (condition.beads().orElse(false)) {
            reasons.add("Water beads: something is on the floor that water does not take off.");
        }
        return reasons;
    }

    @Override
    public String because(Condition condition, ProfileNeed need) {
        return "The film is thin and asks for little; loose powder and salt come off with water, and nothing harder is wanted.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        Step wash = Step.of(
                        Works.PRESSURE_WASH,
                        "Wash with a squirt of soap",
                        "Pressure rinse with a fan tip, 16 to 18 in off green concrete, in even passes.",
                        "Nearer, the jet cuts stripes; take off 90 to 95 % of the powder, what is pressed into the lows stays.")
                .careful(Steps.DISPOSAL + " The jet cuts skin: boots and goggles.")
                .mixes(Dose.of(SPREAD, Chemical.DISH_SOAP))
                .until(Gates.residue());
        Step dry = Steps.dry(
                Steps.CONCRETE_DRIES_H,
                "After rain in the night until no patch is dark.",
                "A damp surface turns acrylics white.");
        return List.of(
                Step.of(Works.SWEEP, "Sweep and blow", "Joints and lows too.", "What is swept is not turned to mud."),
                wash,
                dry,
                Step.of(
                                Works.CHECK,
                                "Rub",
                                "Fingers across the dry floor.",
                                "Dust is a release layer: scrub and rinse it again.")
                        .which("rub")
                        .until(Gates.rub())
                        .failingRepeats(wash.id(), dry.id())
                        .closes(),
                Step.of(
                                Works.CHECK,
                                "Drop water",
                                "In three places.",
                                "If water cannot get in, neither can the sealer.")
                        .which("drop")
                        .until(Gates.soaks())
                        .closes(),
                Steps.compare(need, "By hand, against the plaques.", "A thin film wants a light suede."));
    }
}

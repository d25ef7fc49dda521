package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Water and a brush: new stamped work and green concrete under a thin film that lets vapour through. */
final class WashConcrete implements PrepMethod {
    /** Any concrete that was finished at all is as rough as the smoothest plaque. */
    private static final double SMOOTHEST_CSP = 1;

    private static final Dose SOAP = Dose.of(3, Chemical.DISH_SOAP);

    private static final Dose CLEANER = Dose.of(3, Chemical.NEUTRAL_CLEANER);

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
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (elsewhere(condition, need).isEmpty()) {
            condition.tooSmooth(need, SMOOTHEST_CSP).ifPresent(reasons::add);
        }
        return reasons;
    }

    @Override
    public Optional<String> closed() {
        return Optional.of("Water beads: something is on the floor that water does not take off.");
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        if (condition.has(Defect.RELEASE_POWDER, Defect.EFFLORESCENCE)) {
            return "What goes on is thin and asks for little; loose powder and salt come off with water, and nothing harder is wanted.";
        }
        return "It is bare, drinks, and is rough enough for what goes on: it is washed, and nothing harder is wanted.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Step wash = wash(condition)
                .careful(Steps.DISPOSAL
                        + (condition.indoors() ? " " + Steps.UNTRAINED : " The jet cuts skin: boots and goggles."))
                .until(condition.has(Defect.RELEASE_POWDER) ? Gates.releaseOff() : Gates.residue());
        var steps = new ArrayList<Step>();
        steps.add(
                Step.of(Works.SWEEP, "Sweep and blow", "Joints and lows too.", "What is swept is not turned to mud."));
        steps.add(wash);
        steps.addAll(Steps.closedDry(wash, need, condition));
        return List.copyOf(steps);
    }

    /** CP: 90 to 95 % of it comes off with soap, a brush and water, whatever is done to the floor after that. */
    static Step releaseOff() {
        return Step.of(
                        Works.PRESSURE_WASH,
                        "Wash the release powder off",
                        "A squirt of soap, scrub, then rinse with a fan tip, 16 to 18 in off green concrete, in even passes, from the other end too.",
                        "Nearer, the jet cuts stripes; take off 90 to 95 % of the powder, what is pressed into the lows stays.")
                .mixes(SOAP)
                .until(Gates.releaseOff());
    }

    /** Powder is soaped and rinsed off; green concrete is washed from further off; indoors nobody can let a jet run. */
    private static Step wash(Condition condition) {
        if (condition.indoors()) {
            return Step.of(
                            Works.SCRUB_WASH,
                            "Scrub with neutral cleaner",
                            "Machine with a soft brush, edges by hand; pick the water up, rinse once with fresh water and pick that up too.",
                            "Dirt and cleaner that stay in the pores keep out what goes on.")
                    .mixes(CLEANER);
        }
        if (condition.has(Defect.RELEASE_POWDER)) {
            return releaseOff();
        }
        return Step.of(
                        Works.PRESSURE_WASH,
                        condition.green() ? "Wash it gently" : "Wash with a squirt of soap",
                        "Scrub what is stuck, then rinse with a fan tip in even passes"
                                + (condition.green() ? ", 16 to 18 in off: it is green." : "."),
                        "A stripe of the jet shows through everything that is clear.")
                .mixes(SOAP);
    }
}

package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.prep.Opening.Manner;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** A profiler brushed into bare concrete and washed out again: under stains, which want the pores open and the face whole. */
final class Profiler implements PrepMethod {
    private static final Dose DOSE = Dose.of(1.8, Chemical.ETCH_LIQUID);
    private static final double STANDS_MIN = 10;
    private static final double NEUTRALISES_MIN = 15;

    private static final About ABOUT = new About(
            "profiler",
            "Profiler and wash",
            Kinds.CONCRETE,
            Set.of(Defect.EFFLORESCENCE, Defect.RELEASE_POWDER, Defect.DUSTING),
            1,
            1,
            Set.of(Demand.ACID, Demand.WASH_WATER),
            Source.commonPractice("1 : 1 with water, or neat at 250 to 300 ft²/gal; light fizz, stiff brush"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isOnlyAsked() {
        return true;
    }

    @Override
    public Optional<String> closed() {
        return Optional.of("Water beads: where water cannot get in, a profiler cannot either.");
    }

    @Override
    public Optional<String> young() {
        return Optional.of("The concrete is green: acid eats the paste that has not hardened yet.");
    }

    @Override
    public String unknown() {
        return "; a profiler cannot cut through sealer, wax or oil";
    }

    @Override
    public String cannot(Defect defect) {
        return "a profiler cannot cut through it";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "The concrete is bare and thirsty: a profiler opens its pores and leaves the face as it is.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Opening opening = need.opening(this, condition);
        Dose dose = opening.dose().orElse(DOSE);
        boolean neat = dose.usual(Chemical.ETCH_LIQUID).water() == 0;
        Step open = Step.of(
                        Works.PROFILER,
                        neat ? "Brush the profiler on neat" : "Brush the profiler on",
                        "Section by section, on a wetted floor; light fizz all over, scrub with a stiff brush, never let it dry on.",
                        "Where it does not fizz something is on the floor, and no stain gets in there.")
                .careful(Chemical.Family.ACID.caution())
                .mixes(dose)
                .dwells(STANDS_MIN)
                .until(Gates.fizz());
        Step neutralise = Step.of(
                        Works.NEUTRALISE,
                        "Neutralise, wash, pick up",
                        "Baking soda in water, 15 min, then fresh water; pick it up: no residue.",
                        "What is left of the acid blooms white under the stain.")
                .careful("Neutralising gives off gas: ventilate. " + Steps.DISPOSAL)
                .mixes(Dose.NEUTRALISER)
                .dwells(NEUTRALISES_MIN)
                .until(Gates.residue());
        var steps = new ArrayList<Step>();
        steps.add(Step.of(
                Works.SWEEP,
                "Sweep, hose off what sticks",
                "Joints and edges too; edges dry enough for tape.",
                "Dirt takes the profiler, the concrete does not."));
        steps.add(open);
        steps.add(neutralise);
        if (opening.washPsi() > 0 && !condition.indoors()) {
            steps.add(Steps.pressureWash(
                            opening.washPsi(),
                            "Even passes, overlapping: the whole slab changes colour, and no stripe stays.",
                            "A stripe comes through the colour.")
                    .until(Gates.evenlyChanged()));
        }
        if (opening.is(Manner.STAYS_DAMP)) {
            steps.add(Step.of(
                            Works.CHECK,
                            "Damp, nothing standing",
                            "Push puddles off; mist what has dried. Pick dust up with a wet vacuum, not with a cloth.",
                            "On a puddle the stain runs; on dry concrete it laps.")
                    .which("damp")
                    .until(Gates.damp())
                    .closes());
            return List.copyOf(steps);
        }
        steps.addAll(Steps.closedDry(open, need, condition));
        return List.copyOf(steps);
    }
}

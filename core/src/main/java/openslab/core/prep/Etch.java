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

/** Acid etch: bare, sound, absorbent concrete and thin films only; about CSP 1, never over 3. */
final class Etch implements PrepMethod {
    /** CP: 75 ft²/gal of the mix. */
    private static final Dose DOSE =
            Dose.of(1.8, Chemical.ETCH_LIQUID, Chemical.MURIATIC).weakestFirst();

    private static final double PATCH_MIN = 2;
    private static final double ETCHES_MIN = 10;
    private static final double NEUTRALISES_MIN = 15;

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

    /** Acid does nothing to release powder; a system that wants the floor etched has it washed off first. */
    @Override
    public List<String> inTheWay(Condition condition, PrepNeed need) {
        boolean asked = need.asks().opening(id(), condition).isPresent();
        return PrepMethod.super.inTheWay(asked ? condition.without(Defect.RELEASE_POWDER) : condition, need);
    }

    @Override
    public Optional<String> closed() {
        return Optional.of("Water beads: where water cannot get in, acid cannot either.");
    }

    @Override
    public Optional<String> young() {
        return Optional.of(
                "The concrete is green: acid eats the paste that has not hardened yet. It is washed gently.");
    }

    /** Acid eats it first. */
    @Override
    public boolean takesTheLime() {
        return true;
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
    public String because(Condition condition, PrepNeed need) {
        return "The concrete is bare, sound and thirsty, and what goes on is thin: acid opens it enough, without dust.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Dose dose = need.opening(this, condition).dose().orElse(DOSE);
        boolean kit = dose.any().get(0) == Chemical.ETCH_GRANULES;
        Step damp = Step.of(
                Works.SWEEP, "Sweep, wash and leave damp", "No puddles.", "Dry concrete drinks the acid unevenly.");
        Step rinse = Step.of(
                        Works.NEUTRALISE,
                        "Neutralise, rinse twice",
                        "Baking soda in water, 15 to 20 min, then fresh water twice; pick it up.",
                        "Spent acid left behind feeds on the bond.")
                .careful("Neutralising gives off gas: ventilate. " + Steps.DISPOSAL)
                .mixes(Dose.NEUTRALISER)
                .dwells(NEUTRALISES_MIN)
                .until(Gates.rinsePh());
        Step dry =
                Steps.dry(Steps.CONCRETE_DRIES_H, "A fan is fine for wash water.", "A damp pore cannot take primer.");
        var steps = new ArrayList<Step>();
        if (condition.has(Defect.RELEASE_POWDER) && !condition.indoors()) {
            steps.add(WashConcrete.releaseOff().careful(Steps.DISPOSAL + " The jet cuts skin: boots and goggles."));
        }
        steps.add(condition.has(Defect.RELEASE_POWDER) && condition.indoors() ? damp.until(Gates.releaseOff()) : damp);
        if (dose.tried()) {
            steps.add(Steps.patch(dose, PATCH_MIN));
        }
        steps.add(Step.of(
                        Works.ETCH,
                        kit ? "Etch with what is in the box" : "Etch one section at a time",
                        (kit
                                        ? "One bag to a bucket, granules into water. "
                                        : "Acid into water, never water into acid. ")
                                + "About 10 × 10 ft at a time on the wetted floor: light fizz, scrub in, never let it dry"
                                + (kit ? "; squeegee it to one pool and wet-vacuum it." : "."),
                        "Acid that dries leaves salts under the film.")
                .careful(Chemical.Family.ACID.caution())
                .mixes(dose)
                .dwells(ETCHES_MIN)
                .until(Gates.fizz()));
        steps.addAll(List.of(
                rinse,
                dry,
                Step.of(
                                Works.CHECK,
                                "Rub and drop",
                                "Fingers across, then water.",
                                "White dust is loosened cement: scrub it off.")
                        .which("rub")
                        .until(Gates.rub())
                        .failingRepeats(rinse.id(), dry.id())
                        .closes(),
                Steps.compare(need, "Fine sandpaper at least.", "The film needs tooth."),
                Steps.vacuumLast("Vacuum again right before coating")));
        return List.copyOf(steps);
    }
}

package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** A solvent acrylic gets itself again: washed, tried with a drop, and nothing is abraded, since the new coat melts the old one. */
final class WashAcrylic implements PrepMethod {
    private static final Dose SOAP = Dose.of(3, Chemical.DISH_SOAP);

    private static final About ABOUT = new About(
            "wash-acrylic",
            "Wash, and try it with a drop",
            Kinds.ANY,
            Set.of(Defect.OIL, Defect.DUSTING),
            0,
            0,
            Set.of(Demand.WASH_WATER),
            Source.commonPractice(
                    "the same acrylic over itself after a wash and a drop test; a solvent coat re-melts the old one"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isForGround(Condition condition, PrepNeed need) {
        return condition.ground() == Ground.OWN_FILM_MELTS || isOld(condition, need);
    }

    /** Somebody else's acrylic, by a system that is nothing but the same over itself. */
    private boolean isOld(Condition condition, PrepNeed need) {
        return !condition.ground().isFilm()
                && need.asks().opening(id(), condition).isPresent();
    }

    @Override
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (reasons.isEmpty() && isOld(condition, need) && !condition.has(Defect.SEALER, Defect.OLD_COAT)) {
            reasons.add("No sealer was found that it could melt into.");
        }
        return reasons;
    }

    @Override
    public String cannot(Defect defect) {
        return "it stays under the new coat; mend it first, or take the film off and recoat";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        if (isOld(condition, need)) {
            return "An old acrylic takes the same again: a wash, and a drop of its solvent that shows it is one. Anything else under it needs a test square first.";
        }
        return "The same solvent acrylic goes over itself and melts the old coat: a wash and a drop are enough, nothing is dulled.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        var steps = new ArrayList<Step>();
        steps.add(Films.sweep());
        if (condition.greasy()) {
            steps.add(Films.degrease());
        }
        steps.add(Step.of(
                        Works.WASH_FILM,
                        "Wash with a squirt of soap",
                        "Soft white pad, a soft brush in a stamp, edges by hand; keep it wet and pick it up.",
                        "Dirt that is left is sealed in.")
                .careful("A wet film is slippery: closed off until it is dry.")
                .mixes(SOAP));
        steps.add(Films.rinse());
        steps.add(Films.dry(condition, need));
        steps.add(Step.of(
                        Works.CHECK,
                        "A drop of the new sealer's solvent",
                        "In a corner; a finger after a minute.",
                        "What does not soften is no acrylic: nothing else goes over it without its test patch.")
                .which("solvent")
                .careful("Flammable: a drop, no flame, doors open.")
                .until(Gates.softens()));
        steps.add(Step.of(
                        Works.WIPE,
                        "Blow it off",
                        "Joints and lows too; nobody walks on it after that.",
                        "Dust is a release layer.")
                .until(Gates.noDust())
                .closes());
        return List.copyOf(steps);
    }
}

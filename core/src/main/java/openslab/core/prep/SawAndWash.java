package openslab.core.prep;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Concrete stamped the day before: forms off, joints sawn, release washed off, dried for a day. */
final class SawAndWash implements PrepMethod {
    private static final Dose SOAP = Dose.of(3, Chemical.DISH_SOAP);

    private static final About ABOUT = new About(
            "saw-and-wash",
            "Saw and wash",
            Set.of(Substrate.STAMPED),
            Set.of(Defect.RELEASE_POWDER, Defect.EFFLORESCENCE),
            0,
            0,
            Set.of(Demand.WASH_WATER, Demand.NOISE),
            Source.commonPractice(
                    "new stamped concrete: saw and wash the next day, seal the day after; joints a quarter of the slab deep as ACI 302.1R has it, from memory"));

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
        return Optional.of("Water beads: a new slab has nothing on it that turns water away. Find out what it is.");
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "It is new: its joints are sawn while it is green, the release is washed off, and a day later it is dry enough for a sealer that breathes.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Step wash = Step.of(
                        Works.WASH_RELEASE,
                        "Wash the release off",
                        "Fan tip 16 to 18 in off, soap a squirt per 5 gal, scrub, rinse from the other end too. In the 50s °F leave the powder a day or two longer. Splashes on timber: soap at once.",
                        "Powder that is left is freckles after a winter; nearer, the jet cuts stripes into green concrete.")
                .careful("The jet cuts skin: boots and goggles. " + Steps.DISPOSAL)
                .mixes(SOAP)
                .until(Gates.releaseOff());
        return List.of(
                Step.of(
                        Works.FORMS_OFF,
                        "Take the forms off",
                        "Pulled straight away from the slab, nails out.",
                        "A form that is levered breaks the green edge."),
                Step.of(
                        Works.TAG,
                        "Mark both ends of every joint",
                        "Where the plan has them, on the edges of the slab; count them.",
                        "What is not marked is sawn where it looks right, or not at all."),
                Step.of(
                                Works.CUT_JOINTS,
                                "Saw the joints",
                                "Every 5 to 6 ft on walks, 1 in deep or more, a quarter of the slab; straight guide, dust mask. Count what is cut.",
                                "A slab that is not sawn cracks where it likes.")
                        .careful(
                                "Silica: water or a shroud with a vacuum, a respirator. The blade catches: both hands.")
                        .until(Gates.jointsCut()),
                wash,
                Step.of(
                                Works.RUB_SEAMS,
                                "Rub squeezed seams down",
                                "With something round, while it is green.",
                                "A ridge of paste breaks off and takes the sealer along.")
                        .until(Gates.seamsFlush()),
                Steps.dry(
                        Steps.CONCRETE_DRIES_H,
                        "After rain in the night until no patch is dark.",
                        "Water under a sealer whitens it."),
                Steps.blowOff(wash.id()));
    }
}

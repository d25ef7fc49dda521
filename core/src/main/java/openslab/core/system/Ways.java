package openslab.core.system;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.work.Work;
import openslab.core.product.Broadcast;
import openslab.core.product.Chemistry;
import openslab.core.product.Dye;
import openslab.core.product.Finish;
import openslab.core.product.Material;
import openslab.core.product.ProductSheet;
import openslab.core.product.Stain;
import openslab.core.product.TwoPart;

/** How a material is usually laid, where no system says otherwise. */
public final class Ways {
    private Ways() {}

    /** By what the sheet is a sheet of. */
    public static Way usual(ProductSheet sheet) {
        Material material = sheet.material();
        var steps = new ArrayList<LayStep>();
        if (material instanceof TwoPart) {
            steps.add(stir(
                    "Stir each part by itself first; then into the bucket what the sheet says first, the other after it, sides and bottom.",
                    List.of(Harm.AMINE, Harm.HOT_BUCKET)));
            if (sheet.handling().standMin() > 0) {
                steps.add(stand());
            }
            steps.add(cutIn(List.of(Harm.AMINE)));
            steps.add(coat(
                    LayWorks.ROLL,
                    "Pour out in ribbons, squeegee, roll",
                    "A ribbon 2 in from the far wall and one down the middle of the bay; squeegee, then roll even. The next bay against a wet edge.",
                    "What stays in the bucket heats up.",
                    List.of(Harm.AMINE, Harm.HOT_BUCKET)));
        } else if (material instanceof Broadcast) {
            steps.add(coat(
                    LayWorks.THROW,
                    "Throw it while the coat is wet",
                    "Upward, so that it falls by itself; never at a spot. Bay by bay, as the coat below goes on.",
                    "What lands on a skin does not sink in.",
                    List.of(Harm.SLIP)));
        } else if (material instanceof Finish) {
            steps.add(coat(
                    LayWorks.MOP_ON,
                    "Lay a thin coat",
                    "Edges first, then the field; thin, each coat across the one before.",
                    "Thick coats yellow and stay soft.",
                    List.of(Harm.SLIP)));
        } else if (material instanceof Stain || material instanceof Dye) {
            steps.add(coat(
                    LayWorks.SPRAY_STAIN,
                    "Spray it on",
                    "Circles and figure-eights, never straight lines; a wet edge all the time.",
                    "Colour shows every stop.",
                    List.of(material instanceof Stain ? Harm.ACID : Harm.SOLVENT)));
        } else {
            steps.add(stir("Stir it slowly in its can, sides and bottom; whip no air in.", List.of()));
            steps.add(cutIn(solvent(sheet)));
            steps.add(coat(
                    LayWorks.ROLL_THIN,
                    "Roll a thin even coat",
                    "Section by section against a wet edge, backwards to the door; no puddles, not starved. Watch the wet film along the light.",
                    "Thin coats win: thick ones stay soft, yellow and peel.",
                    solvent(sheet)));
        }
        return new Way("usual", steps);
    }

    private static List<Harm> solvent(ProductSheet sheet) {
        return sheet.traits().chemistry() == Chemistry.SOLVENT_ACRYLIC ? List.of(Harm.SOLVENT) : List.of(Harm.SLIP);
    }

    private static LayStep stir(String does, List<Harm> harms) {
        return new LayStep(
                LayWorks.STIR,
                "",
                "Stir and mix",
                does,
                "Pigment settles, and what is not mixed never cures.",
                harms,
                Optional.empty(),
                new LayWait.OfSheet(LayWait.Says.STIR),
                List.of(),
                false);
    }

    private static LayStep stand() {
        return new LayStep(
                LayWorks.STAND,
                "",
                "Let it stand",
                "As long as the sheet says, and not longer.",
                "The parts begin to react before they are spread.",
                List.of(),
                Optional.empty(),
                new LayWait.OfSheet(LayWait.Says.STAND),
                List.of(),
                false);
    }

    private static LayStep cutIn(List<Harm> harms) {
        return new LayStep(
                LayWorks.CUT_IN,
                "",
                "Cut in the edges",
                "By brush just ahead of the roller, section by section.",
                "An edge that has set shows as a frame.",
                harms,
                Optional.empty(),
                LayWait.NONE,
                List.of(),
                false);
    }

    private static LayStep coat(Work work, String title, String does, String why, List<Harm> harms) {
        return new LayStep(work, "", title, does, why, harms, Optional.empty(), LayWait.NONE, List.of(), true);
    }
}

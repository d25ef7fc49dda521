package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Tile and grout: degreased, stripped of wax, dulled; three quarters of success is here. */
final class ScrubTile implements PrepMethod {
    private static final About ABOUT = new About(
            "scrub-tile",
            "Scrub and dull the tile",
            Kinds.TILE,
            Set.of(
                    Defect.OIL,
                    Defect.SILICONE,
                    Defect.SEALER,
                    Defect.POLISH,
                    Defect.EFFLORESCENCE,
                    Defect.DUSTING,
                    Defect.HOLLOW,
                    Defect.PAINT),
            0,
            0,
            Set.of(Demand.WASH_WATER, Demand.ABRASION),
            Source.commonPractice("preparation is three quarters of success; scrub grout and corners"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public String because(Condition condition, ProfileNeed need) {
        return condition.greasy()
                ? "Grease sits in the grout: it comes out with a degreaser and a brush, section by section, or the coat sheets away."
                : "Glaze and grout are cleaned and dulled so that the coat has something to hold.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        var steps = new ArrayList<Step>();
        if (condition.has(Defect.HOLLOW)) {
            steps.add(Step.of(
                    "Lift and reset loose tiles",
                    "Tap every one; fill missing grout.",
                    "A coat bridges nothing that moves, and never hides a loose tile."));
        }
        steps.add(Step.of("Sweep and vacuum", "Corners and grout lines.", "Grit scratches and turns to slurry."));
        if (condition.has(Defect.POLISH, Defect.SEALER)) {
            steps.add(Step.of(
                            "Strip wax and sealer",
                            "16 fl oz to the gallon, dwell until a rub lifts it, square pad along the walls, recover the slurry.",
                            "Every layer of polish peels, and takes the coat along.")
                    .careful("Slippery. Gloves and goggles. Never with bleach or acid."));
        }
        steps.add(Step.of(
                        "Degrease and scrub",
                        "Stiff brush along grout and in corners; fresh-water mop after each section.",
                        "Grease sits where the pad does not reach.")
                .careful("Degreasers burn skin and eyes: gloves and goggles. Never mix cleaners.")
                .until(Gate.residue()));
        steps.add(Step.of(
                        "Sand the glaze dull",
                        "By hand or with a screen; every tile, edges too.",
                        "A coat lets go of a shine.")
                .careful("Dust of tile is silica: wet, or with a vacuum at the pad.")
                .until(Gate.dull()));
        steps.add(Step.of("Vacuum and wipe", "A cloth barely damp, turned often.", "Dust is a release layer.")
                .until(Gate.noDust()));
        steps.add(Step.of("Dry", "Grout last: overnight.", "Grout holds water long after the tile is dry.")
                .until(Gate.dry(12)));
        return steps;
    }
}

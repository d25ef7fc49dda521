package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.Opening.Manner;
import openslab.core.prep.wash.Chemical;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Tile and grout: degreased, stripped of wax, dulled; three quarters of success is here. */
final class ScrubTile implements PrepMethod {
    private static final double GROUT_DRIES_H = 12;

    private static final About ABOUT = new About(
            "scrub-tile",
            "Scrub the tile",
            Kinds.TILE,
            Set.of(
                    Defect.OIL,
                    Defect.SILICONE,
                    Defect.SEALER,
                    Defect.POLISH,
                    Defect.EFFLORESCENCE,
                    Defect.DUSTING,
                    Defect.HOLLOW,
                    Defect.PAINT,
                    Defect.OLD_COAT),
            0,
            0,
            Set.of(Demand.WASH_WATER, Demand.ABRASION),
            Source.commonPractice("preparation is three quarters of success; scrub grout and corners"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return condition.greasy()
                ? "Grease sits in the grout: it comes out with a degreaser and a brush, section by section, or the coat sheets away."
                : need.sanding()
                        ? "Glaze and grout are cleaned and dulled so that the coat has something to hold."
                        : "Glaze and grout are cleaned; the sheet of what goes on first asks for no sanding on sound tile.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        var steps = new ArrayList<Step>();
        if (condition.has(Defect.HOLLOW)) {
            steps.add(Step.of(
                            Works.RESET_TILES,
                            "Lift and reset loose tiles",
                            "Tap every one; fill missing grout.",
                            "A coat bridges nothing that moves, and never hides a loose tile.")
                    .until(Gates.sound()));
        }
        steps.add(Step.of(
                Works.SWEEP, "Sweep and vacuum", "Corners and grout lines.", "Grit scratches and turns to slurry."));
        boolean strips = condition.has(Defect.POLISH, Defect.SEALER)
                || need.opening(this, condition).is(Manner.STRIPPED);
        if (strips) {
            Step lay = StripResilient.lay("Dwell until a rub lifts it; keep it wet.");
            steps.add(lay);
            steps.add(Step.of(
                            Works.SCRUB_OFF,
                            "Scrub it off, pick it up",
                            "175 rpm machine, black pad, trained hands; square pad at the walls, brush in the grout; the slurry up before it dries.",
                            "Polish that is left in the grout browns again.")
                    .careful(Steps.UNTRAINED + " " + Steps.DISPOSAL)
                    .until(Gates.nothingLifts())
                    .failingRepeats(lay.id()));
        }
        Step degrease = Step.of(
                        Works.DEGREASE,
                        "Degrease and scrub",
                        "Section by section: stiff brush along grout and in corners; fresh-water mop after each.",
                        "Grease sits where the pad does not reach.")
                .careful(Chemical.Family.ALKALI.caution())
                .mixes(CleanAndTest.DOSE)
                .dwells(CleanAndTest.STANDS_MIN)
                .until(Gates.residue());
        steps.add(degrease);
        if (strips) {
            steps.add(Step.of(
                            Works.RINSE,
                            "Extract and rinse",
                            "Extraction at about 1200 psi, contained indoors; then fresh water once more, its own bucket.",
                            "Stripper that is left in the grout keeps a sealer out.")
                    .careful(Steps.DISPOSAL)
                    .until(Gates.residue()));
        }
        boolean glazed = condition.substrate() != Substrate.PAVERS;
        if (need.sanding() && glazed || condition.has(Defect.PAINT, Defect.OLD_COAT)) {
            steps.add(Step.of(
                            Works.DULL_TILE,
                            glazed ? "Sand the glaze dull" : "Sand the old coat off",
                            "By hand or with a screen; every tile, edges too.",
                            "A coat lets go of a shine, and of what lets go below it.")
                    .careful("Dust of tile is silica: wet, or with a vacuum at the pad.")
                    .until(Gates.dull()));
        }
        steps.add(Steps.dry(GROUT_DRIES_H, "Grout last: overnight.", "Grout holds water long after the tile is dry."));
        steps.add(Step.of(
                        Works.WIPE,
                        "Vacuum and tack off",
                        "Dry cloths, a fresh side often; corners and grout lines.",
                        "Dust is a release layer.")
                .until(Gates.noDust())
                .closes());
        return steps;
    }
}

package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.Opening.Manner;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Timber, metal and composite ramps: wiped, abraded, wiped again, coated the same day. */
final class AbradeHard implements PrepMethod {
    private static final About ABOUT = new About(
            "abrade",
            "Clean and abrade",
            Set.of(Substrate.TIMBER, Substrate.METAL, Substrate.COMPOSITE),
            Set.of(
                    Defect.OIL,
                    Defect.SILICONE,
                    Defect.SEALER,
                    Defect.POLISH,
                    Defect.PAINT,
                    Defect.OLD_COAT,
                    Defect.DUSTING,
                    Defect.FACTORY_FILM),
            0,
            0,
            Set.of(Demand.DUST, Demand.ABRASION, Demand.FUMES),
            Source.commonPractice("wipe first: abrading grease only works it in"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public String cannot(Defect defect) {
        return defect == Defect.HOLLOW ? "loose boards and plates are fixed first" : "abrading does not take it off";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return switch (condition.substrate()) {
            case METAL -> "Metal is wiped, abraded bright and coated before it rusts again.";
            case TIMBER -> "Timber is sanded to sound grey-free wood along the grain, and only coated dry.";
            default -> "Composite has a skin that nothing bonds to until it is scuffed through.";
        };
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        boolean metal = condition.substrate() == Substrate.METAL;
        boolean keeps = need.opening(this, condition).is(Manner.KEEPS_COAT);
        return List.of(
                Step.of(
                        Works.FIX_LOOSE,
                        "Fix what is loose, sweep",
                        "Nails, bolts and edges below the surface.",
                        "What moves cracks every film."),
                Step.of(
                                Works.SOLVENT_WIPE,
                                "Wipe with solvent",
                                "Fresh cloths, one way, turned often.",
                                "Abrading grease only works it in.")
                        .careful("Flammable: no flame, no spark, fresh air, gloves.")
                        .until(Gates.wiped()),
                Step.of(
                                Works.ABRADE,
                                keeps
                                        ? "Wire-brush it all over"
                                        : metal ? "Abrade to bright metal" : "Sand it dull all over",
                                keeps
                                        ? "Rust, grey wood and whatever lets go come off, to the sound edge; what holds is dulled."
                                        : metal
                                                ? "Coarse disc or needle gun at rust, then even all over."
                                                : "80 grit along the length; edges by hand.",
                                keeps
                                        ? "An old coat stays only where it holds: what is put on holds no better."
                                        : "A film holds to tooth, not to shine.")
                        .careful("Dust: vacuum at the tool, respirator. Old paint may hold lead: sample it first.")
                        .until(keeps ? Gates.coatHolds() : Gates.dull()),
                Step.of(
                                Works.CHECK,
                                "Dry, the same day",
                                metal ? "Before it blooms with rust." : "Dry to the touch and to the meter.",
                                "A night of dew undoes it.")
                        .which("dry")
                        .until(Gates.dry(2, true)),
                Step.of(Works.WIPE, "Vacuum and wipe again", "Until the cloth stays clean.", "Dust is a release layer.")
                        .until(Gates.noDust())
                        .closes());
    }
}

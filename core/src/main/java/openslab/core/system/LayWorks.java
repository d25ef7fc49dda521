package openslab.core.system;

import static openslab.core.course.work.Item.*;

import java.util.List;
import java.util.Set;
import openslab.core.course.work.Work;
import openslab.core.course.work.Work.Per;
import openslab.core.prep.Works;

/**
 * Every kind of work of laying. Paces of one person are ours, as a start: a crew's own beat them after three floors. Nobody
 * published them.
 */
public final class LayWorks {
    /** What a roller is covered with; which nap, its sheet says. */
    public static final String SLEEVE = "Roller sleeve";

    static final String FLUSH = "Can of acetone or xylene, to flush the sprayer";

    public static final Work SETTLE = Work.of("settle", "Settle what cannot be undone", Per.ONCE, 0.25);
    public static final Work STIR = Work.of("stir", "Stir and mix", Per.ONCE, 0.2, PADDLE, GLOVES, GOGGLES);
    public static final Work STIR_GRIT =
            Work.of("stir-grit", "Stir, and stir grit in", Per.ONCE, 0.3, PADDLE, GLOVES, GOGGLES);
    public static final Work STAND = Work.of("stand", "Let it stand", Per.ONCE, 0.1);
    public static final Work CUT_IN = Work.of("cut-in", "Cut in the edges", Per.EDGE, 30, EDGE_BRUSH, TRAY)
            .wears("Brush", 150);
    public static final Work ROLL = Work.of(
                    "roll", "Squeegee and roll", Per.FLOOR, 60, SQUEEGEE, ROLLER, SPIKES, HELPER)
            .hands(2)
            .wears(SLEEVE, 50);
    public static final Work ROLL_THIN = Work.of("roll-thin", "Roll a thin coat", Per.FLOOR, 50, ROLLER, TRAY, LAMP)
            .wears(SLEEVE, 70);
    public static final Work ROLL_INDOORS = Work.of(
                    "roll-indoors", "Roll a thin coat, in socks", Per.FLOOR, 50, ROLLER, TRAY, LAMP, SOCKS)
            .wears(SLEEVE, 70);
    public static final Work SPRAY_STAIN = Work.of(
                    "spray-stain", "Spray stain", Per.FLOOR, 60, PLASTIC_SPRAYER, SPIKES, GOGGLES, GLOVES, BOOTS, AIR)
            .hands(2);
    public static final Work SPRAY_SEALER = Work.of(
                    "spray-sealer",
                    "Spray and back-roll sealer",
                    Per.FLOOR,
                    70,
                    SOLVENT_SPRAYER,
                    ROLLER,
                    GOGGLES,
                    GLOVES,
                    RESPIRATOR,
                    AIR,
                    HELPER)
            .hands(2)
            .draws(FLUSH, 400)
            .wears(SLEEVE, 100);
    /** Over dye: a roller drags the colour along. */
    public static final Work SPRAY_ONLY = Work.of(
                    "spray-only",
                    "Spray sealer, no roller",
                    Per.FLOOR,
                    90,
                    SOLVENT_SPRAYER,
                    GOGGLES,
                    GLOVES,
                    RESPIRATOR,
                    AIR,
                    HELPER)
            .hands(2)
            .draws(FLUSH, 400);

    public static final Work SPRAY_TACK = Work.of(
                    "spray-tack", "Spray the tack coat", Per.FLOOR, 40, HOPPER, BOOTS, GOGGLES, RESPIRATOR, HELPER)
            .hands(2);
    public static final Work TEST_SQUARE =
            Work.of("test-square", "Lay a test square", Per.ONCE, 1, EDGE_BRUSH, GLOVES, GOGGLES);
    public static final Work MOP_ON = Work.of(
                    "mop-on", "Lay a coat of wax or finish", Per.FLOOR, 120, FINISH_MOP, SOCKS)
            .wears("Mop head", 200);
    public static final Work TAPE_EDGES =
            Work.of("tape-edges", "Tape edges and lip", Per.EDGE, 60, TAPE).wears(Works.MASKING_TAPE, 45);
    public static final Work STIR_STICK =
            Work.of("stir-stick", "Measure and stir by stick", Per.ONCE, 0.15, PLUMB_CUPS, GLOVES, GOGGLES);
    public static final Work POUR = Work.of("pour", "Pour and spread", Per.FLOOR, 60, SQUEEGEE, EDGE_BRUSH, HELPER)
            .hands(2)
            .wears("Brush", 100);
    public static final Work OUTLINE = Work.of("outline", "Outline the edges", Per.EDGE, 120, FINISH_MOP, SOCKS);
    public static final Work THROW =
            Work.of("throw", "Throw it", Per.FLOOR, 90, SPIKES, HELPER).hands(2);
    public static final Work WIPE_OFF =
            Work.of("wipe-off", "Wipe off what stands", Per.FLOOR, 60, CLOTHS).wears("Cloth", 10);
    public static final Work WATCH = Work.of("watch", "Wait and look", Per.ONCE, 0.2);
    public static final Work NEUTRALISE = Work.of(
                    "neutralise-stain", "Neutralise", Per.FLOOR, 60, SODA, MOPS, GLOVES, GOGGLES, BOOTS, AIR)
            .wet(0.4)
            .draws("Box of baking soda", 100);
    public static final Work SCRUB = Work.of(
                    "scrub-residue",
                    "Scrub, pick up and rinse",
                    Per.FLOOR,
                    25,
                    SCRUBBER,
                    BRUSHES,
                    WET_VACUUM,
                    FRESH_WATER,
                    GLOVES,
                    BOOTS,
                    TRAINED,
                    WHITE_CLOTHS)
            .hands(2)
            .wet(3)
            .wears("White cloth", 40)
            .wears("Brush or pad", 100);
    public static final Work DRY_OUT = Work.of("dry-out", "Let it dry", Per.ONCE, 0.1);
    public static final Work LOOK = Work.of("look", "Look at it", Per.ONCE, 0.25, LAMP);
    public static final Work TACK =
            Work.of("tack", "Tack off", Per.FLOOR, 150, CLOTHS).wears("Tack cloth", 25);
    public static final Work UNMASK = Work.of("unmask", "Pull the masking", Per.EDGE, 120);

    public static final Work TAG = Works.TAG;
    public static final Work MIX_BAGS =
            Work.of("mix-bags", "Mix the bags", Per.ONCE, 0.3, MIXER, BAGS, RESPIRATOR, GLOVES, GOGGLES, HELPER);
    public static final Work PLACE = Work.of(
                    "place", "Pour, rake to the gauge, float", Per.FLOOR, 12, GAUGE_RAKE, SPIKES, BOOTS, HELPER)
            .hands(3);
    public static final Work STAMP =
            Work.of("stamp", "Stamp", Per.FLOOR, 15, STAMPS, HELPER).hands(3).draws("Pail of release", 90);
    public static final Work CUT_JOINTS = Works.CUT_JOINTS;
    public static final Work ACCENT = Work.of(
                    "accent", "Roll and broom the accent", Per.FLOOR, 40, ROLLER, BROOM, GLOVES)
            .wears(SLEEVE, 60);
    public static final Work SPRAY_DYE = Work.of(
                    "spray-dye", "Spray dye", Per.FLOOR, 70, ACETONE_SPRAYER, SPIKES, GOGGLES, GLOVES, RESPIRATOR, AIR)
            .hands(2)
            .draws(FLUSH, 400);
    public static final Work BRUSH_ANTIQUE = Work.of(
                    "brush-antique", "Mist and brush the antique in", Per.FLOOR, 20, SOFT_BRUSH, GLOVES, HELPER)
            .hands(3);
    public static final Work BUFF = Work.of("buff", "Buff the high places", Per.FLOOR, 60, BRUSHES, CLOTHS)
            .wears("Cloth", 20);
    public static final Work SPRAY_WATER = Work.of(
                    "spray-water-stain", "Spray water-based stain", Per.FLOOR, 60, SPRAYER, SPIKES, GOGGLES, GLOVES)
            .hands(2);
    public static final Work SPREAD = Work.of(
                    "spread", "Squeegee or broom it on", Per.FLOOR, 20, SQUEEGEE, BROOM, FOAM, BOOTS, HELPER)
            .hands(2)
            .draws("Roll of foam or joint tape", 60)
            .wears("Sheet of 20 grit paper", 20);
    public static final Work TEXTURE = Work.of("texture", "Pull the texture", Per.FLOOR, 15, BROOM, TROWELS)
            .hands(2);
    public static final Work TAPE_PLANKS = Work.of("tape-planks", "Tape the planks", Per.FLOOR, 8, FIBRE_TAPE, PINS)
            .hands(2)
            .draws("Roll of fibre tape", 6)
            .draws("Box of pins or nails", 100);
    public static final Work PULL_TAPE = Work.of("pull-tape", "Pull the tape", Per.FLOOR, 40);
    public static final Work NAIL_HOLES = Work.of("nail-holes", "Drill the nail holes", Per.FLOOR, 25, DRILL, GOGGLES)
            .draws("Bottle of nail-hole colour", 100);
    public static final Work LAY_MORTAR = Work.of(
                    "lay-mortar",
                    "Lay mortar with the notched edge, flatten it",
                    Per.FLOOR,
                    10,
                    TROWELS,
                    SPIKES,
                    GLOVES,
                    HELPER)
            .hands(2);
    public static final Work PRESS_MORTAR =
            Work.of("press-mortar", "Mist, float in circles", Per.FLOOR, 12, TROWELS, GLOVES);
    public static final Work DRAW_COLOUR =
            Work.of("draw-colour", "Dust colour on, draw it in, close it", Per.FLOOR, 8, TROWELS, GLOVES, RESPIRATOR);

    public static final List<Work> ALL = List.of(
            SETTLE,
            STIR,
            STIR_GRIT,
            STAND,
            CUT_IN,
            ROLL,
            ROLL_THIN,
            ROLL_INDOORS,
            SPRAY_STAIN,
            SPRAY_SEALER,
            SPRAY_ONLY,
            SPRAY_TACK,
            TEST_SQUARE,
            MOP_ON,
            TAPE_EDGES,
            STIR_STICK,
            POUR,
            OUTLINE,
            THROW,
            WIPE_OFF,
            WATCH,
            NEUTRALISE,
            SCRUB,
            DRY_OUT,
            LOOK,
            TACK,
            UNMASK,
            MIX_BAGS,
            PLACE,
            STAMP,
            ACCENT,
            SPRAY_DYE,
            BRUSH_ANTIQUE,
            BUFF,
            SPRAY_WATER,
            SPREAD,
            TEXTURE,
            TAPE_PLANKS,
            PULL_TAPE,
            NAIL_HOLES,
            LAY_MORTAR,
            PRESS_MORTAR,
            DRAW_COLOUR);

    /** Work of a layer that mixes nothing and wets nothing: nothing stands against it yet. */
    public static final Set<Work> MIXES_NOTHING = Set.of(SETTLE, TEST_SQUARE, TAG, TAPE_EDGES, TACK, LOOK, TAPE_PLANKS);

    private LayWorks() {}
}

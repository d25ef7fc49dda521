package openslab.core.prep;

import static openslab.core.course.work.Item.*;

import java.util.List;
import openslab.core.course.work.Work;
import openslab.core.course.work.Work.Per;
import openslab.core.silica.SilicaTask;

/**
 * Every kind of work of preparation. Paces (of one person), wear, water and depths are OURS, to begin with: no book gives them, and
 * the crew's own log beats them.
 */
public final class Works {
    /** Counted by what the plan says is masked. */
    public static final String MASKING_TAPE = "Roll of masking tape";

    public static final String MASKING_FILM = "Roll of film";

    private static final double SEVEN_INCH_M = 0.1778;
    /** 4 1/2 in. */
    private static final double SMALL_WHEEL_M = 0.1143;

    private static final double BRISTLE_M = 0.0001;
    /** A glaze is dulled by microns, not cut through. */
    private static final double DULLED_M = 0.000005;

    // dry and clean
    public static final Work SWEEP =
            Work.of("sweep", "Sweep and vacuum", Per.FLOOR, 250, BROOM, VACUUM).wears("Vacuum bag", 150);
    public static final Work DUST_MOP = Work.of("dust-mop", "Sweep and dust-mop", Per.FLOOR, 400, BROOM);
    public static final Work VACUUM_OFF = Work.of("vacuum", "Vacuum edges and floor", Per.FLOOR, 150, VACUUM, TEST_KIT)
            .wears("Vacuum bag", 150);
    public static final Work WIPE =
            Work.of("wipe", "Wipe", Per.FLOOR, 80, CLOTHS).wears("Tack cloth", 10);
    public static final Work SOLVENT_WIPE = Work.of(
                    "solvent-wipe", "Wipe with solvent", Per.FLOOR, 40, CLOTHS, GLOVES, AIR)
            .draws("Can of wiping solvent", 40)
            .wears("Cloth", 4);
    public static final Work CHECK = Work.of("check", "Test", Per.ONCE, 0.25, TEST_KIT);
    public static final Work DRY = Work.of("dry", "Dry", Per.ONCE, 0.1);
    public static final Work WALK = Work.of("walk", "Walk the floor again", Per.ONCE, 0.5, TEST_KIT);
    public static final Work PATCH_TEST =
            Work.of("patch-test", "Try it in a corner", Per.ONCE, 0.5, BRUSHES, FRESH_WATER, GOGGLES, GLOVES);

    // wet
    public static final Work DEGREASE = Work.of(
                    "degrease", "Degrease and scrub", Per.FLOOR, 30, SCRUBBER, BRUSHES, GLOVES, GOGGLES, TRAINED)
            .wet(1.5)
            .wears("Brush or pad", 100);
    public static final Work RINSE = Work.of("rinse", "Rinse", Per.FLOOR, 60, MOPS, WET_VACUUM, FRESH_WATER)
            .wet(3);
    public static final Work PRESSURE_WASH = Work.of(
                    "pressure-wash", "Pressure wash", Per.FLOOR, 40, WASHER, GOGGLES, BOOTS, CLOSED_OFF)
            .hands(2)
            .wet(8);
    public static final Work STRIP = Work.of(
                    "strip", "Lay the stripper", Per.FLOOR, 80, MOPS, GLOVES, GOGGLES, BOOTS, AIR, CLOSED_OFF)
            .wet(0.3);
    public static final Work SCRUB_OFF = Work.of(
                    "scrub-off", "Scrub the film off", Per.FLOOR, 25, SCRUBBER, WET_VACUUM, TRAINED, HELPER)
            .hands(2)
            .wet(0.3)
            .wears("Black pad", 60);
    public static final Work SCUFF = Work.of("scuff", "Clean and dull", Per.FLOOR, 45, SCRUBBER, MOPS, TRAINED)
            .wet(0.5)
            .wears("Maroon pad", 80);
    public static final Work WASH_FILM = Work.of("wash-film", "Wash", Per.FLOOR, 90, SCRUBBER, MOPS, TRAINED)
            .wet(0.5)
            .wears("White pad", 100);
    public static final Work DESCALE = Work.of(
                    "descale",
                    "Lift with descaler",
                    Per.FLOOR,
                    25,
                    SPRAYER,
                    BRUSHES,
                    GOGGLES,
                    GLOVES,
                    BOOTS,
                    CLOSED_OFF)
            .hands(2)
            .wet(0.6);
    public static final Work ETCH = Work.of(
                    "etch",
                    "Etch",
                    Per.FLOOR,
                    25,
                    SPRAYER,
                    BRUSHES,
                    SODA,
                    GOGGLES,
                    GLOVES,
                    BOOTS,
                    AIR,
                    CLOSED_OFF,
                    HELPER)
            .hands(2)
            .wet(0.6);
    public static final Work NEUTRALISE = Work.of(
                    "neutralise", "Neutralise and rinse", Per.FLOOR, 30, SODA, MOPS, WET_VACUUM, FRESH_WATER, TEST_KIT)
            .hands(2)
            .wet(5)
            .draws("Box of baking soda", 40);

    // opened
    public static final Work HAND_GRIND = edge("hand-grind", "Grind the edges", 8, 0.0005);
    public static final Work HAND_GRIND_FILM = edge("hand-grind-film", "Grind a film off the edges", 4, 0.0008);
    public static final Work GRIND = machine("grind", "Grind the field", 20, 0.0005);
    public static final Work GRIND_FILM = machine("grind-film", "Grind a film off", 10, 0.0008);
    public static final Work SHOT_BLAST = Work.of(
                    "shot-blast", "Shot-blast", Per.FLOOR, 40, BLASTER, GOGGLES, EARS, TRAINED, HELPER)
            .hands(2)
            .dust(0.001, SilicaTask.UNLISTED)
            .wears("Bag of shot", 400)
            .wears("Dust bag", 40);
    public static final Work SCARIFY = Work.of(
                    "scarify", "Scarify", Per.FLOOR, 12, SCARIFIER, GOGGLES, EARS, RESPIRATOR, TRAINED)
            .dust(0.003, SilicaTask.UNLISTED)
            .wears("Set of cutters", 300)
            .wears("Dust bag", 15);
    public static final Work MEDIA_BLAST = Work.of(
                    "media-blast",
                    "Media blast",
                    Per.FLOOR,
                    10,
                    BLAST_POT,
                    GOGGLES,
                    EARS,
                    RESPIRATOR,
                    CLOSED_OFF,
                    HELPER)
            .hands(2)
            .dust(0.0005, SilicaTask.UNLISTED)
            .wears("Bag of media", 4);
    public static final Work DULL_TILE = Work.of("dull-tile", "Sand the glaze", Per.FLOOR, 10, SANDER, RESPIRATOR)
            .dust(DULLED_M, SilicaTask.UNLISTED)
            .wears("Screen or disc", 8);
    public static final Work ABRADE = Work.of("abrade", "Abrade", Per.FLOOR, 6, SANDER, GOGGLES, EARS, RESPIRATOR)
            .wears("Disc or sheet", 3);

    // broken out and made good
    public static final Work BREAK_OUT = Work.of(
                    "break-out", "Break out", Per.FLOOR, 4, CHIPPER, GOGGLES, EARS, GLOVES, RESPIRATOR)
            .dust(0.001, SilicaTask.CHIPPER);
    public static final Work SAW_UP = Work.of(
                    "saw-up", "Saw into pieces", Per.FLOOR, 15, SAW, GOGGLES, EARS, RESPIRATOR)
            .dust(BRISTLE_M, SilicaTask.HANDHELD_SAW)
            .wears("Diamond blade", 200);
    public static final Work RESET_TILES = Work.of("reset-tiles", "Reset loose tiles", Per.ONCE, 2, MIXER);
    public static final Work FIX_LOOSE = Work.of("fix-loose", "Fix what is loose", Per.ONCE, 1);
    public static final Work PRIME_WORN = Work.of("prime-worn", "Prime where it is worn", Per.ONCE, 1, AIR)
            .draws("Small unit of primer for worn places", 1);
    public static final Work CHASE = Work.of(
                    "chase", "Chase cracks open", Per.EDGE, 12, SAW, GOGGLES, EARS, VACUUM, RESPIRATOR)
            .dust(0, SilicaTask.HAND_GRINDER)
            .wheel(SMALL_WHEEL_M)
            .wears("Diamond blade", 150);
    public static final Work CUT_EDGE = Work.of(
                    "cut-edge", "Cut the edge", Per.EDGE, 12, SAW, CHALK_LINE, GOGGLES, EARS, VACUUM, RESPIRATOR)
            .dust(0, SilicaTask.HAND_GRINDER)
            .wheel(SMALL_WHEEL_M)
            .wears("Diamond blade", 150);
    public static final Work FILL = Work.of("fill", "Fill cracks and joints", Per.EDGE, 8, MIXER, GLOVES)
            .draws("Roll of reinforcing tape", 25);
    public static final Work PATCH = Work.of("patch", "Patch in lifts", Per.FLOOR, 3, MIXER, GLOVES);
    public static final Work LEVEL = Work.of("level", "Fill to level", Per.ONCE, 3, MIXER, GLOVES);
    public static final Work COVE = Work.of("cove", "Trowel the cove", Per.EDGE, 4, MIXER, GLOVES);
    public static final Work GRIND_LIP = Work.of(
                    "grind-lip",
                    "Grind a lip to its slope",
                    Per.FLOOR,
                    1.5,
                    HAND_GRINDER,
                    VACUUM,
                    GOGGLES,
                    EARS,
                    RESPIRATOR)
            .dust(0, SilicaTask.HAND_GRINDER)
            .wheel(SEVEN_INCH_M);
    public static final Work MASK =
            Work.of("mask", "Mask", Per.EDGE, 20, TAPE).wears(MASKING_TAPE, 45).wears(MASKING_FILM, 30);
    public static final Work TRIM_OFF = Work.of("trim-off", "Take the trim off", Per.EDGE, 15, GLOVES);
    public static final Work PRIME_PATCH = Work.of("prime-patch", "Prime where it is patched", Per.ONCE, 0.5, GLOVES)
            .draws("Small unit of patch primer", 1);
    public static final Work MARK_JOINTS =
            Work.of("mark-joints", "Pin both ends of joints", Per.ONCE, 0.5).draws("Box of pins or nails", 1);
    public static final Work TAG = Work.of("tag-joints", "Tag both ends of every expansion joint", Per.ONCE, 0.5, PINS)
            .draws("Box of pins or nails", 1);
    public static final Work CUT_JOINTS = Work.of(
                    "cut-joints", "Cut the joints", Per.ONCE, 2, SAW, CHALK_LINE, EARS, GOGGLES, RESPIRATOR)
            .wears("Diamond blade", 1);
    public static final Work WASH_RELEASE = Work.of(
                    "wash-release", "Wash the release off", Per.FLOOR, 20, WASHER, BRUSHES, GOGGLES, BOOTS, CLOSED_OFF)
            .wet(4)
            .draws("Bottle of dish soap", 100);
    public static final Work RUB_SEAMS =
            Work.of("rub-seams", "Rub squeezed seams down", Per.FLOOR, 60, BRUSHES, GLOVES);

    // what only some systems ask for
    public static final Work FORMS_OFF = Work.of("forms-off", "Take the forms off", Per.EDGE, 20, GLOVES);
    public static final Work DIG_BACK = Work.of("dig-back", "Dig the soil back", Per.EDGE, 8, GLOVES, SHOVEL);
    public static final Work LOOSE_OFF =
            Work.of("loose-off", "Everything loose off", Per.FLOOR, 60, CHIPPER, BROOM, GOGGLES, GLOVES);
    public static final Work BLOCK_HIGH = Work.of(
                    "block-high", "Block high spots", Per.FLOOR, 80, GRIT_BLOCK, VACUUM, RESPIRATOR)
            .wears("Sheet of 20 grit paper", 40);
    public static final Work CLOSE_GAPS =
            Work.of("close-gaps", "Close gaps, set strips", Per.EDGE, 20, FOAM).draws("Roll of foam or joint tape", 60);
    public static final Work PROFILER = Work.of(
                    "profiler",
                    "Brush the profiler on",
                    Per.FLOOR,
                    40,
                    BRUSHES,
                    GOGGLES,
                    GLOVES,
                    BOOTS,
                    CLOSED_OFF,
                    HELPER)
            .hands(2)
            .wet(0.15);
    public static final Work SAND_OPEN = Work.of(
                    "sand-open", "Sand the face open", Per.FLOOR, 35, SANDER, EARS, RESPIRATOR)
            .dust(DULLED_M, SilicaTask.UNLISTED)
            .wears("Screen or disc", 25);
    public static final Work SCRUB_WASH = Work.of(
                    "scrub-wash", "Wash and scrub", Per.FLOOR, 40, SCRUBBER, BRUSHES, WET_VACUUM, FRESH_WATER, TRAINED)
            .wet(1.5)
            .wears("Brush or pad", 150);
    public static final Work TELL = Work.of("tell", "Say it in writing", Per.ONCE, 0.25);

    public static final List<Work> ALL = List.of(
            SWEEP,
            DUST_MOP,
            VACUUM_OFF,
            WIPE,
            SOLVENT_WIPE,
            CHECK,
            DRY,
            WALK,
            PATCH_TEST,
            DEGREASE,
            RINSE,
            PRESSURE_WASH,
            STRIP,
            SCRUB_OFF,
            SCUFF,
            WASH_FILM,
            DESCALE,
            ETCH,
            NEUTRALISE,
            HAND_GRIND,
            HAND_GRIND_FILM,
            GRIND,
            GRIND_FILM,
            SHOT_BLAST,
            SCARIFY,
            MEDIA_BLAST,
            DULL_TILE,
            ABRADE,
            BREAK_OUT,
            SAW_UP,
            RESET_TILES,
            FIX_LOOSE,
            PRIME_WORN,
            CHASE,
            CUT_EDGE,
            FILL,
            PATCH,
            LEVEL,
            COVE,
            GRIND_LIP,
            MASK,
            TRIM_OFF,
            PRIME_PATCH,
            MARK_JOINTS,
            TAG,
            CUT_JOINTS,
            WASH_RELEASE,
            RUB_SEAMS,
            FORMS_OFF,
            DIG_BACK,
            LOOSE_OFF,
            BLOCK_HIGH,
            CLOSE_GAPS,
            PROFILER,
            SAND_OPEN,
            SCRUB_WASH,
            TELL);

    private Works() {}

    /** Indoors a half mask is worn where hand grinding lasts, so it lies ready. */
    private static Work edge(String id, String title, double pace, double depthM) {
        return Work.of(id, title, Per.EDGE, pace, HAND_GRINDER, VACUUM, GOGGLES, EARS, RESPIRATOR)
                .dust(depthM, SilicaTask.HAND_GRINDER)
                .wheel(SEVEN_INCH_M)
                .wears("Cup wheel", 300);
    }

    private static Work machine(String id, String title, double pace, double depthM) {
        return Work.of(id, title, Per.FLOOR, pace, FLOOR_GRINDER, EARS, GOGGLES, TRAINED)
                .dust(depthM, SilicaTask.FLOOR_GRINDER)
                .wears("Set of diamonds", depthM > 0.0005 ? 150 : 300)
                .wears("Dust bag", 30);
    }
}

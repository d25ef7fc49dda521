package openslab.core.survey.area;

import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.survey.Shown;

/**
 * How what lies on a floor comes off it, by what the floor is made of: the one place that says so. The survey tells it, and
 * preparation chooses a method that does it; a test holds the two together.
 */
public enum Removal {
    GRIND("Grind it off past the film to the aggregate"),
    /** Wet: what is under it stays whole. */
    STRIP("Strip it wet, the weakest mix that works, pick the slurry up and rinse twice"),
    /** In the lows, where no wheel reaches and no stripper works. */
    BLAST("Take it out of the lows with soft media, a hidden place first"),
    DULL("Scrub with neutral cleaner and dull it with a maroon pad, edges by hand"),
    SAND("Wipe with solvent, sand it off along the length and at the edges, wipe again"),
    RESET("Lift what is loose and lay it again"),
    BREAK_OUT("Saw round it, break it out, repair it with patch"),
    GRIND_SOUND("Grind to sound concrete and vacuum"),
    WASH("Scrub it off wet and rinse"),
    /** Nothing that is done here takes it off. */
    NONE("No method here takes it off without the floor: ask its maker, or take the floor up"),
    /** The defect says it itself, the same on every floor. */
    OWN("");

    private static final Set<Defect> CLEAR_FILMS =
            Set.of(Defect.SEALER, Defect.POLISH, Defect.CURING_COMPOUND, Defect.FACTORY_FILM);
    private static final Set<Defect> PAINTS = Set.of(Defect.PAINT, Defect.OLD_COAT, Defect.ADHESIVE);

    private final String words;

    Removal(String words) {
        this.words = words;
    }

    /** What is done, the beginning of a sentence; empty for {@link #OWN}. */
    public String words() {
        return words;
    }

    /** @param shown what of the floor shows through what goes on it */
    public static Removal of(Defect defect, Substrate substrate, Shown shown) {
        boolean showsStamp = shown == Shown.STAMP;
        if (CLEAR_FILMS.contains(defect)) {
            return clearFilm(defect, substrate.family(), shown);
        }
        if (PAINTS.contains(defect)) {
            return switch (substrate.family()) {
                case CEMENT -> !showsStamp ? GRIND : defect == Defect.ADHESIVE ? NONE : BLAST;
                case TILE, OTHER -> defect == Defect.ADHESIVE ? NONE : SAND;
                case RESILIENT -> defect == Defect.OLD_COAT ? STRIP : NONE;
            };
        }
        return switch (defect) {
            case HOLLOW -> substrate.family() == Substrate.Family.CEMENT ? BREAK_OUT : RESET;
            case DUSTING -> dust(substrate.family(), showsStamp);
            default -> OWN;
        };
    }

    private static Removal clearFilm(Defect defect, Substrate.Family family, Shown shown) {
        if (family != Substrate.Family.CEMENT && defect == Defect.CURING_COMPOUND) {
            return NONE;
        }
        boolean factory = defect == Defect.FACTORY_FILM;
        return switch (family) {
            case CEMENT -> shown == Shown.NOTHING ? GRIND : factory ? NONE : STRIP;
            case TILE -> factory ? NONE : STRIP;
            case RESILIENT -> factory ? DULL : STRIP;
            case OTHER -> SAND;
        };
    }

    private static Removal dust(Substrate.Family family, boolean showsStamp) {
        return switch (family) {
            case CEMENT -> showsStamp ? NONE : GRIND_SOUND;
            case TILE, RESILIENT -> WASH;
            case OTHER -> SAND;
        };
    }
}

package openslab.core.survey;

import java.time.Instant;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.quantity.UnitSystem;

/**
 * What a reading is judged against.
 *
 * @param ground what the work stands on
 * @param films what is known of films on it before anybody looks
 * @param areaM2 of what is worked on
 */
public record Site(
        Limits limits, Substrate substrate, Ground ground, Films films, double areaM2, UnitSystem units, Instant now) {
    /** OURS: what asks for such a profile is thick enough to bury a stamp; so is what asks for less and takes as much as cement does. */
    private static final int BURIES_CSP = 3;

    private static final int WORN_CSP = 2;
    private static final int CEMENT_CSP = 6;

    /** Whether what asks for this profile buries a stamp anyway. */
    public static boolean buries(int cspMin, int cspMax) {
        return cspMin >= BURIES_CSP || cspMin >= WORN_CSP && cspMax >= CEMENT_CSP;
    }

    /** A site with nothing on it that stays. */
    public Site(Limits limits, Substrate substrate, double areaM2, UnitSystem units, Instant now) {
        this(limits, substrate, Ground.BARE, Films.UNKNOWN, areaM2, units, now);
    }

    /** What of the floor shows through what goes on it. */
    public Shown shown() {
        if (substrate == Substrate.STAMPED && !buries(limits.cspMin(), limits.cspMax())) {
            return Shown.STAMP;
        }
        return films.faceShows() ? Shown.FACE : Shown.NOTHING;
    }
}

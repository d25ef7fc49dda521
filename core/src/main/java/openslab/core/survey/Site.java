package openslab.core.survey;

import java.time.Instant;
import openslab.core.floor.Substrate;
import openslab.core.quantity.UnitSystem;

/** What a reading is judged against. */
public record Site(Limits limits, Substrate substrate, double areaM2, UnitSystem units, Instant now) {
    /** A build-up that asks for this profile buries a stamp anyway. */
    public static final int BURIES_CSP = 3;

    /** Whether the floor is stamped, and what goes on it shows the stamp. */
    public boolean showsStamp() {
        return substrate == Substrate.STAMPED && limits.cspMin() < BURIES_CSP;
    }
}

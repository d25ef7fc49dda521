package openslab.server.form;

import java.time.ZoneId;
import java.util.Optional;
import openslab.core.air.Location;
import openslab.core.quantity.UnitSystem;

/** A job form that was read. */
public record JobFacts(
        String name,
        String client,
        String place,
        Optional<Location.Position> position,
        ZoneId timeZone,
        UnitSystem units,
        Setting setting,
        boolean archived) {
    /** Where it lies and which time it keeps. */
    public Location where() {
        return new Location(timeZone, position);
    }
}

package openslab.server.form;

import java.time.ZoneId;
import java.util.Optional;
import openslab.core.air.Place;
import openslab.core.quantity.UnitSystem;

/** A job form that was read. */
public record JobFacts(
        String name,
        String client,
        String place,
        Optional<Place.Position> position,
        ZoneId timeZone,
        UnitSystem units,
        Setting setting,
        boolean archived) {
    /** Where it lies and which time it keeps. */
    public Place where() {
        return new Place(timeZone, position);
    }
}

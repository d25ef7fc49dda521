package openslab.server.form;

import java.time.ZoneId;
import java.util.Optional;
import openslab.core.air.Location;
import openslab.core.practice.Practices;
import openslab.core.quantity.UnitSystem;

/**
 * A job form that was read.
 *
 * @param practices the schools it follows where those are not the shop's
 */
public record JobFacts(
        String name,
        String client,
        String place,
        Optional<Location.Position> position,
        ZoneId timeZone,
        UnitSystem units,
        Setting setting,
        boolean archived,
        Practices practices) {
    /** The same job, following these schools. */
    public JobFacts following(Practices schools) {
        return new JobFacts(name, client, place, position, timeZone, units, setting, archived, schools);
    }

    /** Where it lies and which time it keeps. */
    public Location where() {
        return new Location(timeZone, position);
    }
}

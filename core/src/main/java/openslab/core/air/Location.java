package openslab.core.air;

import java.time.ZoneId;
import java.util.Optional;
import openslab.core.quantity.Require;

/**
 * Where a floor is.
 *
 * @param zone in which its days are counted
 * @param position on earth; empty where nobody said
 */
public record Location(ZoneId zone, Optional<Position> position) {
    /** @param latitude degrees north; {@code longitude} degrees east */
    public record Position(double latitude, double longitude) {
        public Position {
            Require.that(Math.abs(latitude) <= 90, "latitude must be from -90 to 90, got %s", latitude);
            Require.that(Math.abs(longitude) <= 180, "longitude must be from -180 to 180, got %s", longitude);
        }
    }

    public static Location of(ZoneId zone, double latitude, double longitude) {
        return new Location(zone, Optional.of(new Position(latitude, longitude)));
    }
}

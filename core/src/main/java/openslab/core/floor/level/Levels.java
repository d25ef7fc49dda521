package openslab.core.floor.level;

import java.util.Optional;
import openslab.core.quantity.Require;

/**
 * Heights, and what the floor is to be filled to.
 *
 * @param toM the height to fill to; empty for the highest reading
 * @param fall towards the nearest drain, height for every length: 1/48 for 1:48; 0 where none is asked for
 */
public record Levels(Heights heights, Optional<Double> toM, double fall) {
    public Levels {
        Require.that(fall >= 0 && fall < 1, "fall must be from 0 to 1, got %s", fall);
    }

    public static Levels of(Heights heights) {
        return new Levels(heights, Optional.empty(), 0);
    }
}

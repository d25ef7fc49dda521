package openslab.core.floor.walk;

import openslab.core.quantity.Require;

/**
 * A measure across: from the first corner of one run to the first corner of another.
 *
 * @param from index of a corner, 0 for the first
 */
public record Check(String id, int from, int to, double lengthM) {
    public Check {
        Require.positive(lengthM, "length");
        Require.that(from != to, "a check must join two corners, got %s twice", from);
    }
}

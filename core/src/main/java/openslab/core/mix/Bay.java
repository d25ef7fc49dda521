package openslab.core.mix;

import openslab.core.quantity.Require;

/** A part of the floor that is coated from joint to joint. @param name as it is called; empty where the floor is one bay */
public record Bay(String name, double areaM2) {
    public Bay {
        Require.positive(areaM2, "area of a bay");
    }

    /** A floor that nobody divided. */
    public static Bay whole(double areaM2) {
        return new Bay("", areaM2);
    }
}

package openslab.core.practice;

import openslab.core.product.Exposure;

/**
 * What a school may want to know of a floor.
 *
 * @param thirsty whether water was gone at once somewhere where it was dropped
 * @param old whether it is concrete of more than a year
 * @param livedIn whether people are in the house while it is coated
 * @param quiet whether quiet hours are kept there
 */
public record Place(Exposure exposure, boolean thirsty, boolean old, boolean livedIn, boolean quiet) {
    /** Of a floor of which nobody knows more than where it lies. */
    public static Place at(Exposure exposure) {
        return new Place(exposure, false, false, false, false);
    }

    /** Whether it lies outside. */
    boolean outdoors() {
        return exposure != Exposure.INDOORS;
    }
}

package openslab.core.product;

import java.util.List;
import openslab.core.quantity.Require;

/** What is spread wet, and drawn out until it covers. */
public sealed interface Liquid extends Material permits TwoPart, OnePart, Concentrate, Stain, Dye, Finish {
    /**
     * One part of what is spread.
     *
     * @param parts by volume
     * @param density kg/L
     */
    record Part(String name, double parts, double density) {
        public Part {
            Require.positive(parts, "parts of " + name);
            Require.positive(density, "density of " + name);
        }
    }

    /** How far a litre of what is spread goes in one coat. */
    Spread spread();

    /** m² a litre. */
    @Override
    Liquid at(double rate);

    /** What stays when the rest is gone, 0–1 of what is spread; 0 where nothing lies on the floor. */
    double volumeSolids();

    /** In the order in which they go into the vessel. */
    List<Part> pouring();

    /** As the sheet lists them. */
    default List<Part> parts() {
        return pouring();
    }

    /** m² a litre, as it is reckoned with. */
    default double spreadM2PerL() {
        return spread().usualM2PerL();
    }

    /** All parts together, by volume. */
    default double allParts() {
        return pouring().stream().mapToDouble(Part::parts).sum();
    }

    default boolean isTwoPart() {
        return kind() == Kind.TWO_PART;
    }

    /** Whether it leaves something that has a thickness. */
    default boolean isFilm() {
        return volumeSolids() > 0;
    }
}

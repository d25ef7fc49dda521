package openslab.core.floor;

import java.util.List;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;

/** A floor's shape, from its typed sides. A new kind of shape is one new class and one line in {@link Shapes}. */
public interface Shape {
    /** @param label as the form asks for it @param metres its length */
    record Side(String id, String label, double metres) {}

    /** The kind's word in the store and the API. */
    String kind();

    List<Side> sides();

    Outline outline();

    /** Its outline, then round whatever is left out of it; of the largest part where there are several. */
    default List<List<Outline.Corner>> rings() {
        return List.of(outline().corners());
    }

    /** {@link #rings} of every part. */
    default List<List<List<Outline.Corner>>> parts() {
        return List.of(rings());
    }

    Figure area(UnitSystem system);

    Figure perimeter(UnitSystem system);
}

package openslab.core.mix.recipe;

import java.util.Optional;
import openslab.core.quantity.Figure;

/**
 * One part of one filling, in the order in which it goes in.
 *
 * @param part its name: "A", "Water", "Powder"
 * @param volume litres, or bags of a powder
 * @param measured the same by jug, cup and spoon
 * @param most where the sheet gives a range, how much of it may go in at most
 * @param mass empty where nobody knows how heavy it is
 * @param scale what the scale shows once it is in, the vessel and what is in it already included; empty where it is not weighed
 *     on top of the others
 * @param within what the scale may show for it to be right, whatever else is in, from and to; empty where it is not weighed
 * @param line up to which it stands in a pail of its own, or in the vessel with what is in it already; empty where it has no lines
 * @param scoops level ones of it; empty where nobody has a scoop
 */
public record Portion(
        String part,
        Figure volume,
        String measured,
        Optional<Figure> most,
        Optional<Figure> mass,
        Optional<Figure> scale,
        Optional<Within> within,
        Optional<Figure> line,
        Optional<Figure> scoops) {
    /** What the scale may show. @param to inclusive, as {@code from} is */
    public record Within(Figure from, Figure to) {}

    /** How much of it there is, and what it weighs; nothing yet of where it is measured. */
    static Portion of(String part, Figure volume, String measured, Optional<Figure> most, Optional<Figure> mass) {
        return new Portion(
                part,
                volume,
                measured,
                most,
                mass,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}

package openslab.core.floor.plan;

import java.util.List;
import openslab.core.floor.Outline;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;

/**
 * How much of everything a room has, each with its working.
 *
 * @param gross inside the walls, seen from above
 * @param net without openings
 * @param trueArea what is coated: slopes at their own length, stairs as well
 * @param perimeter round the walls
 * @param lengths by what is done along them or what lies there, only what is there; {@code fills} volumes likewise
 */
public record Quantities(
        Figure gross, Figure net, Figure trueArea, Figure perimeter, List<Figure> lengths, List<Figure> fills) {
    /** Beyond this a working that lists every corner is not read. */
    static final int MOST_LISTED = 12;

    static Quantities of(Room room, List<RoomPlan.Wall> walls, Outline outline, double openM2, UnitSystem system) {
        var areas = new Areas(room, walls, system);
        Figure gross = areas.gross(outline);
        Figure net = areas.net(gross, openM2);
        var lengths = new Lengths(room, walls, system);
        return new Quantities(
                gross,
                net,
                areas.trueArea(net),
                lengths.perimeter(),
                lengths.all(),
                new Fills(room, walls, system).all());
    }
}

package openslab.core.buy;

import java.util.List;
import java.util.Map;
import openslab.core.product.LayerRole;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What this crew uses of a kind of layer beyond the bare arithmetic: as it was logged on floors enough, else as it was set.
 *
 * @param logged floors that are finished, by what sort of layer was laid
 */
public record Losses(Map<LayerRole, List<Logged>> logged) {
    /** A few: a single floor may have been an odd one. */
    public static final int FLOORS_ENOUGH = 3;

    /** Beyond this something else was wrong than a wet roller. */
    private static final double MOST = 1;

    /**
     * A layer that was laid.
     *
     * @param floor the zone it was laid on; several layers of one floor count as one floor
     * @param used litres or kilograms; {@code bare} what its area takes at its sheet's rate, nothing on top
     */
    public record Logged(String floor, double used, double bare) {}

    public static final Losses NONE = new Losses(Map.of());

    public Losses {
        logged = Map.copyOf(logged);
    }

    /** On how many floors such a layer was logged. */
    public int floors(LayerRole role) {
        return (int) logged.getOrDefault(role, List.of()).stream()
                .map(Logged::floor)
                .distinct()
                .count();
    }

    /**
     * 0–1 of what the floor takes by its sheet; never below nothing, since a coat that is spread too thin is no saving.
     *
     * @param set what the zone is reckoned with while too few floors were logged
     */
    public Figure of(LayerRole role, double set, UnitSystem system) {
        int floors = floors(role);
        var w = new Worksheet(system);
        if (floors < FLOORS_ENOUGH) {
            w.given("s", "set for this zone", set, Unit.ONE);
            String learning = floors == 0
                    ? "the crew's own loss replaces it after " + FLOORS_ENOUGH + " floors"
                    : "logged on " + floors + " of the " + FLOORS_ENOUGH
                            + " floors after which the crew's own loss replaces it";
            return w.figure("loss", "w", "s", set, Unit.ONE, Source.ours(learning));
        }
        double used = 0;
        double bare = 0;
        for (Logged l : logged.get(role)) {
            used += l.used();
            bare += l.bare();
        }
        w.given("u", "used on " + floors + " floors", used, Unit.ONE);
        w.given("b", "what their areas take by the sheets", bare, Unit.ONE);
        double loss = Math.min(MOST, Math.max(0, used / bare - 1));
        return w.figure(
                "loss",
                "w",
                "min(" + (int) MOST + ",max(0,u/b-1))",
                loss,
                Unit.ONE,
                Source.ours("this crew's own loss on " + floors + " floors, from the batches it logged"));
    }
}

package openslab.core.cure;

import java.util.List;
import java.util.OptionalDouble;
import openslab.core.product.TemperatureCurve;

/** How long until ∫ dt / t(T) reaches 1. */
public final class Readiness {
    private Readiness() {}

    /**
     * Minutes from the start of {@code history}; its last spell is taken to go on for ever. Empty when a temperature on the
     * way is outside what the sheet lists: nothing is extrapolated.
     */
    public static OptionalDouble minutes(TemperatureCurve curve, List<Spell> history) {
        double done = 0;
        double elapsed = 0;
        for (int i = 0; i < history.size(); i++) {
            Spell spell = history.get(i);
            if (!curve.covers(spell.celsius())) {
                return OptionalDouble.empty();
            }
            double whole = curve.minutesAt(spell.celsius());
            double left = (1 - done) * whole;
            if (left <= spell.minutes() || i == history.size() - 1) {
                return OptionalDouble.of(elapsed + left);
            }
            done += spell.minutes() / whole;
            elapsed += spell.minutes();
        }
        return OptionalDouble.empty();
    }
}

package openslab.core.silica;

import java.util.ArrayList;
import java.util.List;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What was measured in the air of a shift: silica over eight hours, and what follows.
 *
 * @param average over eight hours; {@code text} it, as finely as it takes to see which level it is
 * @param means in words what it asks for
 */
public record Shift(Figure average, String text, Level level, String means) {
    /** A part of the shift. @param ugPerM3 respirable crystalline silica in the air; {@code hours} at it */
    public record Spell(double ugPerM3, double hours) {
        public Spell {
            Require.that(ugPerM3 >= 0, "concentration must be 0 or more, got %s", ugPerM3);
            Require.positive(hours, "hours");
        }
    }

    /** Where the average stands. */
    public enum Level {
        BELOW("below the action level of 25 µg/m³: nothing follows but keeping it so"),
        ACTION("at or above the action level of 25 µg/m³: measured again within 6 months"),
        OVER("above the limit of 50 µg/m³: better controls, a respirator until then, measured again within 3 months");

        private final String means;

        Level(String means) {
            this.means = means;
        }
    }

    private static final Bound ACTION = Bound.below(25, Unit.MICROGRAM_PER_CUBIC_METRE);
    private static final Bound LIMIT = Bound.atMost(50, Unit.MICROGRAM_PER_CUBIC_METRE);
    /** Nobody's shift is longer than the day. */
    private static final Bound DAY =
            Bound.atMost(Unit.HOUR.toBase(24), Unit.HOUR).with(0);

    private static final double SHIFT_H = 8;
    private static final Source OSHA = Source.published(
            "OSHA 29 CFR 1926.1153: limit 50, action level 25 µg/m³ over 8 h, from memory; local rules decide");

    /**
     * Hours that nobody measured count as free of dust.
     *
     * @throws InvalidInput where the parts together are longer than a day
     */
    public static Shift of(List<Spell> spells, UnitSystem system) {
        Require.that(!spells.isEmpty(), "a shift must have at least 1 spell, got %s", 0);
        double minutes =
                spells.stream().mapToDouble(s -> Unit.HOUR.toBase(s.hours())).sum();
        if (!DAY.holds(minutes)) {
            throw new InvalidInput(
                    "spells", DAY.text(minutes) + " together", "parts of one shift, together " + DAY.words());
        }
        var w = new Worksheet(system);
        var terms = new ArrayList<String>();
        double sum = 0;
        for (Spell spell : spells) {
            int i = terms.size() + 1;
            w.given("c" + i, "in the air", spell.ugPerM3(), Unit.MICROGRAM_PER_CUBIC_METRE);
            w.given("t" + i, "for", spell.hours(), Unit.HOUR);
            terms.add("c" + i + "·t" + i);
            sum += spell.ugPerM3() * spell.hours();
        }
        Figure average = w.figure(
                "silica over 8 h",
                "E",
                "(" + String.join("+", terms) + ")/8",
                sum / SHIFT_H,
                Unit.MICROGRAM_PER_CUBIC_METRE,
                OSHA);
        Level level =
                !LIMIT.holds(average.base()) ? Level.OVER : !ACTION.holds(average.base()) ? Level.ACTION : Level.BELOW;
        return new Shift(average, Bound.text(average.base(), ACTION, LIMIT), level, level.means);
    }
}

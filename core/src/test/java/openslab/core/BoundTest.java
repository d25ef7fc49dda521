package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Unit;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is shown of a value and its limit never says otherwise than what was judged. */
public class BoundTest {
    private static final List<Unit> UNITS = List.of(
            Unit.PERCENT, Unit.HOUR, Unit.INCH, Unit.MILLIMETRE, Unit.PSI, Unit.MEGAPASCAL, Unit.FAHRENHEIT, Unit.ONE);

    private static double number(String shown) {
        return Double.parseDouble(
                shown.replace("\u2212", "-").replace("\u202f", "").split("\u00a0")[0]);
    }

    private static boolean agrees(Bound.Side side, double value, double limit) {
        return switch (side) {
            case AT_MOST -> value <= limit;
            case BELOW -> value < limit;
            case AT_LEAST -> value >= limit;
        };
    }

    /** A hundredth, a thousandth, a millionth beside it, and a hair: whoever reads both figures sees the word. */
    @Test
    public void figures_as_shown_say_what_was_judged() {
        var random = new Random(11);
        for (int i = 0; i < 20_000; i++) {
            Unit unit = UNITS.get(random.nextInt(UNITS.size()));
            Bound.Side side = Bound.Side.values()[random.nextInt(3)];
            double limit = unit.toBase(Math.rint(1000 * random.nextDouble()) / Math.pow(10, random.nextInt(4)));
            double off = (random.nextBoolean() ? 1 : -1) * Math.pow(10, -1 - random.nextInt(6)) * random.nextInt(3);
            double value = unit.toBase(unit.fromBase(limit) + off);
            var bound = new Bound(side, limit, unit, random.nextInt(3));
            assertEquals(
                    agrees(side, number(bound.text(value)), number(bound.text())),
                    bound.holds(value),
                    bound.text(value) + ", " + bound.words());
        }
    }

    @DataProvider
    Object[][] typed() {
        return new Object[][] {
            {Unit.MILLIMETRE, 4.8},
            {Unit.MILLIMETRE, 0.8},
            {Unit.INCH, 3.0 / 16},
            {Unit.HOUR, 24},
            {Unit.PSI, 200},
            {Unit.FAHRENHEIT_DEGREE, 5},
            {Unit.PERCENT, 80}
        };
    }

    /** Whatever the way through the base unit does to the last bit. */
    @Test(dataProvider = "typed")
    public void a_value_typed_as_the_limit_meets_it(Unit unit, double value) {
        double base = unit.toBase(value);
        assertTrue(Bound.atMost(base * (1 - 1e-15), unit).holds(base));
        assertTrue(Bound.atLeast(base * (1 + 1e-15), unit).holds(base));
        assertTrue(!Bound.below(base * (1 + 1e-15), unit).holds(base), "below is not at");
    }

    /** 90 °F, 45 °F, 5 °F of difference and 3/16 in, by definition of the units; read as a metric crew reads them. */
    @Test
    public void a_limit_that_was_converted_reads_as_it_is_meant() {
        Bound hot = Bound.atMost(Unit.FAHRENHEIT.toBase(90), Unit.CELSIUS);
        assertEquals(hot.words(), "at most 32\u00a0°C");
        assertEquals(hot.text(32.1), "32\u00a0°C");
        assertEquals(hot.text(32.3), "32.3\u00a0°C");
        Bound cold = Bound.atLeast(Unit.FAHRENHEIT.toBase(45), Unit.CELSIUS);
        assertEquals(cold.words(), "7.2\u00a0°C or more");
        assertEquals(cold.text(7.21), "7.210\u00a0°C, under 7.222\u00a0°C");
        assertEquals(Bound.atLeast(5 / 1.8, Unit.KELVIN).text(), "2.8\u00a0°C");
        assertEquals(Bound.atMost(3 * 0.0254 / 16, Unit.MILLIMETRE).text(), "4.8\u00a0mm");
    }

    /** Whoever reads both sees the word, or is told the limit in full. */
    @Test
    public void figures_beside_a_converted_limit_say_what_was_judged() {
        var random = new Random(12);
        for (int i = 0; i < 20_000; i++) {
            Bound.Side side = Bound.Side.values()[random.nextInt(3)];
            double limit = Unit.FAHRENHEIT.toBase(35 + random.nextInt(80));
            double off = (random.nextBoolean() ? 1 : -1) * Math.pow(10, -1 - random.nextInt(5)) * random.nextInt(9);
            var bound = new Bound(side, limit, Unit.CELSIUS, 1);
            String[] shown = bound.text(limit + off).split(", (under|over) ");
            String against = shown.length > 1 ? shown[1] : bound.text();
            assertEquals(
                    agrees(side, number(shown[0]), number(against)),
                    bound.holds(limit + off),
                    bound.text(limit + off) + ", " + bound.words());
        }
    }

    @Test
    public void no_finer_than_it_takes() {
        Bound most = Bound.atMost(75, Unit.PERCENT);
        assertEquals(most.text(60.44), "60\u00a0%");
        assertEquals(most.text(75.4), "75.4\u00a0%");
        assertEquals(most.text(75.04), "75.04\u00a0%");
        assertEquals(most.words(), "at most 75\u00a0%");
        assertEquals(Bound.atMost(75.5, Unit.PERCENT).words(), "at most 75.5\u00a0%");
        assertEquals(
                Bound.atLeast(Unit.HOUR.toBase(24), Unit.HOUR).with(0).text(Unit.HOUR.toBase(23.7)), "23.7\u00a0h");
        assertEquals(Bound.below(80, Unit.PERCENT).words(), "below 80\u00a0%");
    }
}

package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.FallText;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class QuantityTest {
    private static final double ANY = 1e9;

    @DataProvider
    Object[][] units() {
        return Cases.read("units.csv");
    }

    @Test(dataProvider = "units")
    public void a_unit_is_worth_what_its_definition_says(Cases c) {
        Unit unit = Unit.valueOf(c.text("unit"));
        assertEquals(unit.toBase(c.number("value")), c.number("base"), c.number("tolerance"));
        assertEquals(unit.fromBase(unit.toBase(c.number("value"))), c.number("value"), 1e-9);
    }

    @DataProvider
    Object[][] measures() {
        return Cases.read("measures.csv");
    }

    @Test(dataProvider = "measures")
    public void reads_what_a_person_writes(Cases c) {
        double base = Measure.parse("field", c.text("text"), Unit.valueOf(c.text("unit")), -ANY, ANY);
        assertEquals(base, c.number("base"), 5e-6);
    }

    /** A unit that is shown is a unit that may be typed, and so may the code that a program was sent. */
    @Test
    public void every_unit_reads_its_own_symbol() {
        for (Unit unit : Unit.values()) {
            if (unit.symbol().isEmpty()) {
                continue;
            }
            for (String shown : List.of(unit.symbol(), unit.code())) {
                assertEquals(Measure.parse("field", "3 " + shown, unit, -ANY, 1e12), unit.toBase(3), 1e-9, shown);
            }
            assertEquals(Unit.of(unit.dimension(), UnitSystem.US).dimension(), unit.dimension());
        }
    }

    @Test
    public void a_time_is_told_as_a_person_says_it() {
        for (String told : List.of(
                "PT40M 40 min", "PT2H30M 2.5 h", "PT26H 26 h", "P9D 9 days", "P150D 5 months", "PT35258H 4 years")) {
            String[] both = told.split(" ", 2);
            assertEquals(Show.span(Duration.parse(both[0])).replace('\u00a0', ' '), both[1]);
        }
    }

    @Test
    public void much_is_told_without_hundredths() {
        assertEquals(Show.in(UnitSystem.US, Dimension.VOLUME, 196.34 * 3.785411784), "196\u00a0gal");
        assertEquals(Show.in(UnitSystem.US, Dimension.VOLUME, 19.634 * 3.785411784), "19.63\u00a0gal");
    }

    /** Little of a volume or of a mass is told in what it is measured in, never as "0.00". */
    @Test
    public void little_is_never_told_as_nothing() {
        for (double amount = 1e-6; amount < 100; amount *= 1.07) {
            for (Dimension dimension : List.of(Dimension.VOLUME, Dimension.MASS)) {
                for (UnitSystem system : UnitSystem.values()) {
                    String shown = Show.in(system, dimension, amount);
                    double read = Measure.parse("field", shown, Unit.of(dimension, system), 0, ANY);
                    assertEquals(read, amount, 0.051 * amount, shown);
                }
            }
        }
    }

    /** What a form is filled with is read again as it was shown, thousands set apart included. */
    @Test
    public void reads_back_what_is_shown() {
        for (double area : new double[] {0.4, 999, 1148, 11_484, 126_007, 1_204_500}) {
            for (Unit unit : List.of(Unit.SQUARE_FOOT, Unit.SQUARE_METRE)) {
                String shown = Show.in(unit, unit.toBase(area), 1);
                assertEquals(Measure.parse("f", shown, Unit.SQUARE_METRE, 0, ANY), unit.toBase(area), 1e-6, shown);
            }
        }
    }

    @Test(dataProvider = "measures")
    public void means_the_same_once_its_unit_is_written_out(Cases c) {
        Unit bare = Unit.valueOf(c.text("unit"));
        String written = Measure.withUnit(c.text("text"), bare);
        Unit other = Unit.of(bare.dimension(), UnitSystem.METRIC);
        assertEquals(Measure.parse("field", written, other, -ANY, ANY), c.number("base"), 5e-6, written);
    }

    @DataProvider
    Object[][] refused() {
        return Cases.read("measures-refused.csv");
    }

    @Test(dataProvider = "refused")
    public void refuses_what_cannot_be_meant_and_says_what_can(Cases c) {
        Unit unit = Unit.valueOf(c.text("unit"));
        var e = expectThrows(InvalidInput.class, () -> Measure.parse("side", c.text("text"), unit, 0.1, 1000));
        var fault = e.faults().get(0);
        assertEquals(fault.field(), "side");
        assertTrue(fault.accepted().contains("from") && fault.accepted().contains(" to "), fault.accepted());
    }

    @Test
    public void the_ends_of_a_range_are_accepted() {
        assertEquals(Measure.parse("f", "1000 ft", Unit.FOOT, 0.3048, 304.8), 304.8, 1e-9);
        assertThrows(InvalidInput.class, () -> Measure.parse("f", "1000.01 ft", Unit.FOOT, 0.3048, 304.8));
    }

    @Test
    public void reading_back_what_was_shown_gives_the_same_length() {
        var random = new Random(7);
        for (int i = 0; i < 2000; i++) {
            int feet = random.nextInt(400);
            int sixtyFourths = random.nextInt(12 * 64);
            String text = feet + "' " + sixtyFourths / 64 + "-" + sixtyFourths % 64 + "/64\"";
            double metres = feet * 0.3048 + sixtyFourths * 0.0254 / 64;
            assertEquals(Measure.parse("f", text, Unit.METRE, -1, 1000), metres, 1e-9, text);
        }
    }

    @Test
    public void numbers_are_shown_as_a_person_reads_them() {
        assertEquals(Show.number(1148.4, 0), "1148");
        assertEquals(Show.number(11484, 0), "11\u202f484");
        assertEquals(Show.number(-2.345, 2), "\u22122.35");
        assertEquals(Show.number(-0.001, 1), "0.0");
        assertEquals(Show.number(Double.NaN, 1), "—");
        assertEquals(Show.in(Unit.MIL, 254), "10.0\u00a0mil");
        assertEquals(Show.in(Unit.ONE, 4), "4");
    }

    @Test
    public void every_fault_of_a_form_is_told_at_once() {
        List<Field> fields = List.of(
                Field.quantity("a", "A", Unit.HOUR, 1, 5, ""),
                Field.yesNo("b", "B"),
                Field.quantity("c", "C", Unit.PERCENT, 0, 100, ""));
        var e = expectThrows(
                InvalidInput.class,
                () -> Field.parseAll("values", fields, Map.of("a", "9", "b", "perhaps", "z", "1"), UnitSystem.US));
        assertEquals(
                e.faults().stream().map(InvalidInput.Fault::field).toList(),
                List.of("values.a", "values.b", "values.c", "values.z"));
        assertEquals(e.faults().get(0).accepted(), "a time from 1 to 5 h");
        assertEquals(e.faults().get(1).accepted(), "one of no, yes");
    }

    /** The quick way of writing a number is the slow one's, digit for digit: BigDecimal is the oracle. */
    @Test
    public void numbers_are_rounded_as_decimals_are() {
        var random = new Random(8);
        for (int i = 0; i < 200_000; i++) {
            double value = (random.nextBoolean() ? 1 : -1) * Math.pow(10, 12 * random.nextDouble() - 6);
            // every third one lies on or near a half, where the two could part
            value = i % 3 == 0 ? Math.rint(value * 1000) / 1000 + 0.0005 * (random.nextInt(3) - 1) : value;
            int decimals = random.nextInt(5);
            var exact = BigDecimal.valueOf(value);
            assertEquals(
                    bare(Show.number(value, decimals)),
                    exact.setScale(decimals, RoundingMode.HALF_UP)
                            .toPlainString()
                            .replaceFirst("^-(?=[0.]*$)", ""),
                    value + " to " + decimals);
            var seven = exact.round(new MathContext(7, RoundingMode.HALF_UP)).stripTrailingZeros();
            var w = new Worksheet(UnitSystem.US);
            w.given("x", "", value, Unit.ONE);
            String shown = w.figure("", "y", "x", value, Unit.ONE, Source.ours(""))
                    .lines()
                    .get(0)
                    .shown();
            boolean whole = value == Math.rint(value);
            assertEquals(
                    new BigDecimal(bare(shown)).compareTo(whole ? exact : seven), 0, value + " is shown as " + shown);
        }
    }

    private static String bare(String shown) {
        return shown.replace("\u202f", "").replace('\u2212', '-');
    }

    @DataProvider
    Object[][] falls() {
        return new Object[][] {
            {"1:48", 1 / 48.0},
            {"2 %", 0.02},
            {"1/4 in per ft", 1 / 48.0},
            {"1/4\"/ft", 1 / 48.0},
            {"20 mm/m", 0.02},
            {"1 : 50", 0.02}
        };
    }

    @Test(dataProvider = "falls")
    public void a_fall_is_read_as_it_is_said(String text, double fall) {
        assertEquals(FallText.parse("fall", text), fall, 1e-12);
    }

    @Test
    public void what_is_no_fall_is_refused() {
        for (String text :
                List.of("", "steep", "48", "1:0", "1:1", "-2 %", "100 %", "2 ft per ft", "1/4 in per mile", "NaN %")) {
            var e = expectThrows(InvalidInput.class, () -> FallText.parse("fall", text));
            assertEquals(e.faults().get(0).field(), "fall", text);
        }
    }
}

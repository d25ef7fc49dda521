package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import openslab.core.product.Exposure;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Figures as they are read, units as they pair up, forms as they are refused. */
public class FigureTest {
    private static final Source TEST = Source.ours("test");

    private static Figure figure(double value, Unit unit, UnitSystem system) {
        return new Worksheet(system).figure("figure", "x", "1", value, unit, TEST);
    }

    /** value, unit, as a US reader sees it, as a metric one does; by definition of the units. */
    @DataProvider
    Object[][] readings() {
        return new Object[][] {
            {41.0, Unit.SQUARE_METRE, "441\u00a0ft²", "41.0\u00a0m²"},
            {254.0, Unit.MICROMETRE, "10.0\u00a0mil", "254\u00a0µm"},
            {11.356235352, Unit.LITRE, "3.00\u00a0gal", "11.36\u00a0L"},
            {64.0, Unit.FLUID_OUNCE, "64.0\u00a0fl oz", "1893\u00a0mL"},
            {20.0, Unit.CELSIUS, "68.0\u00a0°F", "20.0\u00a0°C"},
            {-40.0, Unit.CELSIUS, "\u221240.0\u00a0°F", "\u221240.0\u00a0°C"},
            {3.0, Unit.KELVIN, "5.4\u00a0°F", "3.0\u00a0°C"},
            {10.0, Unit.KILOGRAM, "22.05\u00a0lb", "10.00\u00a0kg"},
            {4.0, Unit.SQUARE_METRE_PER_LITRE, "163\u00a0ft²/gal", "4.00\u00a0m²/L"},
            {1.0, Unit.SQUARE_METRE_PER_MINUTE, "10.8\u00a0ft²/min", "1.00\u00a0m²/min"},
            {50.8, Unit.MILLIMETRE, "2.00\u00a0in", "51\u00a0mm"},
            {0.5, Unit.KILOGRAM_PER_SQUARE_METRE, "0.102\u00a0lb/ft²", "0.50\u00a0kg/m²"},
            {1.2, Unit.KILOGRAM_PER_LITRE, "10.01\u00a0lb/gal", "1.200\u00a0kg/L"},
            {7.5, Unit.METRE, "24.61\u00a0ft", "7.50\u00a0m"},
            {12345.6, Unit.SQUARE_METRE, "132\u202f887\u00a0ft²", "12\u202f345.6\u00a0m²"},
        };
    }

    @Test(dataProvider = "readings")
    public void a_figure_is_read_in_the_jobs_units_and_told_in_the_others(
            double value, Unit unit, String us, String metric) {
        Figure american = figure(value, unit, UnitSystem.US);
        Figure other = figure(value, unit, UnitSystem.METRIC);
        assertEquals(american.text(), us);
        assertEquals(american.also(), metric);
        assertEquals(other.text(), metric);
        assertEquals(other.also(), us);
    }

    @Test
    public void what_both_systems_read_alike_is_told_once() {
        assertEquals(figure(45, Unit.MINUTE, UnitSystem.US).also(), "");
        assertEquals(figure(75, Unit.PERCENT, UnitSystem.METRIC).also(), "");
        assertEquals(figure(2.9, Unit.MVER, UnitSystem.METRIC).also(), "");
        assertEquals(figure(3, Unit.ONE, UnitSystem.US).text(), "3");
        assertEquals(figure(0.8, Unit.ONE, UnitSystem.US).text(), "0.80");
    }

    @Test
    public void numbers_are_put_for_symbols_and_only_for_symbols() {
        var w = new Worksheet(UnitSystem.US);
        w.given("M", "gain", 2.5, Unit.GRAM);
        w.given("t", "time", 66, Unit.HOUR);
        w.given("t1", "another", 7, Unit.HOUR);
        Figure f = w.figure("sum", "S", "exp(M)/(t·t1)+max(M,t)", 1, Unit.ONE, TEST);
        assertEquals(f.substituted().get(3), "exp(2.5)/(66·7)+max(2.5,66)");
        assertTrue(f.lines().get(0).isGiven());
        assertFalse(f.lines().get(3).isGiven());
        assertEquals(f.lines().get(0).shown(), "2.5\u00a0g");
    }

    @Test
    public void every_dimension_has_a_unit_in_either_system_and_comes_back_from_its_base() {
        for (Dimension dimension : Dimension.values()) {
            for (UnitSystem system : UnitSystem.values()) {
                Unit unit = Unit.of(dimension, system);
                assertEquals(unit.dimension(), dimension);
                assertEquals(unit.fromBase(unit.toBase(17.25)), 17.25, 1e-9, unit.name());
            }
        }
        for (Unit unit : Unit.values()) {
            assertEquals(unit.fromBase(unit.toBase(-3.5)), -3.5, 1e-9, unit.name());
        }
    }

    @Test
    public void a_source_says_how_it_is_known() {
        assertEquals(Source.published("ASTM F1869, from memory").sentence(), "Published: ASTM F1869, from memory.");
        assertEquals(Source.commonPractice("").sentence(), "Common practice, no source.");
        assertEquals(Source.sheet("Primer").sentence(), "Product sheet: Primer.");
        assertEquals(Source.arithmetic("geometry").sentence(), "Arithmetic: geometry.");
        assertEquals(TEST.sentence(), "Our default: test.");
    }

    @Test
    public void a_guard_lets_nothing_through_that_is_not_a_number() {
        for (double bad : new double[] {0, -1, Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY}) {
            var e = expectThrows(IllegalArgumentException.class, () -> Require.positive(bad, "area"));
            assertTrue(
                    e.getMessage().contains("area") && e.getMessage().contains(Double.toString(bad)), e.getMessage());
        }
        assertEquals(Require.positive(0.1, "area"), 0.1);
    }

    @Test
    public void a_form_keeps_all_its_faults() {
        var faults = new Faults();
        assertEquals(faults.line("name", "  North bay ", 1, 20), "North bay");
        assertEquals(faults.line("name", "<b>", 1, 20), null);
        assertEquals(faults.prose("note", "slab < 50 °F\nand damp", 100), "slab < 50 °F\nand damp");
        assertEquals(faults.prose("note", "bell \u0007", 100), null);
        assertEquals(faults.oneOf("exposure", "sun", Exposure.class), Exposure.SUN);
        assertEquals(faults.oneOf("exposure", "moon", Exposure.class), null);
        assertEquals(faults.timeZone("zone", "America/Halifax").getId(), "America/Halifax");
        assertEquals(faults.timeZone("zone", "Mars"), null);
        assertEquals(
                faults.<Object>read(() -> {
                    throw new InvalidInput("inner", 7, "less");
                }),
                null);
        var e = expectThrows(InvalidInput.class, faults::check);
        assertEquals(
                e.faults().stream().map(InvalidInput.Fault::field).collect(Collectors.toList()),
                List.of("name", "note", "exposure", "zone", "inner"));
        new Faults().check();
    }

    @Test
    public void a_moment_has_an_offset_and_lies_in_the_life_of_a_floor() {
        Instant latest = Instant.parse("2026-05-04T12:00:00Z");
        var faults = new Faults();
        assertEquals(faults.moment("at", "2026-05-04T09:00:00-03:00", latest), latest);
        assertEquals(
                faults.moment("at", "2026-05-04T08:59:00.1234569-03:00", latest),
                Instant.parse("2026-05-04T11:59:00.123456Z"));
        for (String bad : new String[] {
            null, "", "today", "2026-05-04", "2026-05-04T09:00", "1989-12-31T00:00:00Z", "2026-05-04T12:00:01Z"
        }) {
            var each = new Faults();
            assertEquals(each.moment("at", bad, latest), null, bad);
            assertThrows(InvalidInput.class, each::check);
        }
    }

    @Test
    public void a_long_value_is_told_shortened() {
        var fault = new InvalidInput.Fault("name", "x".repeat(500), "less");
        assertEquals(fault.value().length(), 81);
        assertEquals(new InvalidInput.Fault("name", null, "something").sentence(), "name: something; got nothing.");
    }
}

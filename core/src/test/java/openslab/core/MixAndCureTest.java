package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import openslab.core.buy.KitCover;
import openslab.core.care.Reseal;
import openslab.core.cure.CureTime;
import openslab.core.cure.EquivalentAge;
import openslab.core.cure.Readiness;
import openslab.core.cure.Spell;
import openslab.core.floor.Ell;
import openslab.core.floor.Rectangle;
import openslab.core.floor.Shapes;
import openslab.core.mix.Allowance;
import openslab.core.mix.BatchPlan;
import openslab.core.mix.Bay;
import openslab.core.mix.Crew;
import openslab.core.mix.FlakeSplit;
import openslab.core.mix.TakeOff;
import openslab.core.product.Broadcast;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.product.Kit;
import openslab.core.product.LayerRole;
import openslab.core.product.OnePart;
import openslab.core.product.Packed;
import openslab.core.product.Spread;
import openslab.core.product.TemperatureCurve;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.BuildUp;
import openslab.core.system.Film;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class MixAndCureTest {
    private static final UnitSystem US = UnitSystem.US;

    @DataProvider
    Object[][] films() {
        return Cases.read("film.csv");
    }

    @Test(dataProvider = "films")
    public void film_is_geometry_and_solids(Cases c) {
        Unit unit = c.text("unit").equals("m²/L") ? Unit.SQUARE_METRE_PER_LITRE : Unit.SQUARE_FOOT_PER_GALLON;
        var liquid = new OnePart(1, c.number("solids_pct") / 100, Spread.of(unit.toBase(c.number("spread"))));
        assertEquals(Unit.MIL.fromBase(Film.wet(liquid, US).base()), c.number("wet_mil"), c.number("tolerance"));
        assertEquals(Unit.MIL.fromBase(Film.dry(liquid, US).base()), c.number("dry_mil"), c.number("tolerance"));
    }

    @DataProvider
    Object[][] cureTimes() {
        return Cases.read("cure-times.csv");
    }

    private static TemperatureCurve curve(Cases c) {
        double[] temperatures = numbers(c.text("temperatures"));
        double[] times = numbers(c.text("times_min"));
        return new TemperatureCurve(IntStream.range(0, times.length)
                .mapToObj(i -> new TemperatureCurve.Point(temperatures[i], times[i]))
                .toList());
    }

    private static double[] numbers(String spaced) {
        return Arrays.stream(spaced.split(" ")).mapToDouble(Double::parseDouble).toArray();
    }

    @Test(dataProvider = "cureTimes")
    public void between_listed_temperatures_the_logarithm_is_interpolated(Cases c) {
        assertEquals(curve(c).minutesAt(c.number("celsius")), c.number("minutes"), 0.0001);
    }

    @Test(dataProvider = "cureTimes")
    public void at_one_temperature_the_integral_is_the_listed_time(Cases c) {
        double at = c.number("celsius");
        // however the constant temperature is cut into spells
        var spells = List.of(new Spell(7, at), new Spell(0, at), new Spell(11.5, at), new Spell(1, at));
        assertEquals(Readiness.minutes(curve(c), spells).getAsDouble(), c.number("minutes"), 0.0001);
    }

    @Test
    public void a_warmer_spell_brings_readiness_forward() {
        var curve = Stories.curve(10, 120, 20, 60);
        // 30 min at 20 °C is half of 60; the other half takes 60 of the 120 min at 10 °C
        var history = List.of(new Spell(30, 20), new Spell(1, 10));
        assertEquals(Readiness.minutes(curve, history), OptionalDouble.of(90));
        assertEquals(Readiness.minutes(curve, List.of(new Spell(30, 20), new Spell(5, 35))), OptionalDouble.empty());
        assertEquals(Readiness.minutes(curve, List.of()), OptionalDouble.empty());
    }

    @Test
    public void outside_the_sheet_no_time_is_given() {
        var sheet = Stories.liquid("Primer", LayerRole.PRIMER, 8, Map.of());
        var cold = CureTime.of(sheet, Clock.RECOAT_OPENS, 9.9, UnitSystem.METRIC);
        assertTrue(cold.minutes().isEmpty());
        assertEquals(
                cold.whyNot(),
                "The sheet lists 10.0\u00a0°C to 30.0\u00a0°C; the slab is at 9.9\u00a0°C. No time is given outside the sheet.");
        assertThrows(
                IllegalArgumentException.class,
                () -> sheet.curve(Clock.POT_LIFE).orElseThrow().minutesAt(31));
    }

    @DataProvider
    Object[][] ages() {
        return Cases.read("equivalent-age.csv");
    }

    @Test(dataProvider = "ages")
    public void equivalent_age_follows_the_standard(Cases c) {
        var history = Arrays.stream(c.text("history").split(" "))
                .map(s -> s.split("@"))
                .map(s -> new Spell(Double.parseDouble(s[0]) * 60, Double.parseDouble(s[1])))
                .toList();
        assertEquals(
                EquivalentAge.minutes(history, c.number("reference_c"), 5000) / 60,
                c.number("hours"),
                c.number("tolerance"));
    }

    @Test
    public void flake_is_split_into_equal_bays() {
        // STANDARDS 11.3: 500 ft² at 0.12 lb/ft² is 60 lb, two boxes of 40; over 3 bays 20 lb each, allowance left out
        var crew = new Crew(1, 0.8, Allowance.of(0), 1000);
        var flake = new Broadcast(Unit.POUND_PER_SQUARE_FOOT.toBase(0.12), true, List.of());
        double areaM2 = Unit.SQUARE_FOOT.toBase(500);
        Figure amount = TakeOff.mass(areaM2, flake, crew.allowance(), US);
        assertEquals(Unit.POUND.fromBase(amount.base()), 60, 1e-9);
        var box = List.of(new Kit("box", new Packed(Unit.POUND.toBase(40)), 12_800));
        assertEquals(KitCover.of(new Packed(amount.value()), box).kits().get(0).count(), 2);
        var body = Stories.liquid("B", LayerRole.BODY, 4, Map.of());
        var life = CureTime.of(body, Clock.POT_LIFE, 20, US);
        var bays = BatchPlan.of(List.of(Bay.whole(90)), body, life.minutes(), crew, US)
                .count();
        assertEquals(
                Unit.POUND.fromBase(
                        FlakeSplit.of(areaM2, flake, bays, crew, US).each().base()),
                20,
                1e-9);
    }

    @Test
    public void the_build_up_adds_its_films() {
        var sheets = Stories.epoxyWithFlake().stream().map(l -> l.sheet()).toList();
        // 1000/8 + 1000/4 + 1000/5 µm
        assertEquals(BuildUp.of(sheets, US).totalDry().value(), 125 + 250 + 200, 1e-9);
        assertEquals(BuildUp.of(sheets, US).profileByThickness().text(), "CSP 3 to 5");
        assertTrue(BuildUp.of(List.of(Stories.flake()), US).limits().isEmpty());
    }

    @Test
    public void reseal_is_counted_in_calendar_months_where_the_floor_is() {
        var top = Stories.liquid("Clear", LayerRole.CLEAR, 5, Map.of(Exposure.INDOORS, 5.0, Exposure.SUN, 2.5));
        var zone = ZoneId.of("Europe/Lisbon");
        var applied = Instant.parse("2024-02-29T10:00:00Z");
        assertEquals(due(top, Exposure.INDOORS, applied, zone), Instant.parse("2029-02-28T10:00:00Z"));
        // half past two years, into summer time: the wall clock stays
        assertEquals(due(top, Exposure.SUN, applied, zone), Instant.parse("2026-08-29T09:00:00Z"));
        assertFalse(Reseal.of(top, Exposure.FROST, applied, zone, US).isPresent());
    }

    /** 42 days are 42 days; 3 years to the month. 42/365.25 of a year is what a sheet stores. */
    @Test
    public void an_interval_of_days_is_counted_in_days() {
        var weeks =
                Stories.liquid("Clear", LayerRole.CLEAR, 5, Map.of(Exposure.INDOORS, 42 / 365.25, Exposure.SUN, 0.25));
        var zone = ZoneId.of("Europe/Lisbon");
        var applied = Instant.parse("2026-01-10T10:00:00Z");
        assertEquals(due(weeks, Exposure.INDOORS, applied, zone), Instant.parse("2026-02-21T10:00:00Z"));
        assertEquals(due(weeks, Exposure.SUN, applied, zone), Instant.parse("2026-04-10T09:00:00Z"));
    }

    private static Instant due(openslab.core.product.ProductSheet top, Exposure e, Instant applied, ZoneId zone) {
        return Reseal.of(top, e, applied, zone, US).orElseThrow().due();
    }

    @Test
    public void shapes_have_the_area_of_their_parts() {
        var ell = new Ell(12, 9, 3, 2.5);
        assertEquals(ell.outline().areaM2(), 12 * 6.5 + 9 * 2.5, 1e-9);
        assertEquals(ell.outline().perimeterM(), 2 * (12 + 9), 1e-9);
        assertEquals(ell.area(US).value(), 100.5, 1e-9);
        assertEquals(new Rectangle(7.45, 6.1).area(US).text(), "489\u00a0ft²");
        // 24' 6" by 18' is 441 ft², 85 ft round it
        var typed = Shapes.of("rectangle", Map.of("length", 7.4676, "width", 5.4864));
        assertEquals(Unit.SQUARE_FOOT.fromBase(typed.area(US).base()), 441, 1e-9);
        assertEquals(Unit.FOOT.fromBase(typed.perimeter(US).base()), 85, 1e-9);
        assertThrows(InvalidInput.class, () -> new Ell(12, 9, 12, 2));
        assertThrows(InvalidInput.class, () -> Shapes.of("circle", Map.of()));
        assertThrows(IllegalArgumentException.class, () -> new Rectangle(Double.NaN, 1));
    }
}

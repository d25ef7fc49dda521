package openslab.core.survey.dry;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import openslab.core.Formula;
import openslab.core.Stories;
import openslab.core.floor.Substrate;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Site;
import openslab.core.survey.dry.DryDown.Answer;
import openslab.core.survey.dry.DryDown.Way;
import org.testng.annotations.Test;

/** The day a slab is dry enough: told from readings of a slab that is known, and refused where it cannot be told. */
public class DryDownTest {
    private static final double DAY = 86_400;
    private static final DryDown.Means MEANS = new DryDown.Means(32, 0.3, 60, 45, 720);
    /** 100 mm from 0.96 in air of 50 %, read at 40, 47, 54 and 61 days. */
    private static final double D1 = 2.5e-10;

    private static final int[] READ_AT = {40, 47, 54, 61};

    private static Drying known() {
        return new Drying(0.1, false, Diffusivity.modelCode(D1), 0.96, 0.5);
    }

    /** A story whose clock starts when the concrete is 40 days old. */
    private static Stories story(String... places) {
        var story = new Stories().reading(0, "concrete-age", "", "age=40 d");
        story.reading(0, "climate", "", "air=21 °C rh=50 % slab=20 °C");
        for (String place : places) {
            Drying drying = known();
            for (int day : READ_AT) {
                drying.advance(day * DAY);
                probe(story, day, place, 100 * drying.at(0.04));
            }
        }
        return story;
    }

    private static void probe(Stories story, int day, String place, double rh) {
        story.reading(
                (day - 40) * 24,
                "in-slab-rh",
                place,
                String.format(Locale.ROOT, "rh=%.2f %% depth=40 mm thickness=100 mm drying=one wait=48 h", rh));
    }

    private static DryDown forecast(Stories story, int day) {
        var site = new Site(
                Stories.LIMITS, Substrate.BARE_CONCRETE, 80, UnitSystem.METRIC, Stories.moment((day - 40) * 24));
        return DryDown.of(story.facts().survey(), site, MEANS);
    }

    private static Answer answer(DryDown dryDown, Way way) {
        return dryDown.answers().stream()
                .filter(a -> a.way() == way)
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void the_day_of_a_known_slab_lies_in_the_band() {
        DryDown told = forecast(story("A", "B"), 61);
        assertEquals(told.refusal(), "");
        Instant truth = Stories.moment(0).plusSeconds((long) (known().reaches(0.04, 0.75, 2000 * DAY) - 40 * DAY));
        Answer asItIs = answer(told, Way.AS_IT_IS);
        assertTrue(asItIs.early().orElseThrow().isBefore(truth), asItIs + " " + truth);
        assertTrue(asItIs.late().orElseThrow().isAfter(truth), asItIs + " " + truth);
        assertEquals(told.places().size(), 2);
        assertTrue(told.places().stream()
                .allMatch(p -> p.curve().size() > 20 && p.readings().size() == 4));
        // the curve goes through the readings and under the limit
        var curve = told.places().get(0).curve();
        assertEquals(
                curve.get(0).middle(), told.places().get(0).readings().get(0).humidity(), 0.01);
        assertTrue(curve.stream().allMatch(b -> b.low() <= b.middle() && b.middle() <= b.high()));
        assertTrue(curve.get(curve.size() - 1).middle() < 0.75);
    }

    @Test
    public void what_may_be_done_is_told_in_days_and_money() {
        DryDown told = forecast(story("A"), 61);
        double asItIs = days(told, Way.AS_IT_IS);
        assertTrue(days(told, Way.HEATED) < asItIs);
        assertTrue(days(told, Way.DRIED) <= asItIs);
        assertTrue(days(told, Way.BOTH) <= days(told, Way.HEATED));
        assertEquals(days(told, Way.PRIMER), 0.0);
        assertEquals(answer(told, Way.AS_IT_IS).cost(), Optional.empty());
        assertEquals(answer(told, Way.BOTH).cost().orElseThrow().value(), 105 * days(told, Way.BOTH), 1e-6);
        assertEquals(answer(told, Way.PRIMER).cost().orElseThrow().value(), 720, 1e-9);
        told.answers().forEach(a -> {
            a.days().ifPresent(Formula::assertRecomputes);
            a.cost().ifPresent(Formula::assertRecomputes);
        });
    }

    private static double days(DryDown told, Way way) {
        return answer(told, way).days().orElseThrow().value();
    }

    @Test
    public void a_slab_that_is_dry_waits_no_longer() {
        var story = story("A");
        Drying drying = known();
        for (int day = 400; day <= 1200; day += 100) {
            drying.advance(day * DAY);
            probe(story, day, "A", 100 * drying.at(0.04));
        }
        assertEquals(days(forecast(story, 1200), Way.AS_IT_IS), 0.0, 1e-6);
    }

    @Test
    public void under_damp_air_it_is_never() {
        var story = story("A").reading(21 * 24, "climate", "", "air=21 °C rh=80 % slab=20 °C");
        Answer asItIs = answer(forecast(story, 61), Way.AS_IT_IS);
        assertEquals(asItIs.likely(), Optional.empty());
        assertFalse(asItIs.remark().isEmpty());
        assertTrue(answer(forecast(story, 61), Way.DRIED).likely().isPresent());
    }

    @Test
    public void where_it_cannot_be_told_it_says_why() {
        assertTrue(forecast(new Stories(), 61).refusal().contains("No probe"));
        var ageless = new Stories();
        probe(ageless, 40, "A", 90);
        assertTrue(forecast(ageless, 61).refusal().contains("How old"));
        var old = new Stories().reading(0, "concrete-age", "", "age=9 years");
        probe(old, 40, "A", 90);
        assertTrue(forecast(old, 61).refusal().contains("water comes from somewhere"));
        var once = story("A");
        probe(once, 40, "B", 91);
        DryDown told = forecast(once, 61);
        assertEquals(told.answers(), List.of());
        assertTrue(told.refusal().contains("not every place"));
        assertTrue(told.places().get(1).refusal().contains("one day only"));
        var stuck = story("A");
        probe(stuck, 50, "A", 60);
        probe(stuck, 60, "A", 99);
        assertTrue(forecast(stuck, 61).places().get(0).refusal().contains("follow no drying"));
    }
}

package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.floor.Ell;
import openslab.core.job.LayerBatches;
import openslab.core.job.LayerReport;
import openslab.core.job.Mark;
import openslab.core.job.RunningClock;
import openslab.core.job.Stratum;
import openslab.core.job.ZoneReport;
import openslab.core.mix.Bay;
import openslab.core.product.Clock;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Line;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** The whole story of a floor, from bare to due again. Times by hand from the test sheets at 20 °C: see {@link Stories}. */
public class ZoneReportTest {
    private static final double PRIMER = 10;
    private static final double BODY = 22;
    private static final double CLEAR = 36;

    private static Stories coated() {
        return new Stories()
                .surveyed()
                .ground()
                .coat(PRIMER, "primer")
                .coat(BODY, "body")
                .coat(BODY, "flake")
                .coat(CLEAR, "clear");
    }

    private static Mark mark(ZoneReport report, String stratum) {
        return report.strata().stream()
                .filter(s -> s.id().equals(stratum))
                .findFirst()
                .orElseThrow()
                .mark();
    }

    @Test
    public void a_layer_is_wet_then_open_then_overdue() {
        var story = new Stories().surveyed().ground().coat(PRIMER, "primer");
        assertEquals(mark(story.at(PRIMER + 9.9), "primer"), Mark.WET);
        assertEquals(mark(story.at(PRIMER + 10), "primer"), Mark.WINDOW_OPEN);
        assertEquals(mark(story.at(PRIMER + 47.9), "primer"), Mark.WINDOW_OPEN);
        assertEquals(mark(story.at(PRIMER + 48), "primer"), Mark.OVERDUE);
        assertEquals(story.at(PRIMER + 48).next().label(), "window missed: abrade, then the body coat");
        story.coat(PRIMER + 50, "body");
        assertEquals(mark(story.at(PRIMER + 51), "primer"), Mark.DONE);
    }

    @Test
    public void the_rack_counts_down_to_what_comes_next() {
        var story = coated();
        assertEquals(
                story.at(CLEAR + 1).next(),
                next("until light foot traffic", CLEAR + 24, Mark.WET, RunningClock.Urgency.SOON));
        assertEquals(
                story.at(CLEAR + 25).next(),
                next("until foot traffic", CLEAR + 36, Mark.CURING, RunningClock.Urgency.SOON));
        assertEquals(
                story.at(CLEAR + 100).next(),
                next("until water", CLEAR + 168, Mark.CURING, RunningClock.Urgency.LATER));
        assertEquals(story.at(CLEAR + 240).next().label(), "reseal due");
        assertEquals(story.at(CLEAR + 240).next().mark(), Mark.GO);
        assertEquals(story.at(24 * 365.25 * 5 + 100).next().mark(), Mark.OVERDUE);
    }

    private static RunningClock.Next next(String label, double hours, Mark mark, RunningClock.Urgency urgency) {
        return new RunningClock.Next(label, Optional.of(Stories.moment(hours)), mark, mark.word(), urgency, "service");
    }

    /** Whoever opens a floor stands where the next thing is done. */
    @Test
    public void what_comes_next_says_where_it_is_done() {
        assertEquals(new Stories().at(0).next().stratum(), "slab");
        var story = new Stories().surveyed();
        assertEquals(story.at(2).next().stratum(), "prep");
        assertEquals(story.ground().at(2).next().stratum(), "primer");
        assertEquals(story.coat(PRIMER, "primer").at(PRIMER + 1).next().stratum(), "body");
        assertEquals(story.coat(BODY, "body").at(BODY + 0.1).next().stratum(), "flake");
        assertEquals(story.coat(BODY + 0.2, "flake").at(BODY + 1).next().stratum(), "clear");
        assertEquals(story.coat(CLEAR, "clear").at(CLEAR + 1).next().stratum(), "service");
    }

    @Test
    public void before_any_coat_the_survey_and_the_gates_are_next() {
        assertEquals(new Stories().at(0).next().mark(), Mark.HOLD);
        assertEquals(new Stories().surveyed().at(2).next().label(), "Grind, then its gates");
        assertEquals(new Stories().surveyed().ground().at(2).next().label(), "Primer goes on");
        assertTrue(new Stories()
                .layers(List.of())
                .at(2)
                .survey()
                .summary()
                .startsWith("No build-up chosen; no walk-over"));
    }

    @Test
    public void a_coat_waits_for_the_layer_below_unless_planned() {
        var report = new Stories().surveyed().ground().coat(PRIMER, "primer").at(12);
        LayerReport body = report.layers().get(1);
        assertEquals(body.started(), LayerReport.Started.RECKONED);
        assertEquals(body.start(), Optional.of(Stories.moment(PRIMER + 10)));
        // flake lies in the body coat, the clear coat waits for the body coat and not for the flake
        assertEquals(report.layers().get(2).start(), body.start());
        assertEquals(report.layers().get(3).start(), Optional.of(Stories.moment(PRIMER + 20)));
        assertEquals(new Stories().surveyed().at(2).layers().get(0).started(), LayerReport.Started.UNKNOWN);
    }

    @Test
    public void a_colder_slab_moves_every_clock() {
        double at20 = hoursTo(coatedAt(20).at(CLEAR), Clock.VEHICLE);
        double at10 = hoursTo(coatedAt(10).at(CLEAR), Clock.VEHICLE);
        double at15 = hoursTo(coatedAt(15).at(CLEAR), Clock.VEHICLE);
        assertEquals(at20, 168, 0.001);
        assertEquals(at10, 336, 0.001);
        assertEquals(at15, 168 * Math.sqrt(2), 0.001);
        var cold = coatedAt(5).at(CLEAR);
        assertTrue(cold.service().ladder().stream()
                .allMatch(c -> c.at().isEmpty() && !c.time().whyNot().isEmpty()));
    }

    /** The slab as it was read in the hour of the clear coat. */
    private static Stories coatedAt(double slabC) {
        return coated().reading(CLEAR, "climate", "whole floor", "air=21 °C rh=50 % slab=" + slabC + " °C");
    }

    /** Read at 5 °C in the winter after: what cured in summer is not wet again. What is planned goes by what is planned. */
    @Test
    public void a_winter_reading_leaves_a_finished_floor_finished() {
        var story = coatedAt(20).reading(5000, "climate", "whole floor", "air=4 °C rh=50 % slab=5 °C");
        assertEquals(hoursTo(story.at(5001), Clock.VEHICLE), 168, 0.001);
        assertEquals(story.at(5001).service().mark(), Mark.GO);
        var ahead = new Stories()
                .surveyed()
                .ground()
                .coat(PRIMER, "primer")
                .slab(10)
                .at(PRIMER + 1);
        assertEquals(ahead.layers().get(0).at(Clock.RECOAT_OPENS), Optional.of(Stories.moment(PRIMER + 10)));
        assertEquals(ahead.layers().get(1).at(Clock.RECOAT_OPENS), Optional.of(Stories.moment(PRIMER + 10 + 20)));
    }

    private static double hoursTo(ZoneReport report, Clock clock) {
        var timed = report.service().ladder().stream()
                .filter(c -> c.clock() == clock)
                .findFirst()
                .orElseThrow();
        return java.time.Duration.between(Stories.moment(CLEAR), timed.at().orElseThrow())
                        .toSeconds()
                / 3600.0;
    }

    @Test
    public void without_a_slab_temperature_nothing_is_timed_and_it_says_why() {
        var story = new Stories();
        var report = story.at(0);
        LayerReport primer = report.layers().get(0);
        assertEquals(batches(story, 0, 0).whyNot(), "No slab temperature is known: read air and slab first.");
        assertTrue(batches(story, 0, 0).plan().isEmpty());
        assertEquals(batches(story, 2, 0).whyNot(), "The layer below has no batches yet to split it by.");
        assertTrue(primer.amount().value() > 0, "what it takes is known all the same");
    }

    private static LayerBatches batches(Stories story, int layer, double hours) {
        var report = story.at(hours);
        return LayerBatches.of(
                story.facts(),
                report.layers().get(layer),
                report.layers(),
                m2 -> List.of(Bay.whole(report.area().base())),
                UnitSystem.US,
                Stories.moment(hours));
    }

    @Test
    public void batches_logged_are_counted_and_their_pot_life_runs() {
        var story = new Stories()
                .surveyed()
                .ground()
                .batch(PRIMER, "primer", "volume=6 L area=40 m²")
                .batch(PRIMER + 0.5, "primer", "volume=5 L area=40 m²");
        var report = story.at(PRIMER + 1);
        assertEquals(report.layers().get(0).batchesLogged(), 2);
        assertEquals(report.layers().get(0).used().orElseThrow().amount().value(), 11, 1e-9);
        var bars = report.clocks().stream()
                .filter(c -> c.label().contains("bucket"))
                .toList();
        assertEquals(bars.get(0).to(), Stories.moment(PRIMER).plusSeconds(40 * 60));
        story.strike(PRIMER + 1, story.last());
        assertEquals(story.at(PRIMER + 1).layers().get(0).batchesLogged(), 1);
    }

    @Test
    public void the_core_stands_in_order_and_shows_its_films() {
        var strata = coated().at(CLEAR + 300).strata();
        assertEquals(
                strata.stream().map(Stratum::id).toList(),
                List.of("slab", "prep", "primer", "body", "flake", "clear", "service"));
        assertEquals(strata.get(3).filmUm(), 250, 1e-9);
        assertEquals(strata.get(6).mark(), Mark.GO);
        assertEquals(mark(coated().at(CLEAR + 300), "flake"), Mark.DONE);
    }

    /** A formula shown is a formula run: every line of every working is computed again from the lines above it. */
    @Test
    public void every_working_can_be_worked_again() {
        var story = coated().floor(new Ell(12.9, 9, 3.2, 2.7))
                .reading(2, "calcium-chloride", "D", "dishArea=0.05 m² gain=1.1 g hours=61.5 h");
        story.reading(2, "in-slab-rh", "D", "rh=60 % depth=20 mm thickness=100 mm drying=two wait=25 h");
        story.reading(30, "climate", "whole floor", "air=-3 °C rh=60 % slab=13.7 °C");
        List<Figure> figures = figuresOf(story.at(31));
        assertTrue(figures.size() > 60, figures.size() + " figures");
        int steps = 0;
        for (Figure figure : figures) {
            steps += Formula.assertRecomputes(figure);
        }
        assertTrue(steps > 80, steps + " steps");
    }

    @Test
    public void a_pocket_calculator_agrees_with_the_numbers_shown() {
        for (Figure figure : figuresOf(coated().at(CLEAR))) {
            List<String> numbers = figure.substituted();
            for (int i = 0; i < numbers.size(); i++) {
                Line line = figure.lines().get(i);
                if (!line.isGiven()) {
                    String typed = numbers.get(i).replace("\u202f", "").replace('\u2212', '-');
                    double again = Formula.value(typed.replace("--", "+").replace("·-", "·(0-1)·"), Map.of());
                    assertEquals(
                            again,
                            line.value(),
                            2e-5 * Math.max(1, Math.abs(line.value())),
                            figure.label() + ": " + typed);
                }
            }
        }
    }

    private static List<Figure> figuresOf(Object node) {
        var found = new ArrayList<Figure>();
        collect(node, found);
        return found;
    }

    /** Every figure anywhere in a report. */
    private static void collect(Object node, List<Figure> found) {
        if (node instanceof Figure figure) {
            found.add(figure);
        } else if (node instanceof Optional<?> optional) {
            optional.ifPresent(n -> collect(n, found));
        } else if (node instanceof Iterable<?> nodes) {
            nodes.forEach(n -> collect(n, found));
        } else if (node instanceof Record) {
            for (var component : node.getClass().getRecordComponents()) {
                try {
                    component.getAccessor().setAccessible(true);
                    collect(component.getAccessor().invoke(node), found);
                } catch (ReflectiveOperationException e) {
                    throw new AssertionError(component.toString(), e);
                }
            }
        }
    }
}

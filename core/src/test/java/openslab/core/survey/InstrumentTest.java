package openslab.core.survey;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import openslab.core.Cases;
import openslab.core.Stories;
import openslab.core.floor.Substrate;
import openslab.core.job.Mark;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.TestMethods;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a reading was taken with, and what stands on the floor until it is read. */
public class InstrumentTest {
    private static final LocalDate DAY = Stories.START.atOffset(ZoneOffset.UTC).toLocalDate();

    @DataProvider
    Object[][] papers() {
        return new Object[][] {
            {DAY.minusDays(200), DAY.plusDays(165), Verdict.GO},
            {DAY.minusDays(365), DAY, Verdict.GO},
            {DAY.minusDays(366), DAY.minusDays(1), Verdict.HOLD},
            {DAY, DAY.plusDays(365), Verdict.GO},
            {DAY.plusDays(1), DAY.plusDays(365), Verdict.HOLD}
        };
    }

    @Test(dataProvider = "papers")
    public void a_reading_counts_while_the_certificate_holds(LocalDate calibrated, LocalDate due, Verdict word) {
        var story = new Stories()
                .surveyed()
                .reading(1, "in-slab-rh", "B", "rh=66 % depth=40 mm thickness=100 mm drying=one wait=30 h")
                .with(new Instrument("Probe 3", calibrated, due));
        Survey.Judgement judged = story.at(2).survey();
        assertEquals(judged.verdict(), word);
        List<String> rules = judged.findings().stream()
                .filter(f -> f.verdict() == Verdict.HOLD)
                .map(Finding::rule)
                .sorted()
                .toList();
        assertEquals(rules, word == Verdict.GO ? List.of() : List.of("in-slab-rh-calibration", "in-slab-rh-count"));
    }

    /** Every method that is read with something: its best reading, taken on a day without a certificate, holds and does not count. */
    @DataProvider
    Object[][] read() {
        var best = new HashMap<String, String>();
        for (Object[] row : Cases.read("verdicts.csv")) {
            Cases c = (Cases) row[0];
            if (c.text("verdict").equals("GO")) {
                best.putIfAbsent(c.text("method"), c.text("values"));
            }
        }
        return TestMethods.ALL.stream()
                .filter(m -> m.instrument().isPresent() && best.containsKey(m.id()))
                .map(m -> new Object[] {m.id(), best.get(m.id())})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "read")
    public void no_method_counts_what_was_read_without_a_certificate(String method, String values) {
        var papers = new Instrument("No. 1", DAY.minusDays(30), DAY);
        var story = new Stories()
                .on(madeFor(method))
                .reading(1, method, "A", values)
                .with(papers);
        assertEquals(tally(story, method).taken(), 1, method);
        story.reading(30, method, "A", values).with(papers);
        Survey.Tally lapsed = tally(story, method);
        assertEquals(lapsed.taken(), 0, method);
        assertEquals(lapsed.verdict(), Optional.of(Verdict.HOLD), method);
    }

    private static Substrate madeFor(String method) {
        return Arrays.stream(Substrate.values())
                .filter(TestMethods.of(method)::isFor)
                .findFirst()
                .orElseThrow();
    }

    private static Survey.Tally tally(Stories story, String method) {
        return story.at(31).survey().tallies().stream()
                .filter(t -> t.method().equals(method))
                .findFirst()
                .orElseThrow();
    }

    /** A dish is weighed between 60 and 72 h, a probe read from 24 h on, a sheet lifted from 16 h on. */
    @Test
    public void what_stands_on_the_floor_says_when_to_come_back() {
        var story = new Stories()
                .set(0, "calcium-chloride", "A")
                .set(2, "in-slab-rh", "B")
                .set(3, "plastic-sheet", "A");
        assertEquals(
                story.at(4).testsOut().stream().map(SetOut.Test::from).toList(),
                List.of(Stories.moment(19), Stories.moment(26), Stories.moment(60)));
        var next = story.at(4).next();
        assertEquals(next.label(), "then lift the sheet at A");
        assertEquals(next.at().orElseThrow(), Stories.moment(19));
        story.reading(20, "plastic-sheet", "A", "hours=17 h under=dry");
        assertEquals(story.at(21).next().label(), "then read the probe at B");
        story.reading(27, "in-slab-rh", "B", "rh=66 % depth=40 mm thickness=100 mm drying=one wait=25 h");
        assertEquals(story.at(61).next().label(), "weigh the dish at A now");
        assertEquals(story.at(61).next().at().orElseThrow(), Stories.moment(72));
        assertEquals(story.at(73).next().mark(), Mark.OVERDUE);
        assertTrue(story.at(61).clocks().stream().anyMatch(c -> c.label().equals("weigh the dish at A")));
        story.reading(66, "calcium-chloride", "B", "dishArea=0.445 ft² gain=1.2 g hours=66 h");
        assertEquals(story.at(67).testsOut().size(), 1, "another place was read");
        story.reading(66, "calcium-chloride", "A", "dishArea=0.445 ft² gain=1.2 g hours=66 h");
        assertTrue(story.at(67).testsOut().isEmpty());
    }

    /** A probe read too early is ready at 15 h, a dish not before 60: the rack counts down to whichever comes first. */
    @Test
    public void the_rack_counts_down_to_what_comes_first() {
        var story = new Stories()
                .surveyed()
                .reading(2, "in-slab-rh", "B", "rh=60 % depth=40 mm thickness=100 mm drying=one wait=9 h")
                .set(0, "calcium-chloride", "D");
        var next = story.at(3).next();
        assertEquals(next.at().orElseThrow(), Stories.moment(17));
        assertTrue(next.label().contains("read too early"), next.label());
        story.set(1, "plastic-sheet", "E");
        // taped at 1 h, lifted at 17 h: the same moment, and the probe's finding still speaks
        assertEquals(story.at(3).next().at().orElseThrow(), Stories.moment(17));
        story.reading(18, "in-slab-rh", "B", "rh=66 % depth=40 mm thickness=100 mm drying=one wait=25 h");
        story.reading(18, "plastic-sheet", "E", "hours=17 h under=dry");
        // but for the air, read long ago
        assertEquals(story.at(19).survey().verdict(), Verdict.WATCH);
        assertEquals(story.at(19).testsOut().size(), 1, "the dish still stands");
        assertFalse(story.at(19).next().label().contains("dish"), "what is tested enough waits for no dish");
    }

    /** Struck, or read since: nothing stands any longer. */
    @Test
    public void a_test_that_was_struck_stands_no_longer() {
        var story = new Stories().set(0, "calcium-chloride", "A").set(0, "calcium-chloride", "B");
        story.strike(1, story.last());
        assertEquals(story.at(2).testsOut().stream().map(SetOut.Test::place).toList(), List.of("A"));
        story.set(3, "calcium-chloride", "A");
        assertEquals(story.at(4).testsOut().size(), 2, "set out twice, it is read twice");
        story.reading(63, "calcium-chloride", "A", "dishArea=0.445 ft² gain=1.2 g hours=63 h");
        assertTrue(story.at(64).testsOut().isEmpty());
    }

    @Test
    public void every_test_that_stands_says_what_it_waits_for() {
        for (TestMethod method : TestMethods.ALL) {
            method.setOut().ifPresent(s -> {
                assertTrue(s.least().toHours() >= 16, method.id());
                assertTrue(
                        method.fields().stream().anyMatch(f -> f.id().equals(s.hours())),
                        method.id() + " has no field " + s.hours());
                assertFalse(s.waiting().isBlank() || s.then().isBlank());
                s.most().ifPresent(m -> assertTrue(m.compareTo(s.least()) > 0));
            });
        }
        assertEquals(
                TestMethods.ALL.stream().filter(m -> m.setOut().isPresent()).count(), 3);
    }
}

package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.course.Progress;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.job.Cycle;
import openslab.core.job.CycleKind;
import openslab.core.job.CycleReport;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogGuard;
import openslab.core.job.Mark;
import openslab.core.job.Patch;
import openslab.core.job.StepReport;
import openslab.core.job.Stratum;
import openslab.core.job.ZoneReport;
import openslab.core.prep.PrepAsks;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Verdict;
import openslab.core.survey.area.Defect;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A floor lives for years: each time it is worked on begins anew, on what the last time left. */
public class CycleTest {
    private static final double YEAR = 365.25 * 24;
    private static final List<LayerChoice> ALL = Stories.epoxyWithFlake();
    private static final List<LayerChoice> TOP = ALL.subList(3, 4);

    /** Everything on: primer at 10 h, each coat in the window of the one below. The clear is resealed every 5 years. */
    private static Stories coated() {
        return coats(new Stories().surveyed().ground(), 0);
    }

    private static Stories coats(Stories story, double from) {
        for (double h : new double[] {10, 22, 34}) {
            story.reading(from + h, "climate", "whole floor", "air=21 °C rh=50 % slab=20 °C");
        }
        return story.coat(from + 10, "primer")
                .coat(from + 22, "body")
                .coat(from + 22, "flake")
                .coat(from + 34, "clear");
    }

    private static Stories dulled(Stories story, double from) {
        return story.reading(from, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=no")
                .reading(from, "climate", "whole floor", "air=21 °C rh=50 % slab=20 °C")
                .gate(from + 1, "dull", "dull=dull")
                .gate(from + 2, "residue", "residue=none")
                .gate(from + 6, "dry", "dried=4 h dark=none")
                .gate(from + 7, "no-dust", "no-dust=clean");
    }

    private static String due(ZoneReport report) {
        return report.service().reseal().orElseThrow().due().toString().substring(0, 7);
    }

    private static List<String> open(ZoneReport report) {
        return report.prep().steps().stream()
                .filter(s -> s.progress() != Progress.DONE)
                .map(StepReport::id)
                .toList();
    }

    private static List<String> strata(ZoneReport report) {
        return report.strata().stream().map(Stratum::id).toList();
    }

    /** Coated in May 2026; washed in 2028; resealed in 2031 and 2036; a patch in 2037; recoated in 2038. */
    @Test
    public void a_floor_lives_for_twelve_years() {
        Stories story = coated();
        var first = story.at(40);
        assertEquals(first.prep().mark(), Mark.DONE);
        assertEquals(first.conduct(), List.of());
        assertEquals(due(first), "2031-05");
        assertEquals(story.at(4 * YEAR).next().label(), "reseal due");

        // washed: nothing goes on, and nothing of the first course is done again
        double wash = 2 * YEAR;
        story.begin(wash, CycleKind.CLEAN, "", List.of());
        var begun = story.at(wash);
        assertEquals(begun.prep().method(), "wash-film");
        assertEquals(open(begun).size(), begun.prep().steps().size(), "an empty course");
        assertEquals(begun.layers(), List.of());
        assertEquals(due(begun), "2031-05");
        assertEquals(begun.next().label(), "wash the film");
        assertTrue(begun.survey().findings().stream().allMatch(f -> f.rule().equals("walk-over-count")));
        story.gate(wash + 3, "residue", "residue=none")
                .gate(wash + 7, "dry", "dried=4 h dark=none")
                .reading(wash + 8, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=no");
        var washed = story.at(wash + 9);
        assertEquals(washed.prep().mark(), Mark.DONE);
        assertEquals(washed.survey().verdict(), Verdict.GO);
        assertEquals(washed.next().label(), "reseal due");
        assertEquals(washed.service().mark(), Mark.GO);

        // the same sheet over itself: no moisture is asked through a film, and the old date holds until the new coat is
        // on
        double late = 5.1 * YEAR;
        story.begin(late, CycleKind.RESEAL, "", TOP);
        assertEquals(story.facts().ground(), Ground.OWN_FILM);
        var reseal = story.at(late);
        assertEquals(reseal.prep().method(), "dull-film");
        assertEquals(
                strata(reseal),
                List.of(
                        "slab",
                        "film-1-primer",
                        "film-1-body",
                        "film-1-flake",
                        "film-1-clear",
                        "prep",
                        "clear",
                        "service"));
        assertEquals(reseal.service().mark(), Mark.OVERDUE);
        assertEquals(due(reseal), "2031-05");
        dulled(story, late);
        assertEquals(story.at(late + 8).survey().verdict(), Verdict.GO);
        assertEquals(story.at(late + 8).prep().mark(), Mark.DONE);
        story.coat(late + 8, "clear");
        var resealed = story.at(late + 9);
        assertEquals(resealed.conduct(), List.of(), "nothing stood against it");
        assertEquals(resealed.layers().get(0).mark(), Mark.WET);
        assertEquals(due(resealed), "2036-06");

        double again = 10.2 * YEAR;
        story.begin(again, CycleKind.RESEAL, "", TOP);
        assertEquals(
                open(story.at(again)).size(),
                story.at(again).prep().steps().size(),
                "last time's steps are last time's");
        assertEquals(story.at(again).layers().get(0).mark(), Mark.NOT_STARTED);
        dulled(story, again).coat(again + 8, "clear");
        assertEquals(due(story.at(again + 9)), "2041-07");
        assertEquals(
                strata(story.at(again)).stream()
                        .filter(s -> s.startsWith("film-"))
                        .count(),
                5);

        // a patch down to the slab: so much of everything, its own clocks, and the floor's date stays
        double patch = 11 * YEAR;
        story.begin(patch, CycleKind.REPAIR, "4 m²", ALL);
        var torn = story.at(patch);
        assertEquals(
                torn.layers().get(0).amount().base(),
                first.layers().get(0).amount().base() * 4 / 80,
                1e-9);
        assertEquals(torn.floor().base(), 80, 1e-9);
        assertEquals(torn.area().base(), 4, 1e-9);
        assertEquals(torn.prep().method(), "clean-and-test", "nobody has walked it since");
        assertEquals(torn.prep().mark(), Mark.NOT_STARTED);
        assertEquals(due(torn), "2041-07");
        torn.survey().tallies().stream()
                .filter(t -> t.method().equals("calcium-chloride"))
                .forEach(t -> assertEquals(t.taken(), 0, "dishes of eleven years ago say nothing"));
        story.surveyedAt(patch).ground(patch);
        coats(story, patch);
        var patched = story.at(patch + 35);
        assertEquals(patched.conduct(), List.of());
        assertEquals(patched.layers().get(3).mark(), Mark.WET);
        assertEquals(due(patched), "2041-07");

        // all of it anew: what lies there has to come off first
        double anew = 12 * YEAR;
        story.begin(anew, CycleKind.RECOAT, "", ALL);
        var recoat = story.at(anew);
        assertEquals(recoat.areas().get(0).area().defect(), Defect.OLD_COAT);
        assertEquals(recoat.survey().verdict(), Verdict.HOLD);
        assertFalse(strata(recoat).stream().anyMatch(s -> s.startsWith("film-")));
        story.surveyedAt(anew).ground(anew);
        assertTrue(story.at(anew + 3).areas().get(0).gone().isPresent(), "water soaks in again");
        coats(story, anew);
        var last = story.at(anew + 35);
        assertEquals(last.conduct(), List.of());
        assertEquals(due(last), "2043-05");
        assertEquals(last.survey().verdict(), Verdict.GO);

        history(story);
    }

    /** Each is still there as it was, and all of them read as one. */
    private static void history(Stories story) {
        var report = story.at(12 * YEAR + 40);
        assertEquals(
                report.cycles().stream().map(CycleReport::kind).toList(),
                List.of(
                        CycleKind.COAT,
                        CycleKind.CLEAN,
                        CycleKind.RESEAL,
                        CycleKind.RESEAL,
                        CycleKind.REPAIR,
                        CycleKind.RECOAT));
        assertEquals(report.cycles().get(0).coats().size(), 4);
        assertEquals(report.cycles().get(1).coats(), List.of());
        assertEquals(report.cycles().get(4).patch(), "4.0\u00a0m²");
        assertEquals(report.cycles().get(0).began(), Optional.of(Stories.START));
        Map<Integer, String> methods =
                Map.of(1, "grind", 2, "wash-film", 3, "dull-film", 4, "dull-film", 5, "grind", 6, "grind");
        for (CycleReport cycle : report.cycles()) {
            Instant end = cycle.last().orElseThrow();
            var then = ZoneReport.of(story.facts().through(cycle.number()), UnitSystem.METRIC, Stories.WHERE, end);
            assertEquals(then.prep().method(), methods.get(cycle.number()));
            assertEquals(then.prep().mark(), Mark.DONE, cycle.label());
            assertEquals(then.conduct(), List.of(), cycle.label());
            assertEquals(then.cycles().size(), cycle.number());
        }
        assertTrue(report.begins().stream()
                .allMatch(b -> b.whyNot().isEmpty() && b.asksWhy().isEmpty()));
    }

    /** A second cleaning finds nothing done: not in this cycle. */
    @Test
    public void a_gate_and_a_step_belong_to_their_cycle() {
        Stories story = new Stories()
                .reading(0, "walk-over", "whole floor", "sealer=no oil=yes coating=no dusting=no hollow=no")
                .reading(0, "water-drop", "A", "drop=beads");
        int steps = story.at(1).prep().steps().size();
        story.gate(3, "residue", "residue=none")
                .gate(30, "dry", "dried=24 h dark=none")
                .gate(31, "soaks", "soaks=soaks");
        assertTrue(open(story.at(32)).size() < steps);
        story.begin(40, CycleKind.CLEAN, "", ALL);
        assertEquals(story.facts().ground(), Ground.BARE, "nothing is on it yet");
        assertEquals(open(story.at(41)).size(), steps);
        assertEquals(story.at(41).prep().method(), "clean-and-test", "the oil that was seen is still there");
    }

    /** Tested while it was to be stripped: it marks nothing done when it is ground instead. */
    @Test
    public void a_gate_of_another_method_proves_nothing() {
        Stories story = new Stories().surveyed();
        story.gate(2, "profile", "csp=3").gate(2, "rub", "rub=clean");
        var logged = story.facts().log();
        Stories tagged = new Stories().surveyed();
        logged.subList(logged.size() - 2, logged.size()).forEach(e -> tagged.kept(e.doneFor("etch")));
        assertEquals(open(tagged.at(3)).size(), tagged.at(3).prep().steps().size());
        assertTrue(open(story.at(3)).size() < open(tagged.at(3)).size(), "an older log does not say for which");
        tagged.done(3, "vacuum", "");
        assertEquals(
                LogGuard.take(
                                tagged.gate(3, "profile", "csp=3").facts(),
                                new Stories().done(3, "vacuum", "").last(),
                                UnitSystem.METRIC)
                        .method(),
                "grind");
        assertEquals(
                LogGuard.take(
                                new Stories()
                                        .surveyed()
                                        .gate(2, "profile", "csp=3")
                                        .facts(),
                                logged.get(logged.size() - 1),
                                UnitSystem.METRIC)
                        .method(),
                "grind");
    }

    @DataProvider
    Object[][] substrates() {
        return java.util.Arrays.stream(Substrate.values())
                .map(s -> new Object[] {s})
                .toArray(Object[][]::new);
    }

    /** On every substrate a reseal has a way, and so has taking off what is there. */
    @Test(dataProvider = "substrates")
    public void every_floor_has_a_second_season(Substrate substrate) {
        Stories story = coats(new Stories().on(substrate), 0).begin(YEAR, CycleKind.RESEAL, "", TOP);
        story.reading(YEAR, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=no");
        story.reading(YEAR, "old-floor", "whole floor", "laid=newer laboratory=none");
        var reseal = story.at(YEAR + 1);
        assertEquals(reseal.prep().method(), "dull-film");
        assertTrue(reseal.prep().refused().stream()
                .filter(r -> !r.method().equals("wash-film"))
                .allMatch(r -> r.elsewhere()));
        coats(story, YEAR).begin(2 * YEAR, CycleKind.RECOAT, "", ALL);
        story.reading(2 * YEAR, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=no")
                .reading(2 * YEAR, "water-drop", "A", "drop=beads");
        var recoat = story.at(2 * YEAR + 1);
        assertTrue(!recoat.prep().method().isEmpty(), recoat.prep().refused().toString());
    }

    /** Dirtied while it stood open: it is washed and dulled, and the rest of its own build-up goes on. */
    @Test
    public void a_build_up_that_was_begun_goes_on_after_a_cleaning() {
        Stories story = new Stories().surveyed().ground().coat(10, "primer");
        assertEquals(story.facts().open().stream().map(LayerChoice::id).toList(), List.of("body", "flake", "clear"));
        story.begin(100, CycleKind.CLEAN, "", ALL.subList(1, 4));
        assertEquals(story.facts().ground(), Ground.OWN_FILM);
        assertEquals(story.at(100).prep().method(), "dull-film");
        dulled(story, 100).coat(108, "body");
        assertEquals(story.at(109).conduct(), List.of());
        assertEquals(story.at(109).layers().get(0).mark(), Mark.WET);
        story.begin(120, CycleKind.CLEAN, "", List.of());
        assertEquals(story.facts().ground(), Ground.FILM_KEPT);
    }

    /** Another maker's sheet over it: a square of it has to hold first. */
    @Test
    public void another_sheet_over_a_film_is_tried_first() {
        ProductSheet other = Stories.liquid("Other clear", LayerRole.CLEAR, 5, Map.of(Exposure.INDOORS, 5.0));
        Stories story = coated().begin(YEAR, CycleKind.RESEAL, "", List.of(Stories.layer("clear", other)));
        assertEquals(story.facts().ground(), Ground.OTHER_FILM);
        dulled(story, YEAR);
        var report = story.at(YEAR + 8);
        assertTrue(report.prep().steps().stream()
                .anyMatch(s -> s.gate().map(g -> g.id().equals("holds")).orElse(false)));
    }

    /** What lay hollow under a coat still does, unless it was cut out; what was oil before it was coated says nothing now. */
    @Test
    public void what_no_coat_takes_out_stays() {
        Stories story = new Stories()
                .surveyed()
                .area(1, Defect.HOLLOW, "By the door", 1, 1, 2, 1, 2, 2)
                .area(1, Defect.OIL, "Bay 2", 3, 3, 4, 3, 4, 4);
        coats(story, 0).begin(YEAR, CycleKind.RESEAL, "", TOP);
        assertEquals(story.at(YEAR).areas().stream().map(a -> a.area().defect()).toList(), List.of(Defect.HOLLOW));
        story.begin(YEAR + 1, CycleKind.RECOAT, "", ALL);
        assertEquals(
                story.at(YEAR + 1).areas().stream().map(a -> a.area().defect()).toList(),
                List.of(Defect.OLD_COAT, Defect.HOLLOW));
        assertEquals(
                story.at(YEAR + 1).survey().findings().stream()
                        .filter(f -> f.rule().equals("concrete-age"))
                        .count(),
                1,
                "and a slab does not grow younger");
    }

    private static String fault(Stories story, CycleKind kind, String patch, String why) {
        var next = new Cycle(
                2,
                kind,
                Stories.START,
                "Wren",
                why,
                patch.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Patch.of(Patch.SIZE.parse("patch", patch, UnitSystem.METRIC))),
                List.of(),
                PrepAsks.NOTHING);
        var e = expectThrows(InvalidInput.class, () -> CycleReport.require(story.facts(), next, UnitSystem.METRIC));
        return e.faults().get(0).field();
    }

    @Test
    public void a_cycle_begins_only_on_what_it_needs() {
        assertEquals(fault(new Stories(), CycleKind.RESEAL, "", ""), "kind");
        assertEquals(fault(new Stories(), CycleKind.COAT, "", ""), "kind");
        assertEquals(fault(coated(), CycleKind.REPAIR, "80 m²", ""), "patch");
        assertEquals(fault(new Stories().coat(1, "primer"), CycleKind.RECOAT, "", ""), "why");
        CycleReport.require(
                new Stories().coat(1, "primer").facts(),
                new Cycle(
                        2,
                        CycleKind.RECOAT,
                        Stories.START,
                        "Wren",
                        "It peels",
                        Optional.empty(),
                        ALL,
                        PrepAsks.NOTHING),
                UnitSystem.METRIC);
    }
}

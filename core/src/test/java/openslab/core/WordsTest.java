package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.Condition;
import openslab.core.prep.Demand;
import openslab.core.prep.PrepNeed;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.SiteLimit;
import openslab.core.prep.SiteLimits;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Site;
import openslab.core.survey.area.Defect;
import openslab.core.survey.method.TestMethods;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the crew is told, in words. */
public class WordsTest {
    @DataProvider
    Object[][] readings() {
        return new Object[][] {
            {"calcium-chloride", "dishArea=0.445 ft² gain=1.51 g hours=62 h", "2.90 lb"},
            {"in-slab-rh", "rh=74 % depth=2 in thickness=5 in drying=one wait=30 h", "74\u00a0%"},
            {"plastic-sheet", "hours=16 h under=damp", "damp"},
            {"ph", "ph=9.46", "9.5"},
            {"water-drop", "drop=beads", "beads"},
            {"walk-over", "sealer=yes oil=no coating=no dusting=yes hollow=no", "sealer, dusting"},
            {"walk-over", "sealer=no oil=no coating=no dusting=no hollow=no", "clean"},
            {"profile", "csp=3", "CSP 3"},
            {"concrete-age", "age=40 d", "40\u00a0d"},
            {"concrete-age", "age=12 years", "12 years"},
            {"moisture-meter", "shown=41.26", "41.3"},
            {"absorption", "time=75 s", "75\u00a0s"},
            {"solvent-rub", "sign=softens", "Softens or turns sticky"},
            {"tape", "sign=grey", "Tape is lightly grey"},
            {"pull-off", "force=880 lbf disc=50 mm gave=concrete", "289\u00a0psi"},
            {"sounding", "hollow=8 m²", "10\u00a0%"},
            {"crack", "width=1/16 in moves=yes", "0.063\u00a0in, moving"},
            {"straightedge", "gap=1/4 in edge=long", "0.250\u00a0in"},
            {"resistance", "ohms=45 MΩ volts=100 rh=40 %", "45.0\u00a0MΩ"},
            {"resistance", "ohms=250 kΩ volts=10 rh=40 %", "250.0\u00a0kΩ"},
            {"resistance", "ohms=1.2 GΩ volts=100 rh=40 %", "1.20\u00a0GΩ"},
            {"slip", "dcof=0.47 wet=wet", "0.47 wet"},
            {"old-floor", "laid=older laboratory=none", "before 1990 or unknown, no result"},
            {"old-floor", "laid=newer laboratory=none", "laid 1990 or later"},
            {"old-floor", "laid=older laboratory=found", "laboratory: asbestos or lead"},
            {"climate", "air=61 °F rh=64 % slab=58 °F", "61.0\u00a0°F, 64\u00a0%, slab 58.0\u00a0°F"},
        };
    }

    @Test(dataProvider = "readings")
    public void a_reading_is_told_in_a_few_words(String method, String values, String words) {
        var reading = new Stories()
                .reading(0, method, "A", values)
                .facts()
                .survey()
                .found()
                .all()
                .get(0);
        var site = new Site(Stories.LIMITS, Substrate.BARE_CONCRETE, 80, UnitSystem.US, Stories.START);
        assertEquals(TestMethods.of(method).found(reading, site), words);
    }

    private static PrepPlan plan(boolean sealer, boolean hollow, int cspMin, boolean dust) {
        Set<Defect> found = new HashSet<>();
        if (sealer) {
            found.add(Defect.SEALER);
        }
        if (hollow) {
            found.add(Defect.HOLLOW);
        }
        var condition =
                new Condition(Substrate.BARE_CONCRETE, found, Optional.of(false), Optional.empty(), true, false);
        return PrepPlan.choose(condition, new PrepNeed(cspMin, 5, Source.ours("test")), new SiteLimits(dust, true));
    }

    @Test
    public void an_etch_is_tried_weakest_first_and_neutralised_before_it_dries() {
        PrepPlan etch = plan(false, false, 1, false);
        List<String> titles = etch.steps().stream().map(Step::title).toList();
        assertEquals(titles.get(1), "Try it weakest first");
        assertTrue(titles.indexOf("Neutralise, rinse twice") < titles.indexOf("Dry 24 h"));
        assertTrue(etch.steps().get(2).does().contains("Acid into water, never water into acid"));
        assertEquals(
                etch.gates().stream().map(g -> g.id()).toList(),
                List.of("patch", "fizz", "rinse-ph", "dry", "rub", "profile", "no-dust"));
        assertTrue(etch.steps().stream().anyMatch(s -> s.caution().contains("Goggles")));
    }

    @Test
    public void hollow_places_are_cut_out_before_anything_is_ground() {
        assertEquals(plan(false, true, 3, true).steps().get(1).title(), "Cut out hollow places");
        assertFalse(plan(false, false, 3, true).steps().stream()
                .anyMatch(s -> s.title().contains("hollow")));
    }

    @Test
    public void the_reason_is_the_floors_own() {
        assertTrue(plan(true, false, 3, true).because().contains("film under a bonded system is ground off"));
        assertTrue(plan(false, false, 3, true).because().contains("CSP 3 to 5"));
        assertEquals(plan(false, false, 4, false).because(), "Every method is refused here; see why.");
        assertTrue(plan(false, false, 1, true).fits().stream()
                .filter(f -> f.method().id().equals("etch"))
                .anyMatch(f -> f.because().contains("without dust")));
    }

    @DataProvider
    Object[][] titles() {
        return new Object[][] {
            {"Oil or grease", "oil or grease"},
            {"pH of the surface", "pH of the surface"},
            {"CSP 3", "CSP 3"},
            {"In-slab humidity", "in-slab humidity"},
            {"VCT", "VCT"},
            {"A", "A"},
            {"", ""}
        };
    }

    @Test(dataProvider = "titles")
    public void a_title_within_a_sentence_begins_small(String title, String within) {
        assertEquals(Show.lower(title), within);
    }

    /** What forbids and what demands are told in the same words, so that every refusal reads as a sentence. */
    @Test
    public void every_demand_and_limit_reads_as_a_sentence() {
        for (Demand demand : Demand.values()) {
            assertTrue(Character.isLowerCase(demand.words().charAt(0)), demand.words());
            assertFalse(demand.words().endsWith("."), demand.words());
        }
        for (SiteLimit limit : SiteLimit.values()) {
            assertTrue(Character.isUpperCase(limit.label().charAt(0)), limit.label());
            assertFalse(limit.because().endsWith(".") || limit.forbids().isEmpty(), limit.because());
        }
    }
}

package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.course.Gate;
import openslab.core.course.Progress;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.job.Mark;
import openslab.core.job.StepReport;
import openslab.core.prep.Condition;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.PrepNeed;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.SiteLimit;
import openslab.core.prep.SiteLimits;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Shown;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.Removal;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PrepTest {
    @DataProvider
    Object[][] profiles() {
        return Cases.read("profile-by-film.csv");
    }

    @Test(dataProvider = "profiles")
    public void thicker_films_ask_for_rougher_concrete(Cases c) {
        var need = PrepNeed.forFilm(Unit.MIL.toBase(c.number("film_mil")));
        assertEquals(List.of(need.min(), need.max()), List.of(c.whole("min"), c.whole("max")));
    }

    @DataProvider
    Object[][] floors() {
        return Cases.read("prep.csv");
    }

    private static Condition condition(Cases c) {
        Set<Defect> found = words(c, "found").map(Defect::valueOf).collect(Collectors.toSet());
        Optional<Boolean> beads = c.text("beads").equals("?")
                ? Optional.empty()
                : Optional.of(c.text("beads").equals("yes"));
        return new Condition(
                Substrate.valueOf(c.text("substrate")),
                found,
                beads,
                Optional.empty(),
                c.text("walked").equals("yes"),
                c.text("unsampled").equals("yes"));
    }

    private static Stream<String> words(Cases c, String column) {
        return Arrays.stream(c.text(column).split(" ")).filter(w -> !w.isEmpty());
    }

    private static PrepNeed need(Cases c) {
        return new PrepNeed(c.whole("csp_min"), c.whole("csp_max"), Source.ours("test"));
    }

    private static PrepPlan plan(Cases c) {
        Set<SiteLimit> limits = words(c, "limits").map(SiteLimit::valueOf).collect(Collectors.toSet());
        var site = new SiteLimits(c.text("dust").equals("yes"), c.text("wash").equals("yes"), limits);
        return PrepPlan.choose(condition(c), need(c), site);
    }

    @Test(dataProvider = "floors")
    public void the_floor_decides_the_method(Cases c) {
        PrepPlan plan = plan(c);
        assertEquals(
                plan.method().map(PrepMethod::id).orElse("none"),
                c.text("method"),
                plan.refused().toString());
        Set<String> refused =
                plan.refused().stream().map(PrepPlan.Refused::method).collect(Collectors.toSet());
        words(c, "refused").forEach(m -> assertTrue(refused.contains(m), m + " was not refused"));
        assertEquals(
                plan.fits().stream().map(f -> f.method().id()).skip(1).collect(Collectors.joining(" ")),
                c.text("also"),
                "what fits besides, in order");
        assertFalse(c.text("source").isBlank());
    }

    @Test(dataProvider = "floors")
    public void every_other_method_is_refused_with_reasons(Cases c) {
        PrepPlan plan = plan(c);
        Set<String> told = plan.refused().stream().map(PrepPlan.Refused::method).collect(Collectors.toSet());
        plan.fits().forEach(f -> assertTrue(told.add(f.method().id()), "it fits, and is not refused"));
        assertEquals(told, PrepMethods.ALL.stream().map(PrepMethod::id).collect(Collectors.toSet()));
        plan.refused().forEach(r -> assertFalse(r.reasons().isEmpty(), r.method()));
    }

    @Test(dataProvider = "floors")
    public void every_step_has_a_reason_and_every_plan_a_gate(Cases c) {
        PrepPlan plan = plan(c);
        plan.steps().forEach(s -> assertFalse(s.why().isBlank() || s.does().isBlank(), s.title()));
        assertEquals(plan.gates().isEmpty(), plan.method().isEmpty());
    }

    @DataProvider
    Object[][] gates() {
        return new Object[][] {
            {"rinse-ph", "water=7.0 floor=6.0", true},
            {"rinse-ph", "water=7.0 floor=9.0", true},
            {"rinse-ph", "water=7.0 floor=5.5", false},
            {"rinse-ph", "water=7.0 floor=9.5", false},
            {"profile", "csp=1", false},
            {"profile", "csp=2", true},
            {"profile", "csp=3", true},
            {"profile", "csp=4", false},
            {"dry", "dried=24 dark=none", true},
            {"dry", "dried=23.9 dark=none", false},
            {"dry", "dried=48 dark=some", false},
            {"fizz", "fizz=none", false},
            {"rub", "rub=clean", true},
        };
    }

    /** SSPC-SP 13/NACE No. 6 for the pH (from memory): rinse water 7.0 accepts 6.0–9.0. The rest is common practice. */
    @Test(dataProvider = "gates")
    public void a_gate_passes_what_it_says(String id, String values, boolean passes) {
        var need = new PrepNeed(2, 3, Source.ours("test"));
        Condition any = Condition.of(
                new Stories().facts().survey(), Substrate.BARE_CONCRETE, Ground.BARE, Optional.empty(), true, Set.of());
        Gate gate = PrepMethods.ALL.stream()
                .flatMap(m -> m.steps(any, need).stream())
                .flatMap(s -> s.gate().stream())
                .filter(g -> g.id().equals(id))
                .findFirst()
                .orElseThrow();
        var read = Field.parseAll("values", gate.fields(), Stories.typed(values), UnitSystem.US);
        assertEquals(gate.passes().test(read), passes);
    }

    @Test
    public void gates_open_one_after_another() {
        var story = new Stories().surveyed();
        assertEquals(states(story), List.of(Progress.OPEN, Progress.WAITING, Progress.WAITING, Progress.WAITING));
        story.gate(2, "profile", "csp=2");
        assertEquals(
                states(story),
                List.of(Progress.FAILED, Progress.OPEN, Progress.WAITING, Progress.WAITING, Progress.WAITING));
        assertEquals(story.at(3).prep().mark(), Mark.HOLD);
        // the same minute: what was logged later counts
        story.gate(2, "profile", "csp=4");
        assertEquals(
                states(story),
                List.of(Progress.FAILED, Progress.DONE, Progress.OPEN, Progress.WAITING, Progress.WAITING));
        assertEquals(story.at(3).prep().mark(), Mark.IN_HAND);
        story.gate(3, "rub", "rub=clean").gate(3, "soaks", "soaks=soaks").gate(3, "no-dust", "no-dust=clean");
        assertEquals(story.at(3).prep().mark(), Mark.DONE);
    }

    private static List<Progress> states(Stories story) {
        return story.at(3).prep().steps().stream()
                .filter(s -> s.gate().isPresent())
                .map(StepReport::progress)
                .toList();
    }

    @Test
    public void a_cleaned_floor_is_not_yet_a_prepared_one() {
        var story = new Stories()
                .reading(0, "walk-over", "whole floor", "sealer=no oil=yes coating=no dusting=no hollow=no")
                .reading(0, "water-drop", "A", "drop=beads")
                .gate(1, "residue", "residue=none")
                .gate(1, "soaks", "soaks=soaks");
        assertEquals(story.at(2).prep().mark(), Mark.HOLD);
        assertEquals(story.at(2).prep().method(), "clean-and-test");
    }

    private static final Map<String, Removal> DOES = Map.of(
            "grind", Removal.GRIND,
            "shot-blast", Removal.GRIND,
            "scarify", Removal.GRIND,
            "strip", Removal.STRIP,
            "strip-finish", Removal.STRIP,
            "media-blast", Removal.BLAST,
            "dull", Removal.DULL,
            "abrade", Removal.SAND);

    /** One remedy: what the survey says of a film is what preparation then does, on every floor. */
    @Test
    public void the_survey_says_what_preparation_does() {
        var films = List.of(
                Defect.SEALER,
                Defect.POLISH,
                Defect.CURING_COMPOUND,
                Defect.FACTORY_FILM,
                Defect.PAINT,
                Defect.ADHESIVE);
        for (Substrate substrate : Substrate.values()) {
            for (int csp : new int[] {1, 3}) {
                for (Defect film : films) {
                    boolean shows = substrate == Substrate.STAMPED && csp < 3;
                    Removal said = Removal.of(film, substrate, shows ? Shown.STAMP : Shown.NOTHING);
                    var condition =
                            new Condition(substrate, Set.of(film), Optional.of(true), Optional.empty(), true, false);
                    var need = new PrepNeed(csp, 3, Source.ours("test"));
                    PrepPlan plan = PrepPlan.choose(condition, need, new SiteLimits(true, true));
                    String at = film + " on " + substrate + ", CSP " + csp + ": "
                            + plan.method().map(PrepMethod::id);
                    if (plan.method().isEmpty()) {
                        assertEquals(said, Removal.NONE, at);
                    } else if (plan.method().get().id().equals("scrub-tile")) {
                        assertEquals(said, film == Defect.PAINT ? Removal.SAND : Removal.STRIP, at);
                    } else {
                        assertEquals(said, DOES.get(plan.method().get().id()), at);
                    }
                }
            }
        }
    }

    @Test
    public void silica_stands_beside_the_grinder() {
        var steps = new Stories().surveyed().at(2).prep().steps();
        assertTrue(steps.stream()
                .anyMatch(s -> s.title().contains("Grind") && s.caution().contains("Silica")));
    }

    private static final int TRIALS = 4000;

    /** What confirms that it is gone, one of these: TRADE 4, gates. */
    private static final Map<Defect, Set<String>> PROOFS = Map.ofEntries(
            Map.entry(Defect.OIL, Set.of("soaks", "residue", "wipe", "sound")),
            Map.entry(Defect.SILICONE, Set.of("soaks", "residue", "wipe")),
            Map.entry(Defect.SEALER, Set.of("soaks", "lifts", "dull", "sound")),
            Map.entry(Defect.POLISH, Set.of("soaks", "lifts", "dull", "sound")),
            Map.entry(Defect.CURING_COMPOUND, Set.of("soaks")),
            Map.entry(Defect.RELEASE_POWDER, Set.of("rub")),
            Map.entry(Defect.PAINT, Set.of("soaks", "dull", "sound")),
            Map.entry(Defect.OLD_COAT, Set.of("soaks", "dull", "lifts", "sound")),
            Map.entry(Defect.ADHESIVE, Set.of("soaks")),
            Map.entry(Defect.EFFLORESCENCE, Set.of("rub", "residue")),
            Map.entry(Defect.FACTORY_FILM, Set.of("dull", "lifts", "soaks")),
            Map.entry(Defect.ANTIQUE, Set.of("soaks", "sound")),
            Map.entry(Defect.FAILED_OVERLAY, Set.of("sound")),
            Map.entry(Defect.DUSTING, Set.of("rub", "no-dust")),
            Map.entry(Defect.HOLLOW, Set.of("sound")));

    /** Whatever a survey finds, wherever it is: the plan is whole, or says why there is none. */
    @Test
    public void no_survey_leaves_a_plan_half_made() {
        var random = new Random(11);
        int chosen = 0;
        for (int i = 0; i < TRIALS; i++) {
            Condition condition = condition(random);
            int min = 1 + random.nextInt(6);
            var need = new PrepNeed(min, Math.min(10, min + 1 + random.nextInt(4)), Source.ours("test"));
            var site = site(random);
            PrepPlan plan = PrepPlan.choose(condition, need, site);
            String which = condition + " " + need.text() + " " + site;
            plan.refused().forEach(r -> assertFalse(r.reasons().isEmpty(), which));
            assertEquals(plan.refused().size() + plan.fits().size(), PrepMethods.ALL.size(), which);
            if (plan.method().isEmpty()) {
                assertTrue(plan.steps().isEmpty() && plan.because().contains("refused"), which);
                continue;
            }
            chosen++;
            PrepMethod method = plan.method().get();
            PrepMethod.About about = method.about();
            assertFalse(condition.unsampled(), which);
            assertFalse(plan.gates().isEmpty(), which);
            assertTrue(about.substrates().contains(condition.substrate()), which);
            if (method.id().equals("etch")) {
                assertFalse(condition.beads().orElse(true), which);
                assertTrue(
                        condition.found().stream()
                                .allMatch(d -> d == Defect.EFFLORESCENCE || PrepMethod.LEFT.contains(d)),
                        which);
            }
            if (about.profileTo() > 0) {
                assertTrue(about.profileTo() >= need.min() && about.profileFrom() <= need.max(), which);
                assertTrue(plan.gates().stream().anyMatch(g -> g.id().equals("profile")), which);
            }
            Set<String> gates = plan.gates().stream().map(Gate::id).collect(Collectors.toSet());
            condition.found().stream()
                    .filter(about.removes()::contains)
                    .forEach(d -> assertTrue(
                            PROOFS.get(d).stream().anyMatch(gates::contains),
                            d + " is proved gone by none of " + gates + " " + which));
            assertTrue(method.elsewhere(condition, need).isEmpty(), which);
            // on what is only washed nothing goes, whatever is left there
            if (!method.looksAgain() && condition.ground() != Ground.FILM_KEPT) {
                assertTrue(
                        condition.found().stream()
                                .allMatch(d -> about.removes().contains(d) || PrepMethod.LEFT.contains(d)),
                        which);
            }
            // only a floor that nobody looked at is looked at whatever the place allows
            if (condition.known(need)) {
                site.also()
                        .forEach(limit -> assertTrue(
                                limit.forbids().stream().noneMatch(about.demands()::contains), which + " " + limit));
            }
        }
        System.out.println(
                "preparation of " + TRIALS + " random floors: " + chosen + " have a method, the rest say why not");
        assertTrue(chosen > TRIALS / 10 && chosen < TRIALS, "chosen " + chosen);
    }

    private static Condition condition(Random random) {
        Set<Defect> found = new HashSet<>();
        for (Defect defect : Defect.values()) {
            if (random.nextInt(9) == 0) {
                found.add(defect);
            }
        }
        Substrate[] all = Substrate.values();
        return new Condition(
                random.nextBoolean() ? Substrate.BARE_CONCRETE : all[random.nextInt(all.length)],
                random.nextInt(3) == 0 ? Ground.values()[random.nextInt(4)] : Ground.BARE,
                found,
                random.nextInt(5) == 0 ? Optional.empty() : Optional.of(random.nextInt(3) == 0),
                random.nextBoolean() ? Optional.empty() : Optional.of(1.0 + random.nextInt(4)),
                random.nextInt(6) != 0,
                random.nextInt(6) == 0);
    }

    private static SiteLimits site(Random random) {
        Set<SiteLimit> limits = new HashSet<>();
        for (SiteLimit limit : SiteLimit.values()) {
            if (random.nextInt(6) == 0) {
                limits.add(limit);
            }
        }
        return new SiteLimits(random.nextInt(3) != 0, random.nextInt(3) != 0, limits);
    }

    /** Each method of the table says which steps prove gone what it claims to remove. */
    @Test
    public void every_method_is_told_apart_and_complete() {
        var ids = new HashSet<String>();
        for (PrepMethod method : PrepMethods.ALL) {
            assertTrue(ids.add(method.id()), method.id());
            PrepMethod.About about = method.about();
            assertFalse(about.substrates().isEmpty() || about.removes().isEmpty(), method.id());
            Condition any = new Condition(
                    about.substrates().iterator().next(),
                    about.removes(),
                    Optional.of(false),
                    Optional.empty(),
                    true,
                    false);
            List<Step> steps = method.steps(any, new PrepNeed(1, 3, Source.ours("test")));
            assertTrue(
                    steps.size() >= 4 && steps.stream().anyMatch(s -> s.gate().isPresent()), method.id());
            assertFalse(
                    method.because(any, new PrepNeed(1, 3, Source.ours("test"))).isBlank());
            steps.forEach(s -> assertFalse(s.why().isBlank() || s.does().isBlank(), s.title()));
        }
    }

    private static final Condition BARE =
            new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.of(false), Optional.empty(), true, false);

    private static List<String> reasons(PrepPlan plan, String method) {
        return plan.refused().stream()
                .filter(r -> r.method().equals(method))
                .flatMap(r -> r.reasons().stream())
                .toList();
    }

    @DataProvider
    Object[][] limits() {
        return Arrays.stream(SiteLimit.values()).map(l -> new Object[] {l}).toArray(Object[][]::new);
    }

    /** A limit refuses every method that demands what it forbids, in words that say what and why; and no other. */
    @Test(dataProvider = "limits")
    public void a_limit_refuses_what_demands_what_it_forbids(SiteLimit limit) {
        var need = new PrepNeed(1, 3, Source.ours("test"));
        var free = PrepPlan.choose(BARE, need, new SiteLimits(true, true));
        var limited = PrepPlan.choose(BARE, need, new SiteLimits(true, true, Set.of(limit)));
        for (PrepMethod method : PrepMethods.ALL) {
            boolean forbidden = method.about().demands().stream().anyMatch(limit.forbids()::contains)
                    && method.elsewhere(BARE, need).isEmpty();
            List<String> said = reasons(limited, method.id());
            boolean told = said.stream().anyMatch(r -> r.contains(limit.because()));
            if (method.id().equals("clean-and-test")) {
                assertFalse(told, "it is refused already: there is nothing to clean");
            } else {
                assertEquals(told, forbidden, method.id() + " " + said);
            }
            if (!forbidden && free.method().map(m -> m.id().equals(method.id())).orElse(false)) {
                assertEquals(limited.method(), free.method());
            }
        }
    }

    @Test
    public void dust_and_wash_water_refuse_as_they_did() {
        var need = new PrepNeed(1, 3, Source.ours("test"));
        var dry = PrepPlan.choose(BARE, need, new SiteLimits(true, false));
        assertTrue(reasons(dry, "etch").stream().anyMatch(r -> r.contains("wash water")));
        assertEquals(dry.method().orElseThrow().id(), "grind");
        var clean = PrepPlan.choose(BARE, need, new SiteLimits(false, true));
        assertTrue(reasons(clean, "grind").stream().anyMatch(r -> r.contains("dust")));
        assertEquals(clean.method().orElseThrow().id(), "etch");
    }

    /** A profile that somebody compared opens the way for a wash; one that is too smooth closes it. */
    @Test
    public void a_wash_is_enough_where_the_concrete_is_rough_already() {
        var need = new PrepNeed(2, 3, Source.ours("test"));
        var site = new SiteLimits(false, true);
        assertTrue(PrepPlan.choose(BARE, need, site).method().isEmpty());
        var rough = new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.of(false), Optional.of(2.0), true, false);
        assertEquals(PrepPlan.choose(rough, need, site).method().orElseThrow().id(), "wash");
        assertTrue(reasons(PrepPlan.choose(BARE, need, site), "wash").get(0).contains("CSP 1"));
    }

    /** What was drawn is what is found: a failed overlay is broken out, and the slab under it is looked at anew. */
    @Test
    public void a_drawn_defect_decides_and_a_floor_broken_out_is_not_yet_a_prepared_one() {
        var story = new Stories()
                .surveyed()
                .on(Substrate.OVERLAY)
                .area(1, Defect.FAILED_OVERLAY, "Doorway", 1, 1, 4, 1, 4, 3, 1, 3);
        assertEquals(story.at(2).survey().verdict(), openslab.core.survey.Verdict.STOP);
        assertEquals(story.at(2).prep().method(), "break-out");
        story.gate(2, "sound", "sound=hollow");
        assertEquals(states(story), List.of(Progress.FAILED, Progress.OPEN, Progress.WAITING));
        assertEquals(story.at(3).prep().mark(), Mark.HOLD);
        story.gate(2, "sound", "sound=sound").gate(2, "rub", "rub=clean");
        assertEquals(states(story), List.of(Progress.FAILED, Progress.DONE, Progress.DONE));
        assertEquals(story.at(3).prep().mark(), Mark.HOLD, "it is walked again before anything goes on");
        story.reading(3, "sounding", "whole floor", "hollow=0 m²");
        assertEquals(story.at(4).prep().method(), "grind", "proved gone, so the slab under it is opened");
    }
}

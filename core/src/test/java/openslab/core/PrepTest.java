package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.floor.Substrate;
import openslab.core.job.Mark;
import openslab.core.job.PrepReport.GateState;
import openslab.core.prep.Condition;
import openslab.core.prep.Gate;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.ProfileNeed;
import openslab.core.prep.SiteLimits;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PrepTest {
    @DataProvider
    Object[][] profiles() {
        return Cases.read("profile-by-film.csv");
    }

    @Test(dataProvider = "profiles")
    public void thicker_films_ask_for_rougher_concrete(Cases c) {
        var need = ProfileNeed.forFilm(Unit.MIL.toBase(c.number("film_mil")));
        assertEquals(List.of(need.min(), need.max()), List.of(c.whole("min"), c.whole("max")));
    }

    @DataProvider
    Object[][] floors() {
        return Cases.read("prep.csv");
    }

    private static PrepPlan plan(Cases c) {
        var condition = new Condition(
                seen(c, "sealer"),
                seen(c, "oil"),
                seen(c, "coating"),
                seen(c, "dusting"),
                seen(c, "hollow"),
                seen(c, "beads"),
                c.yes("unsampled"));
        var need = new ProfileNeed(c.whole("csp_min"), c.whole("csp_max"), Source.ours("test"));
        return PrepPlan.choose(condition, need, new SiteLimits(c.yes("dust"), c.yes("wash")));
    }

    private static Optional<Boolean> seen(Cases c, String column) {
        return c.text(column).equals("?")
                ? Optional.empty()
                : Optional.of(c.text(column).equals("yes"));
    }

    @Test(dataProvider = "floors")
    public void the_floor_decides_the_method(Cases c) {
        assertEquals(plan(c).method().map(PrepMethod::id).orElse("none"), c.text("method"));
    }

    @Test(dataProvider = "floors")
    public void every_other_method_is_refused_with_reasons(Cases c) {
        PrepPlan plan = plan(c);
        Set<String> told = plan.refused().stream().map(PrepPlan.Refused::method).collect(Collectors.toSet());
        plan.method().ifPresent(m -> told.add(m.id()));
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
        var need = new ProfileNeed(2, 3, Source.ours("test"));
        Condition any = Condition.of(new Stories().facts().survey(), Substrate.BARE_CONCRETE);
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
        assertEquals(states(story), List.of(GateState.OPEN, GateState.WAITING, GateState.WAITING, GateState.WAITING));
        story.gate(2, "profile", "csp=2");
        assertEquals(states(story), List.of(GateState.FAILED, GateState.WAITING, GateState.WAITING, GateState.WAITING));
        assertEquals(story.at(3).prep().mark(), Mark.HOLD);
        // the same minute: what was logged later counts
        story.gate(2, "profile", "csp=4");
        assertEquals(states(story), List.of(GateState.PASSED, GateState.OPEN, GateState.WAITING, GateState.WAITING));
        assertEquals(story.at(3).prep().mark(), Mark.IN_HAND);
        story.gate(3, "rub", "rub=clean").gate(3, "soaks", "soaks=soaks").gate(3, "no-dust", "no-dust=clean");
        assertEquals(story.at(3).prep().mark(), Mark.DONE);
    }

    private static List<GateState> states(Stories story) {
        return story.at(3).prep().steps().stream()
                .flatMap(s -> s.gate().stream())
                .map(g -> g.state())
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

    @Test
    public void silica_stands_beside_the_grinder() {
        var steps = new Stories().surveyed().at(2).prep().steps();
        assertTrue(steps.stream()
                .anyMatch(s -> s.title().contains("Grind") && s.caution().contains("Silica")));
    }
}

package openslab.core.prep;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import openslab.core.Formula;
import openslab.core.course.Staging;
import openslab.core.course.Step;
import openslab.core.course.work.Effort;
import openslab.core.course.work.Paces;
import openslab.core.course.work.Work;
import openslab.core.job.KnownWorks;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.silica.Airflow;
import openslab.core.silica.Respirator;
import openslab.core.silica.Shift;
import openslab.core.silica.SilicaTask;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Hours, dust, water and wear of a piece of work, the air at its shroud, and what the task table asks for. */
public class WorkTest {
    private static final Instant NOW = Instant.parse("2026-05-04T12:00:00Z");

    @DataProvider
    Object[][] wheels() {
        return new Object[][] {{7, 175}, {5, 125}, {4.5, 112.5}};
    }

    /** OSHA 29 CFR 1926.1153 Table 1, from memory: 25 cfm per inch; 7 in is 175, 5 in 125, 4.5 in 112.5 cfm. */
    @Test(dataProvider = "wheels")
    public void the_shroud_asks_for_25_cfm_an_inch(double inches, double cfm) {
        Figure q = Airflow.atLeast(Unit.INCH.toBase(inches), UnitSystem.US);
        assertEquals(q.value(), cfm, 1e-9);
        Formula.assertRecomputes(q);
    }

    /** 175 cfm by the definition of the foot: 175 · 0.028316846592 m³ · 60. */
    @Test
    public void air_is_told_in_both_systems() {
        Figure q = Airflow.atLeast(Unit.INCH.toBase(7), UnitSystem.METRIC);
        assertEquals(q.text(), "297\u00a0m³/h");
        assertEquals(q.also(), "175.0\u00a0cfm");
    }

    @DataProvider
    Object[][] tasks() {
        return new Object[][] {
            {SilicaTask.HANDHELD_SAW, "NONE", "APF_10", "APF_10", "APF_10"},
            {SilicaTask.WALK_BEHIND_SAW, "NONE", "NONE", "APF_10", "APF_10"},
            {SilicaTask.DRILL, "NONE", "NONE", "NONE", "NONE"},
            {SilicaTask.CHIPPER, "NONE", "APF_10", "APF_10", "APF_10"},
            {SilicaTask.MORTAR_GRINDER, "APF_10", "APF_25", "APF_10", "APF_25"},
            {SilicaTask.WET_GRINDER, "NONE", "NONE", "", ""},
            {SilicaTask.HAND_GRINDER, "NONE", "NONE", "NONE", "APF_10"},
            {SilicaTask.FLOOR_GRINDER, "NONE", "NONE", "NONE", "NONE"},
            {SilicaTask.DRIVABLE_SAW, "NONE", "NONE", "", ""},
            {SilicaTask.UNLISTED, "", "", "", ""},
        };
    }

    /** OSHA 29 CFR 1926.1153 Table 1, from memory: outdoors to 4 h and above, indoors to 4 h and above; empty is not listed. */
    @Test(dataProvider = "tasks")
    public void the_table_says_what_is_worn(
            SilicaTask task, String outShort, String outLong, String inShort, String inLong) {
        assertEquals(name(task.respirator(false, 4)), outShort);
        assertEquals(name(task.respirator(false, 4.1)), outLong);
        assertEquals(name(task.respirator(true, 4)), inShort);
        assertEquals(name(task.respirator(true, 4.1)), inLong);
    }

    private static String name(Optional<Respirator> r) {
        return r.map(Enum::name).orElse("");
    }

    /** OSHA 29 CFR 1926.1153, from memory: 2 h at 180 are 45 (action level), 4 h at 90 and 4 h at 20 are 55 (over). */
    @Test
    public void a_measured_shift_is_averaged_over_eight_hours() {
        Shift two = Shift.of(List.of(new Shift.Spell(180, 2)), UnitSystem.US);
        assertEquals(two.average().value(), 45.0, 1e-9);
        assertEquals(two.level(), Shift.Level.ACTION);
        Shift eight = Shift.of(List.of(new Shift.Spell(90, 4), new Shift.Spell(20, 4)), UnitSystem.US);
        assertEquals(eight.average().value(), 55.0, 1e-9);
        assertEquals(eight.level(), Shift.Level.OVER);
        assertTrue(eight.means().contains("3 months"));
        assertEquals(Shift.of(List.of(new Shift.Spell(24.9, 8)), UnitSystem.US).level(), Shift.Level.BELOW);
        assertEquals(Shift.of(List.of(new Shift.Spell(25, 8)), UnitSystem.US).level(), Shift.Level.ACTION);
        assertEquals(Shift.of(List.of(new Shift.Spell(50, 8)), UnitSystem.US).level(), Shift.Level.ACTION);
        Formula.assertRecomputes(eight.average());
        assertThrows(IllegalArgumentException.class, () -> Shift.of(List.of(), UnitSystem.US));
        assertThrows(IllegalArgumentException.class, () -> new Shift.Spell(10, 0));
    }

    /** 80 m² at 20 m² an hour of each of one hand are 4 h; the dust 80 · 0.5 mm · 2.3 are 92 kg. */
    @Test
    public void a_floor_takes_its_amount_over_pace_and_hands() {
        Effort grind = Effort.of(Works.GRIND, 80, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(grind.time().value(), 4.0, 1e-9);
        assertEquals(grind.dust().orElseThrow().value(), 92.0, 1e-9);
        assertEquals(grind.used().stream().map(Figure::value).toList(), List.of(1.0, 3.0));
        assertTrue(grind.water().isEmpty() && grind.airflow().isEmpty());
        Effort etch = Effort.of(Works.ETCH, 80, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(etch.time().value(), 80.0 / 25 / 2, 1e-9);
        assertEquals(etch.water().orElseThrow().value(), 48.0, 1e-9);
        Effort us = Effort.of(Works.GRIND, 80, true, Paces.DEFAULT, UnitSystem.US);
        assertEquals(us.dust().orElseThrow().text(), "202.83\u00a0lb");
    }

    @Test
    public void hand_grinding_indoors_for_long_asks_for_a_respirator() {
        Effort brief = Effort.of(Works.HAND_GRIND, 30, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(brief.silica().orElseThrow().respirator(), Optional.of(Respirator.NONE));
        Effort all = Effort.of(Works.HAND_GRIND, 100, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(all.silica().orElseThrow().hours().value(), 8.0, 1e-9);
        assertEquals(all.silica().orElseThrow().respirator(), Optional.of(Respirator.APF_10));
        Effort outside = Effort.of(Works.HAND_GRIND, 100, false, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(outside.silica().orElseThrow().respirator(), Optional.of(Respirator.NONE));
        Effort blast = Effort.of(Works.SHOT_BLAST, 80, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertTrue(blast.silica().orElseThrow().worn().contains("assessed"));
        assertEquals(brief.airflow().orElseThrow().value(), 175.0, 1e-9);
    }

    /**
     * 29 CFR 1926.1153(c)(1), from memory: tasks of a shift add up. Edges of 3.2 h and a field of 2.5 h indoors are 5.7 h, and
     * the hand grinder asks for more than four hours' protection though nobody holds it that long.
     */
    @Test
    public void tasks_of_one_shift_add_up() {
        Effort edges = Effort.of(Works.HAND_GRIND, 3.2 * hand(), true, Paces.DEFAULT, UnitSystem.METRIC);
        Effort field = Effort.of(Works.GRIND, 2.5 * floor(), true, Paces.DEFAULT, UnitSystem.METRIC);
        Effort blast = Effort.of(Works.SHOT_BLAST, 80, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(edges.silica().orElseThrow().respirator(), Optional.of(Respirator.NONE));
        List<Effort> shift = Effort.inOneShift(List.of(edges, field, blast), UnitSystem.METRIC);
        assertEquals(shift.get(0).silica().orElseThrow().hours().value(), 5.7, 1e-9);
        assertEquals(shift.get(0).silica().orElseThrow().respirator(), Optional.of(Respirator.APF_10));
        assertEquals(shift.get(1).silica().orElseThrow().respirator(), Optional.of(Respirator.NONE));
        assertEquals(shift.get(2), blast, "what the table does not list is assessed by itself");
        Formula.assertRecomputes(shift.get(0).silica().orElseThrow().hours());
        assertEquals(Effort.inOneShift(List.of(edges, blast), UnitSystem.METRIC), List.of(edges, blast));
    }

    private static double hand() {
        return Works.HAND_GRIND.pace();
    }

    private static double floor() {
        return Works.GRIND.pace();
    }

    /** Four hours and a half minute are more than four: it is told finely enough to see. */
    @Test
    public void hours_beside_the_fourth_are_told_finely() {
        assertEquals(SilicaTask.text(4.01), "4.01\u00a0h");
        assertEquals(SilicaTask.text(4), "4.0\u00a0h");
    }

    @Test
    public void nobodys_shift_is_longer_than_a_day() {
        var day = new Shift.Spell(10, 24);
        assertThrows(InvalidInput.class, () -> Shift.of(List.of(day, day, day), UnitSystem.US));
        assertEquals(Shift.of(List.of(day), UnitSystem.US).average().value(), 30.0, 1e-9);
        // above 50 by a hundredth is told so that nobody reads 50
        Shift hardly = Shift.of(List.of(new Shift.Spell(50.01, 8)), UnitSystem.US);
        assertEquals(hardly.text(), "50.01\u00a0µg/m³");
        assertEquals(hardly.level(), Shift.Level.OVER);
        assertEquals(Shift.of(List.of(new Shift.Spell(24.99, 8)), UnitSystem.US).text(), "24.99\u00a0µg/m³");
    }

    /** OURS: dulling a glaze takes microns: 380 ft² of 5 µm at 2300 kg/m³ are 0.41 kg, not 8. */
    @Test
    public void a_glaze_is_dulled_by_microns() {
        Effort dull = Effort.of(Works.DULL_TILE, 380 * 0.09290304, true, Paces.DEFAULT, UnitSystem.METRIC);
        assertEquals(dull.dust().orElseThrow().value(), 380 * 0.09290304 * 5e-6 * 2300, 1e-9);
        assertEquals(dull.dust().orElseThrow().value(), 0.41, 0.005);
    }

    @Test
    public void every_effort_shows_a_working_that_runs() {
        for (Work work : Works.ALL) {
            for (UnitSystem system : UnitSystem.values()) {
                Effort e = Effort.of(work, 63.7, true, Paces.DEFAULT, system);
                var figures = new ArrayList<Figure>(e.used());
                figures.add(e.pace());
                figures.add(e.time());
                e.amount().ifPresent(figures::add);
                e.dust().ifPresent(figures::add);
                e.water().ifPresent(figures::add);
                e.silica().ifPresent(s -> figures.add(s.hours()));
                figures.forEach(Formula::assertRecomputes);
                assertTrue(e.time().value() > 0, work.id());
            }
        }
    }

    @Test
    public void works_are_told_apart_and_found_by_their_steps() {
        var ids = new HashSet<String>();
        Works.ALL.forEach(w -> assertTrue(ids.add(w.id()), w.id()));
        assertEquals(KnownWorks.ofStep("step", "vacuum.last"), Works.VACUUM_OFF);
        assertThrows(InvalidInput.class, () -> KnownWorks.ofStep("step", "juggle"));
        assertEquals(Works.CHECK.doneFields().size(), 3);
        assertEquals(Works.GRIND.doneFields().get(0).id(), "amount");
    }

    /** Three floors, 60 m² in 4 h of one, 40 in 2 of two, 20 in 2: 120 m² in 10 hours of a person, 12 m² an hour. */
    @Test
    public void after_a_few_floors_the_crews_own_pace_is_used_and_said() {
        var logged = new ArrayList<>(List.of(new Paces.Logged("a", 60, 4), new Paces.Logged("b", 40, 4)));
        Paces two = new Paces(Map.of(), Map.of("grind", logged));
        assertEquals(two.of(Works.GRIND, UnitSystem.METRIC).value(), 20.0, 1e-9);
        assertTrue(two.of(Works.GRIND, UnitSystem.METRIC).source().text().contains("logged on 2 of the 3 floors"));
        logged.add(new Paces.Logged("c", 20, 2));
        Paces three = new Paces(Map.of("grind", Unit.SQUARE_METRE_PER_HOUR.toBase(30)), Map.of("grind", logged));
        Figure own = three.of(Works.GRIND, UnitSystem.METRIC);
        assertEquals(own.value(), 12.0, 1e-9);
        assertTrue(own.source().text().contains("this crew's own pace on 3 floors"));
        Formula.assertRecomputes(own);
        assertEquals(own.text(), "12.0\u00a0m²/h");
        assertEquals(three.of(Works.GRIND, UnitSystem.US).text(), "129\u00a0ft²/h");
        assertEquals(
                Effort.of(Works.GRIND, 80, true, three, UnitSystem.METRIC)
                        .time()
                        .value(),
                80.0 / 12,
                1e-9);
    }

    @Test
    public void one_odd_floor_logged_often_is_still_one_floor() {
        var logged = List.of(new Paces.Logged("a", 5, 1), new Paces.Logged("a", 5, 1), new Paces.Logged("a", 5, 1));
        Paces paces = new Paces(Map.of(), Map.of("grind", logged));
        assertEquals(paces.of(Works.GRIND, UnitSystem.METRIC).value(), 20.0, 1e-9);
        Paces set = new Paces(Map.of("grind", Unit.SQUARE_METRE_PER_HOUR.toBase(30)), Map.of("grind", logged));
        assertEquals(set.of(Works.GRIND, UnitSystem.METRIC).value(), 30.0, 1e-9);
        assertTrue(set.of(Works.GRIND, UnitSystem.METRIC).source().text().startsWith("set by the shop"));
    }

    /** What is done once has hours for a pace: 3 times in 6 hours are 2 hours each. */
    @Test
    public void what_is_done_once_learns_its_hours() {
        var logged = List.of(new Paces.Logged("a", 1, 1), new Paces.Logged("b", 1, 2), new Paces.Logged("c", 1, 3));
        Figure own = new Paces(Map.of(), Map.of("check", logged)).of(Works.CHECK, UnitSystem.METRIC);
        assertEquals(own.value(), 2.0, 1e-9);
        Formula.assertRecomputes(own);
    }

    private static final Step POUR = Step.of(Works.ETCH, "Etch", "Etch.", "Etch.")
            .mixes(Dose.of(2, Chemical.ETCH_LIQUID))
            .dwells(10);
    private static final Step SWEEP = Step.of(Works.SWEEP, "Sweep", "Sweep.", "Sweep.");

    @Test
    public void a_timed_step_waits_for_what_it_needs() {
        Staging bare = Staging.of(List.of(SWEEP, POUR), List.of(), NOW);
        assertTrue(bare.missing(SWEEP).isEmpty(), "nothing runs out while somebody fetches a broom");
        assertEquals(bare.missing(POUR).size(), Works.ETCH.items().size() + 1);
        assertTrue(
                bare.missing(POUR).contains("Liquid etch") && bare.missing(POUR).contains("Goggles"));
        List<Staging.Tick> all = bare.things().stream()
                .map(t -> new Staging.Tick("k", t.id(), NOW.minusSeconds(3600), "Wren"))
                .toList();
        assertTrue(Staging.of(List.of(SWEEP, POUR), all, NOW).missing(POUR).isEmpty());
        assertFalse(
                Staging.of(List.of(SWEEP, POUR), all, NOW.plusSeconds(24 * 3600))
                        .missing(POUR)
                        .isEmpty(),
                "a day later it is looked at again");
    }

    @Test
    public void things_are_listed_once_with_every_step_that_needs_them() {
        Staging staging = Staging.of(List.of(SWEEP, SWEEP.which("again"), POUR), List.of(), NOW);
        assertEquals(
                staging.things().stream().map(Staging.Thing::id).distinct().count(),
                staging.things().size());
        var vacuum = staging.things().stream()
                .filter(t -> t.id().equals("vacuum"))
                .findFirst()
                .orElseThrow();
        assertEquals(vacuum.steps(), List.of("sweep", "sweep.again"));
        assertEquals(
                staging.of(Set.of(SWEEP.id())),
                staging.things().stream()
                        .filter(t -> t.steps().contains(SWEEP.id()))
                        .toList(),
                "once poured, nobody stages for the pour");
        staging.things().forEach(t -> assertTrue(Things.label(t.id()).isPresent(), t.id()));
        assertTrue(Things.label("chemical:lemonade").isEmpty()
                && Things.label("ladder").isEmpty());
    }
}

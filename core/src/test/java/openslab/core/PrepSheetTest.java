package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import openslab.core.course.Staging;
import openslab.core.course.work.Paces;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Rectangle;
import openslab.core.floor.Substrate;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.PlanZone;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.job.CycleKind;
import openslab.core.job.LogEntry;
import openslab.core.job.LogGuard;
import openslab.core.job.Mark;
import openslab.core.job.PrepSheet;
import openslab.core.job.RunningClock;
import openslab.core.prep.SiteLimits;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.area.Defect;
import org.testng.annotations.Test;

/** A zone in preparation: what each step takes, what may not start yet, and what its core shows. */
public class PrepSheetTest {
    private static final String SEALER = "sealer=yes oil=no coating=no dusting=no hollow=no";
    private static final SiteLimits NO_DUST = new SiteLimits(false, true, Set.of());

    private static PrepSheet sheet(Stories story, double hours) {
        return PrepSheet.of(story.facts(), Paces.DEFAULT, UnitSystem.METRIC, Stories.moment(hours));
    }

    private static PrepSheet.StepSheet step(PrepSheet sheet, String id) {
        return sheet.steps().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    /** A floor under sealer where nothing may be ground: it is stripped, and how strong is tried first. */
    private static Stories sealed() {
        return new Stories()
                .at(NO_DUST)
                .reading(0, "walk-over", "whole floor", SEALER)
                .reading(0, "water-drop", "A", "drop=beads");
    }

    private static Stories allTicked(Stories story, double hours) {
        sheet(story, hours).staging().forEach(t -> story.tick(hours, t.id()));
        return story;
    }

    /** What the log may take at the end of a story. */
    private static void require(Stories story, Stories with) {
        LogGuard.take(story.facts(), with.last(), UnitSystem.METRIC);
    }

    private static InvalidInput.Fault refused(Stories story, Stories with) {
        return expectThrows(InvalidInput.class, () -> require(story, with)).faults().stream()
                .reduce((a, b) -> b)
                .orElseThrow();
    }

    @Test
    public void every_step_of_a_ground_floor_has_its_hours() {
        PrepSheet sheet = sheet(new Stories().surveyed(), 2);
        // 80 m² of floor at 20 m²/h
        assertEquals(step(sheet, "grind").effort().time().value(), 4.0, 1e-9);
        // 36 m of edge at 8 m/h
        assertEquals(step(sheet, "hand-grind").effort().time().value(), 4.5, 1e-9);
        Formula.assertRecomputes(sheet.hours().orElseThrow());
        double sum = sheet.steps().stream()
                .mapToDouble(s -> s.effort().time().value() * s.effort().hands())
                .sum();
        assertEquals(sheet.hours().orElseThrow().value(), sum, 1e-9);
        assertTrue(sheet.water().isEmpty());
        assertEquals(sheet.dust().orElseThrow().value(), 92.0, 1e-9);
        Figure bags = sheet.used().stream()
                .filter(f -> f.label().equals("Vacuum bag"))
                .findFirst()
                .orElseThrow();
        assertEquals(bags.value(), 3.0, "sweeping, vacuuming and the last time: one each");
        Stream.of(sheet.used(), List.of(sheet.dust().orElseThrow()))
                .flatMap(List::stream)
                .forEach(Formula::assertRecomputes);
    }

    /** What worked in the corner is mixed everywhere: 80 m² at 4 m²/L are 20 L, at 1:16 1.18 L of stripper. */
    @Test
    public void the_winning_mix_becomes_the_method_everywhere() {
        Stories story = sealed();
        assertEquals(step(sheet(story, 1), "strip").mixWaits(), "The test patch says how strong.");
        assertEquals(
                step(sheet(story, 1), "patch-test")
                        .ladders()
                        .get(0)
                        .next()
                        .orElseThrow()
                        .typed(),
                "1:16");
        story.gate(1, "patch", "chemical=stripper water=16 dwell=2 result=works");
        PrepSheet.StepSheet strip = step(sheet(story, 2), "strip");
        assertEquals(strip.mix().orElseThrow().words(), "1 part into 16 of water (5.88 % of the mix)");
        assertEquals(strip.mix().orElseThrow().total().value(), 20.0, 1e-9);
        assertEquals(strip.mix().orElseThrow().concentrate().base(), 20.0 / 17, 1e-9);
        // CP: 10 × 10 ft at a time
        assertEquals(strip.mix().orElseThrow().section().value(), 9.290304 / 4, 1e-9);
    }

    /** The square stood 4 min: so does the floor, and its clock says so. */
    @Test
    public void what_worked_stands_on_the_floor_as_long_as_on_the_square() {
        Stories story = sealed();
        String before = waits(story, "strip");
        assertEquals(before, "10 min", "as long as a stripper usually takes, until a square was tried");
        story.gate(1, "patch", "chemical=stripper water=16 dwell=4 result=works");
        assertEquals(waits(story, "strip"), "4 min");
        assertTrue(
                step(sheet(story, 2), "patch-test").ladders().get(0).word().contains("4\u00a0min as the square stood"));
        // the squares themselves still stand as long as they are meant to
        assertEquals(waits(story, "patch-test"), "2 min");
    }

    private static String waits(Stories story, String step) {
        return story.at(2).prep().steps().stream()
                .filter(s -> s.id().equals(step))
                .findFirst()
                .orElseThrow()
                .waits();
    }

    /** TRADE 6: 8 fl oz to the gallon, half that where it is new. The step says half, and half is mixed. */
    @Test
    public void new_vinyl_gets_half_the_dose_that_its_step_names() {
        Stories fresh = new Stories()
                .on(Substrate.VINYL_PLANK)
                .reading(0, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=no")
                .reading(0, "old-floor", "", "laid=newer laboratory=none");
        var scuff = step(sheet(fresh, 1), "scuff").mix().orElseThrow();
        assertEquals(scuff.words(), "4 fl oz/gal, 1 part into 32 of water (3.03 % of the mix)");
        Stories worn = fresh.area(1, Defect.WORN, "Door", 0, 0, 2, 0, 2, 2, 0, 2);
        assertEquals(
                step(sheet(worn, 2), "scuff").mix().orElseThrow().words(),
                "8 fl oz/gal, 1 part into 16 of water (5.88 % of the mix)");
    }

    @Test
    public void a_clock_is_not_started_before_everything_lies_ready() {
        Stories story = sealed();
        var fault = refused(story, sealed().begun(1, "patch-test"));
        assertEquals(fault.field(), "note");
        assertTrue(
                fault.accepted().contains("Goggles") && fault.accepted().contains("Floor stripper"), fault.accepted());
        require(allTicked(story, 1), sealed().begun(1, "patch-test"));
        assertTrue(step(sheet(story, 1), "patch-test").missing().isEmpty());
        var stale = refused(story, sealed().begun(26, "patch-test"));
        assertTrue(stale.accepted().contains("Goggles"), "a day later it is looked at again");
    }

    /** A tape laid to the wall is on the floor, a hand beyond it is not. */
    @Test
    public void a_place_of_a_zone_lies_on_it() {
        Stories story = new Stories().floor(new Rectangle(10, 8));
        require(story, new Stories().place(1, "A", 10.02, 4));
        var beside = refused(story, new Stories().place(1, "A", 10.2, 4));
        assertEquals(beside.field(), "values.along");
        assertTrue(beside.accepted().contains("a place on Zone"), beside.accepted());
        var room = new RoomPlan.Piece(square(0, 0, 4), 16, "", 16, Optional.of("z"), new Corner(1, 1));
        var annex = new RoomPlan.Piece(square(20, 0, 2), 4, "", 8, Optional.of("z"), new Corner(21, 1));
        Stories parts = new Stories().floor(new PlanZone(List.of(room, annex)));
        require(parts, new Stories().place(1, "A", 21, 1));
        assertEquals(refused(parts, new Stories().place(1, "A", 10, 1)).field(), "values.along");
    }

    private static List<List<Corner>> square(double x, double y, double side) {
        return List.of(List.of(
                new Corner(x, y), new Corner(x + side, y), new Corner(x + side, y + side), new Corner(x, y + side)));
    }

    @Test
    public void nothing_starts_behind_an_open_gate() {
        Stories story = allTicked(sealed(), 1);
        var early = refused(story, sealed().gate(1, "residue", "residue=none"));
        assertTrue(early.accepted().contains("Test patch"), early.accepted());
        var begun = refused(story, sealed().begun(1, "strip"));
        assertTrue(begun.accepted().contains("Test patch"), begun.accepted());
        story.gate(1, "patch", "chemical=stripper water=16 dwell=2 result=works");
        require(story, sealed().begun(1, "strip"));
    }

    @Test
    public void a_running_clock_stands_on_the_day_line_and_in_the_rack() {
        Stories story = allTicked(sealed(), 1)
                .gate(1, "patch", "chemical=stripper water=16 dwell=2 result=works")
                .begun(2, "strip")
                .gate(3, "residue", "residue=none");
        RunningClock dry = story.at(4).clocks().stream()
                .filter(c -> c.label().equals("dry 24 h"))
                .findFirst()
                .orElseThrow();
        assertEquals(dry.from(), Stories.moment(3));
        assertEquals(dry.to(), Stories.moment(27));
        assertEquals(story.at(4).next().label(), "until dry");
        assertEquals(story.at(4).next().at(), Optional.of(Stories.moment(27)));
        assertEquals(story.at(28).next().label(), "test now: dry");
        assertEquals(story.at(4).strata().get(1).mark(), Mark.IN_HAND);
    }

    /** The drop beads after stripping: the core holds, says what is done again, and lets nothing on. */
    @Test
    public void the_core_shows_a_failed_gate_and_nothing_goes_on_over_it() {
        Stories story = allTicked(sealed(), 1)
                .gate(1, "patch", "chemical=stripper water=16 dwell=2 result=works")
                .gate(3, "residue", "residue=none")
                .gate(27, "dry", "dried=24 h dark=none")
                .gate(28, "soaks", "soaks=beads");
        assertEquals(story.at(29).strata().get(1).mark(), Mark.HOLD);
        assertEquals(story.at(29).strata().get(1).detail(), "again: lay the stripper on and let it dwell");
        assertEquals(story.at(29).next().label(), "again: lay the stripper on and let it dwell");
        var coat = refused(story, sealed().coat(29, "primer"));
        assertEquals(coat.field(), "note");
        assertTrue(coat.accepted().contains("\"Hand across the floor\" has not passed"), coat.accepted());
    }

    @Test
    public void what_went_on_all_the_same_is_logged_with_its_reason() {
        Stories story = new Stories().surveyed();
        LogEntry coat = new Stories().coat(2, "primer").last();
        var reason = new LogEntry(
                "k",
                coat.kind(),
                coat.subject(),
                "",
                coat.at(),
                "Wren",
                "Prepared by the client's own crew.",
                Map.of());
        LogGuard.take(story.facts(), reason, UnitSystem.METRIC);
        var fault = refused(story, new Stories().batch(2, "primer", "volume=5 L area=40 m²"));
        assertEquals(fault.field(), "note");
        LogGuard.take(story.ground().facts(), coat, UnitSystem.METRIC);
    }

    @Test
    public void repairs_of_the_plan_stand_in_the_course_and_on_the_sheet() {
        var cracks = new Flaws(
                List.of(new Flaws.Crack("k1", 12, 0.002, 0.01, true)),
                List.of(),
                List.of(),
                Optional.empty(),
                0,
                Optional.empty(),
                Optional.empty(),
                List.of());
        Stories story = new Stories()
                .surveyed()
                .flawed(cracks)
                .area(1, Defect.HOLLOW, "Pillar", 1, 1, 2, 1, 2, 2, 1, 2)
                .gate(2, "sound", "sound=sound")
                .gate(2, "profile", "csp=3");
        List<String> steps =
                story.at(3).prep().steps().stream().map(s -> s.id()).toList();
        assertEquals(
                steps,
                List.of(
                        "sweep",
                        "break-out.hollow",
                        "hand-grind",
                        "grind",
                        "tell",
                        "prime-patch",
                        "patch.1",
                        "chase",
                        "fill.1",
                        "vacuum",
                        "check.drop",
                        "mask",
                        "vacuum.last"));
        PrepSheet sheet = sheet(story, 3);
        assertEquals(
                sheet.repairs().stream().map(PrepSheet.RepairSheet::id).toList(),
                List.of("moving-cracks", "hollow", "cracks"));
        assertEquals(
                step(sheet, "break-out.hollow").effort().amount().orElseThrow().value(), 1.0, 1e-9);
        assertEquals(step(sheet, "patch.1").effort().amount().orElseThrow().value(), 1.0, 1e-9);
        assertEquals(step(sheet, "fill.1").effort().time().value(), 12.0 / 8, 1e-9);
        assertTrue(refused(story, new Stories().gate(3, "rub", "rub=clean"))
                .accepted()
                .contains("Exclusion handed over"));
    }

    @Test
    public void what_was_heard_hollow_and_not_drawn_is_said_to_be_a_guess() {
        Stories story = new Stories()
                .reading(0, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=yes")
                .reading(0, "water-drop", "A", "drop=soaks");
        var cut = story.at(1).prep().steps().get(1);
        assertEquals(cut.id(), "break-out.hollow");
        assertTrue(cut.does().contains("Nobody has drawn them"), cut.does());
        assertEquals(step(sheet(story, 1), cut.id()).effort().time().value(), 1.0 / 4, 1e-9);
    }

    /** Every substrate there is has a sheet whose steps can be staged and reckoned, or says why it has no method. */
    @Test
    public void every_substrate_has_a_sheet() {
        for (Substrate substrate : Substrate.values()) {
            Stories story = new Stories()
                    .on(substrate)
                    .reading(0, "walk-over", "whole floor", "sealer=no oil=yes coating=no dusting=no hollow=no")
                    .reading(0, "water-drop", "A", "drop=soaks");
            var prep = story.at(1).prep();
            PrepSheet sheet = sheet(story, 1);
            assertFalse(prep.method().isEmpty() && prep.refused().isEmpty(), substrate.name());
            assertEquals(sheet.steps().size(), prep.steps().size(), substrate.name());
            assertEquals(sheet.hours().isPresent(), !prep.method().isEmpty(), substrate.name());
            assertEquals(
                    sheet.staging().stream().map(Staging.Thing::id).distinct().count(),
                    sheet.staging().size());
        }
    }

    /** What a crew did otherwise is kept with the deed, and offered the next time the same is done here. */
    @Test
    public void what_was_done_otherwise_is_offered_again() {
        Stories story = new Stories().surveyed();
        assertTrue(step(sheet(story, 2), "grind").before().isEmpty());
        story.done(2, "grind", "amount=80 hours=3 hands=1 how=twice_with_the_coarse_segments");
        story.ground();
        for (String layer : List.of("primer", "body", "flake", "clear")) {
            story.coat(40, layer);
        }
        story.begin(9000, CycleKind.RECOAT, "", Stories.epoxyWithFlake());
        story.surveyedAt(9001);
        var before = step(sheet(story, 9010), "grind").before().orElseThrow();
        assertEquals(before.how(), "twice_with_the_coarse_segments");
        assertEquals(before.at(), Stories.moment(2));
    }
}

package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.job.Mark;
import openslab.core.job.RunningClock.Due;
import openslab.core.job.RunningClock.Next;
import openslab.core.job.RunningClock.Urgency;
import openslab.core.mix.Used;
import openslab.core.product.Laid;
import openslab.core.product.LayerRole;
import openslab.core.product.Liquid;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.testng.annotations.Test;

/** What was used against what was planned, and in which group of the rack a floor stands. */
public class UsedTest {
    private static Figure planned(double litres) {
        return new Worksheet(UnitSystem.METRIC)
                .figure("mixed volume", "V0", "", litres, Unit.LITRE, Source.arithmetic("for the test"));
    }

    private static Liquid liquid() {
        return Stories.liquid("body", LayerRole.BODY, 8, Map.of()).liquid().orElseThrow();
    }

    /** 2 and 3 L over 20 and 25 m² of a floor of 90: 9 m²/L, so ten litres in all; 5 of 12 is 41.7 %. */
    @Test
    public void batches_are_added_up_and_carried_on_to_the_whole_floor() {
        Used used = Used.of(List.of(batch(2, 0, 20), batch(3, 0, 25)), plan(12, 90, false), UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(used.amount().value(), 5, 1e-12);
        assertEquals(used.covered().value(), 45, 1e-12);
        assertEquals(used.share().value(), 500 / 12.0, 1e-9);
        assertEquals(used.rate().value(), 9, 1e-12);
        // 45 m² are bare: 5 L at the 9 m²/L of so far, 6 as planned for 90 m² with 12 L; the more careful of both
        assertEquals(used.bare().value(), 45, 1e-12);
        assertEquals(used.rest().value(), 6, 1e-12);
        assertEquals(used.left().value(), 7, 1e-12);
        assertTrue(used.reaches());
        assertEquals(used.asked(), "8.00\u00a0m²/L");
        assertTrue(Used.of(List.of(), plan(12, 90, false), UnitSystem.METRIC).isEmpty());
        Stream.of(used.amount(), used.share(), used.covered(), used.bare(), used.rate(), used.left(), used.rest())
                .forEach(Formula::assertRecomputes);
    }

    /**
     * 90 m² and 12 L planned. 4 L went over 20 m², too thick: 5 m²/L, so 70 bare m² take 14 L, and 8 are left. Of 3 L more one was
     * thrown away: 2 L over 10 m² are as thick, 60 m² take 12, 5 are left.
     */
    @Test
    public void what_went_on_too_thick_or_not_at_all_is_missing_at_the_end() {
        Used thick = Used.of(List.of(batch(4, 0, 20)), plan(12, 90, false), UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(thick.rest().value(), 14, 1e-12);
        assertEquals(thick.left().value(), 8, 1e-12);
        assertTrue(!thick.reaches());
        Used wasted = Used.of(List.of(batch(4, 0, 20), batch(3, 1, 10)), plan(12, 90, false), UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(wasted.wasted().orElseThrow().value(), 1, 1e-12);
        assertEquals(wasted.rate().value(), 5, 1e-12);
        assertEquals(wasted.rest().value(), 12, 1e-12);
        assertEquals(wasted.left().value(), 5, 1e-12);
        Formula.assertRecomputes(wasted.rest());
    }

    @Test
    public void a_batch_that_never_got_onto_the_floor_covers_nothing() {
        Used used = Used.of(List.of(batch(4, 4, 0)), plan(12, 90, false), UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(used.covered().value(), 0, 0);
        assertEquals(used.rest().value(), 12, 1e-12);
        assertEquals(used.left().value(), 8, 1e-12);
        assertEquals(used.rate().value(), 0, 0);
        Formula.assertRecomputes(used.rate());
    }

    /** What somebody says is on is on; and batches that tell of more than there is cover it once. */
    @Test
    public void nothing_is_bare_that_is_on() {
        Used on = Used.of(List.of(batch(2, 0, 20)), plan(12, 90, true), UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(on.bare().value(), 0, 0);
        assertEquals(on.rest().value(), 0, 0);
        Used twice = Used.of(List.of(batch(12, 0, 90), batch(12, 0, 90)), plan(12, 90, false), UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(twice.covered().value(), 90, 0);
        assertEquals(twice.bare().value(), 0, 0);
    }

    private static Used.Batch batch(double litres, double wasted, double m2) {
        return new Used.Batch(new Laid(litres), new Laid(wasted), m2);
    }

    private static Used.Plan plan(double litres, double m2, boolean on) {
        return new Used.Plan(planned(litres), litres / m2, m2, on, liquid());
    }

    @Test
    public void the_rack_groups_floors_by_when_they_want_somebody() {
        Instant now = Instant.parse("2026-05-04T12:00:00Z");
        assertEquals(next(now, Duration.ofHours(3), Urgency.SOON).due(now), Due.TODAY);
        // kept since yesterday, it has come within a day meanwhile
        assertEquals(next(now, Duration.ofHours(20), Urgency.LATER).due(now), Due.TODAY);
        assertEquals(next(now, Duration.ofDays(3), Urgency.LATER).due(now), Due.THIS_WEEK);
        assertEquals(next(now, Duration.ofDays(8), Urgency.LATER).due(now), Due.AT_REST);
        assertEquals(new Next("look", Optional.empty(), Mark.HOLD, "hold", Urgency.ACT, "").due(now), Due.WAITING);
        assertEquals(new Next("rests", Optional.empty(), Mark.GO, "go", Urgency.RESTS, "").due(now), Due.AT_REST);
    }

    private static Next next(Instant now, Duration in, Urgency urgency) {
        return new Next("foot traffic", Optional.of(now.plus(in)), Mark.CURING, "curing", urgency, "");
    }
}

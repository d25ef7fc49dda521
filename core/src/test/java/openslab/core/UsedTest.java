package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
                .figure("mixed volume", "V", "", litres, Unit.LITRE, Source.arithmetic("for the test"));
    }

    private static Liquid liquid() {
        return Stories.liquid("body", LayerRole.BODY, 8, Map.of()).liquid().orElseThrow();
    }

    /** 2 and 3 L over 20 and 25 m² of a floor of 90: 9 m²/L, so ten litres in all; 5 of 12 is 41.7 %. */
    @Test
    public void batches_are_added_up_and_carried_on_to_the_whole_floor() {
        Used used = Used.of(
                        List.of(new Used.Batch(new Laid(2), 20), new Used.Batch(new Laid(3), 25)),
                        planned(12),
                        90,
                        liquid(),
                        UnitSystem.METRIC)
                .orElseThrow();
        assertEquals(used.amount().value(), 5, 1e-12);
        assertEquals(used.covered().value(), 45, 1e-12);
        assertEquals(used.share().value(), 500 / 12.0, 1e-9);
        assertEquals(used.rate().value(), 9, 1e-12);
        // 45 m² are left at 9 m²/L, 5 L, and 7 of the plan
        assertEquals(used.rest().value(), 5, 1e-12);
        assertEquals(used.left().value(), 7, 1e-12);
        assertTrue(used.reaches());
        assertEquals(used.asked(), "8.00\u00a0m²/L");
        assertTrue(
                Used.of(List.of(), planned(12), 90, liquid(), UnitSystem.METRIC).isEmpty());
    }

    @Test
    public void the_rack_groups_floors_by_when_they_want_somebody() {
        Instant now = Instant.parse("2026-05-04T12:00:00Z");
        assertEquals(next(now, Duration.ofHours(3), Urgency.SOON).due(now), Due.TODAY);
        // kept since yesterday, it has come within a day meanwhile
        assertEquals(next(now, Duration.ofHours(20), Urgency.LATER).due(now), Due.TODAY);
        assertEquals(next(now, Duration.ofDays(3), Urgency.LATER).due(now), Due.THIS_WEEK);
        assertEquals(next(now, Duration.ofDays(8), Urgency.LATER).due(now), Due.AT_REST);
        assertEquals(new Next("look", Optional.empty(), Mark.HOLD, "hold", Urgency.ACT).due(now), Due.WAITING);
        assertEquals(new Next("rests", Optional.empty(), Mark.GO, "go", Urgency.RESTS).due(now), Due.AT_REST);
    }

    private static Next next(Instant now, Duration in, Urgency urgency) {
        return new Next("foot traffic", Optional.of(now.plus(in)), Mark.CURING, "curing", urgency);
    }
}

package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import openslab.core.job.CycleKind;
import openslab.core.job.Handover;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** What is handed over with a floor. */
public class HandoverTest {
    private static Stories coated() {
        return new Stories()
                .surveyed()
                .ground()
                .coat(10, "primer")
                .coat(22, "body")
                .coat(22.2, "flake")
                .coat(36, "clear");
    }

    private static Handover of(Stories story, double hours) {
        return Handover.of(story.facts(), story.at(hours), UnitSystem.US);
    }

    @Test
    public void nothing_is_handed_over_of_a_bare_floor() {
        Handover bare = of(new Stories().surveyed(), 5);
        assertEquals(bare.laid(), List.of());
        assertEquals(bare.ladder(), List.of());
    }

    @Test
    public void all_that_lies_on_it_stands_there_from_the_floor_upward() {
        Handover done = of(coated(), 40);
        assertEquals(
                done.laid().stream().map(Handover.Laid::on).toList(),
                List.of(Stories.moment(10), Stories.moment(22), Stories.moment(22.2), Stories.moment(36)));
        assertTrue(done.ladder().size() >= 3, done.ladder().toString());
        assertTrue(done.ladder().get(0).at().isAfter(Stories.moment(36)));
        assertTrue(done.due().isPresent());
    }

    @Test
    public void before_its_last_coat_no_day_is_promised() {
        Handover half = of(new Stories().surveyed().ground().coat(10, "primer"), 12);
        assertEquals(half.laid().size(), 1);
        assertTrue(!half.finished() && half.ladder().isEmpty() && half.due().isEmpty(), half.toString());
    }

    /** Said the other way round, a floor is harmed by what was meant as care. */
    @Test
    public void what_harms_it_stands_apart_from_what_it_is_looked_after_with() {
        Handover done = of(coated(), 40);
        assertTrue(
                done.care().stream().noneMatch(c -> c.startsWith("No ")),
                done.care().toString());
        assertTrue(
                done.never().stream().allMatch(n -> n.endsWith(".")),
                done.never().toString());
    }

    /** A reseal adds its coat; what was there before still lies under it. */
    @Test
    public void a_reseal_lies_on_what_was_there() {
        Stories story = coated();
        story.begin(9000, CycleKind.RESEAL, "", Stories.epoxyWithFlake().subList(3, 4));
        assertEquals(of(story, 9001).laid().size(), 4);
        story.coat(9030, "clear");
        assertEquals(of(story, 9040).laid().size(), 5);
    }

    @Test
    public void each_lot_is_told_once() {
        Stories story = coated();
        for (String lot : List.of("K7", "K7", "K9")) {
            story.batch(35, "clear", "volume=4 L area=10 lot=" + lot);
        }
        Handover done = of(story, 40);
        assertEquals(done.laid().get(3).lots(), List.of("K7", "K9"));
        assertEquals(done.laid().get(0).lots(), List.of());
    }
}

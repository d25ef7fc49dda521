package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.buy.Buying;
import openslab.core.buy.Delivery;
import openslab.core.buy.Leftover;
import openslab.core.buy.Losses;
import openslab.core.buy.Placed;
import openslab.core.buy.PriceBook;
import openslab.core.buy.Sundry;
import openslab.core.course.work.Paces;
import openslab.core.job.CycleKind;
import openslab.core.job.JobTakeOff;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogEntry;
import openslab.core.job.ZoneFacts;
import openslab.core.product.Chemistry;
import openslab.core.product.Concentrate;
import openslab.core.product.LayerRole;
import openslab.core.product.Packed;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** What jobs still take, together. A floor of 80 m² takes 10 L of primer, 20 of body, 16 of clear and 48 kg of flake, a tenth on top. */
public class JobTakeOffTest {
    private static final Buying.When WHEN = new Buying.When(Stories.moment(200), LocalDate.parse("2026-05-12"));

    private static JobTakeOff takeOff(JobTakeOff.Shop shop, ZoneFacts... zones) {
        return JobTakeOff.of(List.of(new JobTakeOff.Site("", List.of(zones))), shop, WHEN, UnitSystem.METRIC);
    }

    private static Map<String, Buying> bySheet(JobTakeOff found) {
        return found.bill().materials().stream().collect(Collectors.toMap(Buying::slug, Function.identity()));
    }

    private static Buying only(JobTakeOff found) {
        assertEquals(found.bill().materials().size(), 1);
        return found.bill().materials().get(0);
    }

    private static JobTakeOff.Shop shop(List<Placed> placed, Delivery... came) {
        return new JobTakeOff.Shop(
                Losses.NONE, PriceBook.EMPTY, List.of(), Paces.DEFAULT, placed, List.of(), List.of(came), List.of());
    }

    private static Delivery came(double hours, String slug, double size, int count) {
        return new Delivery(
                slug + hours,
                Stories.moment(hours),
                "Wren",
                slug,
                slug,
                true,
                "can",
                new Packed(size),
                count,
                "",
                "",
                "",
                "K1",
                Optional.empty(),
                Set.of(),
                false,
                "");
    }

    @Test
    public void a_fresh_floor_takes_all_of_its_layers() {
        JobTakeOff found = takeOff(JobTakeOff.Shop.NEW, new Stories().facts());
        Map<String, Buying> all = bySheet(found);
        assertEquals(all.get("primer").amount().value(), 11, 1e-9);
        assertEquals(all.get("body").amount().value(), 22, 1e-9);
        assertEquals(all.get("flake").amount().value(), 52.8, 1e-9);
        assertEquals(all.get("clear").amount().value(), 17.6, 1e-9);
        // 22 L of 5 for 100 and 12 for 200: 12 + 5 + 5 for 400
        assertEquals(all.get("body").cost().orElseThrow().value(), 400, 1e-9);
        assertEquals(found.laid(), 0);
        found.bill().materials().forEach(b -> Stream.of(b.amount(), b.toBuy()).forEach(Formula::assertRecomputes));
        List<String> ids = found.bill().sundries().stream().map(Sundry::id).toList();
        assertTrue(ids.contains("masking-tape"), ids.toString());
    }

    /** What went out for the first time it was coated was used up in it: a year later it is bought again. */
    @Test
    public void an_order_of_an_earlier_cycle_serves_no_later_one() {
        var shop = new JobTakeOff.Shop(
                Losses.NONE,
                PriceBook.EMPTY,
                List.of(),
                Paces.DEFAULT,
                List.of(),
                List.of(new JobTakeOff.Ordered(Stories.moment(1), "spikes", 9)),
                List.of(),
                List.of());
        assertFalse(smallOf(shop, new Stories()).contains("spikes"));
        var later = new Stories().begin(9000, CycleKind.COAT, "", Stories.epoxyWithFlake());
        assertTrue(smallOf(shop, later).contains("spikes"));
    }

    /**
     * One floor is in its first cycle, the one beside it was coated before and begins again. What was ordered for that first coat lies under
     * it: both want gloves anew, as many as two fresh floors.
     */
    @Test
    public void of_two_floors_in_different_cycles_neither_is_served_by_what_was_used() {
        int one = gloves(JobTakeOff.Shop.NEW, new Stories().facts());
        assertTrue(one > 0);
        var shop = new JobTakeOff.Shop(
                Losses.NONE,
                PriceBook.EMPTY,
                List.of(),
                Paces.DEFAULT,
                List.of(),
                List.of(new JobTakeOff.Ordered(Stories.moment(1), "gloves", one)),
                List.of(),
                List.of());
        var again = new Stories()
                .begin(9000, CycleKind.COAT, "", Stories.epoxyWithFlake())
                .facts();
        assertEquals(gloves(shop, new Stories().facts(), again), 2 * one);
        // of one more that went out one is left
        var more = new JobTakeOff.Shop(
                Losses.NONE,
                PriceBook.EMPTY,
                List.of(),
                Paces.DEFAULT,
                List.of(),
                List.of(new JobTakeOff.Ordered(Stories.moment(1), "gloves", one + 1)),
                List.of(),
                List.of());
        assertEquals(gloves(more, new Stories().facts(), again), 2 * one - 1);
    }

    private static int gloves(JobTakeOff.Shop shop, ZoneFacts... zones) {
        return takeOff(shop, zones).bill().sundries().stream()
                .filter(s -> s.id().equals("gloves"))
                .mapToInt(s -> (int) s.count().value())
                .sum();
    }

    private static List<String> smallOf(JobTakeOff.Shop shop, Stories story) {
        return takeOff(shop, story.facts()).bill().sundries().stream()
                .map(Sundry::id)
                .toList();
    }

    /** Two jobs of 80 m²: 22 L of primer are bought once, in 12 and 12 for 400, where each alone would buy 12. */
    @Test
    public void jobs_bought_together_share_their_packs() {
        ZoneFacts zone = new Stories().facts();
        var jobs = List.of(new JobTakeOff.Site("North", List.of(zone)), new JobTakeOff.Site("South", List.of(zone)));
        Buying primer = bySheet(JobTakeOff.of(jobs, JobTakeOff.Shop.NEW, WHEN, UnitSystem.METRIC))
                .get("primer");
        assertEquals(primer.amount().value(), 22, 1e-9);
        assertEquals(primer.uses().stream().map(Buying.Use::where).toList(), List.of("North, Zone", "South, Zone"));
    }

    @Test
    public void what_is_on_is_not_bought_again_and_a_batch_is_taken_off() {
        var story = new Stories().surveyed().ground().slab(20);
        story.batch(40, "primer", "volume=11 L area=80").coat(41, "primer").batch(60, "body", "volume=5 L area=18");
        JobTakeOff found = takeOff(JobTakeOff.Shop.NEW, story.facts());
        Map<String, Buying> all = bySheet(found);
        assertEquals(found.laid(), 1);
        assertTrue(!all.containsKey("primer"));
        // 62 m² are bare, and at the 18 m² of 5 L that it went so far they take a little more than was planned
        assertEquals(all.get("body").amount().value(), 62 * 5 / 18.0, 1e-9);
        Formula.assertRecomputes(all.get("body").amount());
    }

    /**
     * 1:3 at 6 m²/L on 80 m², a tenth on top: 80/6·1.1 = 14.6667 L are sprayed, a quarter of it, 3.6667 L, comes out of bottles.
     * 8 L over 44 m² took 2 L of the 5 that came: 3 are there, the 36 m² that are bare take 6.6 L or 1.65, and nothing is bought.
     */
    @Test
    public void the_pack_of_a_concentrate_is_concentrate() {
        var material = new Concentrate(3, 1.03, 0, Spread.of(6));
        ProductSheet stain = Stories.of(material, Chemistry.WATER_STAIN);
        var story = new Stories().layers(List.of(Stories.layer("stain", stain))).slab(20);
        Buying fresh = only(takeOff(JobTakeOff.Shop.NEW, story.facts()));
        assertEquals(fresh.amount().value(), 80 / 6.0 * 1.1 / 4, 1e-9);
        Formula.assertRecomputes(fresh.amount());
        story.batch(60, "stain", "volume=8 L area=44");
        Buying begun = only(takeOff(shop(List.of(), came(30, stain.slug(), 5, 1)), story.facts()));
        assertEquals(begun.onSite().value(), 3, 1e-9);
        assertEquals(begun.amount().value(), 36 / 6.0 * 1.1 / 4, 1e-9);
        assertEquals(begun.toBuy().value(), 0, 0);
    }

    /** 24 L came and 5 were mixed: 19 are on the site for the 17.2 that are left. Of 30 ordered, 6 are on their way. */
    @Test
    public void what_came_and_what_is_on_its_way_is_counted_once() {
        var story = new Stories().surveyed().ground().slab(20);
        story.coat(41, "primer").batch(60, "body", "volume=5 L area=18");
        var placed = List.of(new Placed(Stories.moment(1), "body", "", new Packed(30)));
        Buying body = bySheet(takeOff(shop(placed, came(30, "body", 12, 2)), story.facts()))
                .get("body");
        assertEquals(body.onSite().value(), 19, 1e-9);
        assertEquals(body.ordered().value(), 6, 1e-9);
        assertEquals(body.toBuy().value(), 0, 0);
        // what was mixed before anything came was bought before anybody noted it
        Buying later = bySheet(takeOff(shop(List.of(), came(70, "body", 12, 1)), story.facts()))
                .get("body");
        assertEquals(later.onSite().value(), 12, 1e-9);
        assertEquals(later.toBuy().value(), 62 * 5 / 18.0 - 12, 1e-9);
    }

    @Test
    public void a_second_season_buys_for_itself() {
        var story = new Stories().surveyed().ground().slab(20);
        for (LayerChoice layer : Stories.epoxyWithFlake()) {
            story.coat(41, layer.id());
        }
        assertTrue(
                takeOff(JobTakeOff.Shop.NEW, story.facts()).bill().materials().isEmpty());
        LayerChoice clear = Stories.epoxyWithFlake().get(3);
        story.begin(9000, CycleKind.RESEAL, "", List.of(clear));
        JobTakeOff again = takeOff(JobTakeOff.Shop.NEW, story.facts());
        assertEquals(bySheet(again).keySet(), Set.of("clear"));
        assertEquals(again.laid(), 0);
    }

    /** A quarter more surface: 12.5 L of primer and a tenth of that. What an overlay levels is spread on a flat floor again. */
    @Test
    public void a_rough_floor_takes_more_until_it_is_levelled() {
        var overlay = Stories.of(new Powder(20, 12, 4, 5, 0, 0, 0.006, 0.02), Chemistry.UNSAID);
        List<LayerChoice> epoxy = Stories.epoxyWithFlake();
        var layers = List.of(epoxy.get(0), Stories.layer("overlay", overlay), epoxy.get(3));
        Map<String, Buying> all = bySheet(takeOff(
                JobTakeOff.Shop.NEW, new Stories().layers(layers).rough(1.25).facts()));
        assertEquals(all.get("primer").amount().value(), 13.75, 1e-9);
        assertEquals(all.get("clear").amount().value(), 17.6, 1e-9);
        // 80 m² 6 mm deep are 480 L, 40 bags of 12 L, 800 kg, and a tenth
        assertEquals(all.get(overlay.slug()).amount().value(), 880, 1e-9);
        all.values().forEach(b -> Formula.assertRecomputes(b.amount()));
    }

    /** Two layers in two colours of one sheet share no can; what came in one of them is for that one. */
    @Test
    public void colours_are_bought_apart() {
        LayerChoice body = Stories.epoxyWithFlake().get(1);
        var layers = List.of(body, Stories.layer("second", body.sheet()));
        var story = new Stories().layers(layers);
        story.entry(LogEntry.Kind.COLOUR, "body", "", 1, LogEntry.COLOUR_FIELDS, "name=Slate");
        story.entry(LogEntry.Kind.COLOUR, "second", "", 1, LogEntry.COLOUR_FIELDS, "name=Clay ordered=Clay");
        var slate = new Delivery(
                "1",
                Stories.moment(2),
                "Wren",
                "body",
                "Body",
                true,
                "12 L",
                new Packed(12),
                1,
                "",
                "Slate",
                "Slate",
                "K1",
                Optional.empty(),
                Set.of(),
                true,
                "");
        List<Buying> found =
                takeOff(shop(List.of(), slate), story.facts()).bill().materials();
        assertEquals(found.stream().map(Buying::colour).toList(), List.of("Slate", "Clay"));
        assertEquals(found.stream().map(b -> b.onSite().value()).toList(), List.of(12.0, 0.0));
    }

    /** A can of no noted colour, and what stands in the store, count once: for the colour that is laid first, or for the one they have. */
    @Test
    public void no_can_is_counted_twice() {
        LayerChoice body = Stories.epoxyWithFlake().get(1);
        var layers = List.of(body, Stories.layer("second", body.sheet()), Stories.layer("third", body.sheet()));
        var story = new Stories().layers(layers);
        story.entry(LogEntry.Kind.COLOUR, "body", "", 1, LogEntry.COLOUR_FIELDS, "name=Slate");
        story.entry(LogEntry.Kind.COLOUR, "second", "", 1, LogEntry.COLOUR_FIELDS, "name=Clay");
        var left = new Leftover("a", "body", new Packed(3), "Slate", "", "", Optional.empty(), Optional.empty(), "");
        var shop = new JobTakeOff.Shop(
                Losses.NONE,
                PriceBook.EMPTY,
                List.of(left),
                Paces.DEFAULT,
                List.of(),
                List.of(),
                List.of(came(2, "body", 12, 1)),
                List.of());
        List<Buying> found = takeOff(shop, story.facts()).bill().materials();
        assertEquals(found.stream().map(Buying::colour).toList(), List.of("Slate", "Clay", ""));
        assertEquals(found.stream().map(b -> b.onSite().value()).toList(), List.of(0.0, 0.0, 12.0));
        assertEquals(found.stream().map(b -> b.store().size()).toList(), List.of(1, 0, 0));
        // where every layer has its colour, to the one that is laid first
        var two = new Stories().layers(layers.subList(0, 2));
        two.entry(LogEntry.Kind.COLOUR, "body", "", 1, LogEntry.COLOUR_FIELDS, "name=Slate");
        two.entry(LogEntry.Kind.COLOUR, "second", "", 1, LogEntry.COLOUR_FIELDS, "name=Clay");
        List<Buying> both = takeOff(shop, two.facts()).bill().materials();
        assertEquals(both.stream().map(b -> b.onSite().value()).toList(), List.of(12.0, 0.0));
    }

    /** 12 L of Slate came, 5 were mixed for a layer whose colour nobody noted, and it is on: 7 L stay over. */
    @Test
    public void what_stays_over_is_less_what_was_mixed() {
        LayerChoice body = Stories.epoxyWithFlake().get(1);
        var story = new Stories().layers(List.of(body)).surveyed().ground().slab(20);
        story.batch(60, "body", "volume=5 L area=80").coat(61, "body");
        var slate = new Delivery(
                "1",
                Stories.moment(2),
                "Wren",
                "body",
                "Body",
                true,
                "12 L",
                new Packed(12),
                1,
                "",
                "",
                "Slate",
                "K1",
                Optional.empty(),
                Set.of(),
                true,
                "");
        List<JobTakeOff.Rest> rest =
                takeOff(shop(List.of(), slate), story.facts()).rest();
        assertEquals(rest.get(0).amount().value(), 7, 1e-9);
        Formula.assertRecomputes(rest.get(0).amount());
    }

    /** Three floors of 80 m² that took 24 L of body where the sheet says 20: a fifth, and the fourth is bought by it. */
    @Test
    public void the_crews_own_loss_is_what_its_logs_say() {
        List<ZoneFacts> floors = Stream.of("a", "b", "c")
                .map(id -> new Stories()
                        .called(id)
                        .slab(20)
                        .batch(60, "body", "volume=12 L area=40")
                        .batch(61, "body", "volume=12 L area=40")
                        .coat(62, "body")
                        .batch(80, "clear", "volume=2 L area=10")
                        .facts())
                .toList();
        var losses = new Losses(JobTakeOff.logged(floors));
        assertEquals(losses.floors(LayerRole.BODY), 3);
        // a coat that is not on yet says nothing
        assertEquals(losses.floors(LayerRole.CLEAR), 0);
        var shop = new JobTakeOff.Shop(
                losses, PriceBook.EMPTY, List.of(), Paces.DEFAULT, List.of(), List.of(), List.of(), List.of());
        JobTakeOff found = takeOff(shop, new Stories().facts());
        assertEquals(bySheet(found).get("body").amount().value(), 24, 1e-9);
        Figure share = found.losses().stream()
                .filter(l -> l.role() == LayerRole.BODY)
                .findFirst()
                .orElseThrow()
                .share();
        assertEquals(share.value(), 0.2, 1e-9);
        Formula.assertRecomputes(share);
    }
}

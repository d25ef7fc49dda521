package openslab.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.buy.Bill;
import openslab.core.buy.Delivery;
import openslab.core.buy.Leftover;
import openslab.core.buy.PriceBook;
import openslab.core.product.Kit;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Unit;
import openslab.server.buy.OrderBook;
import openslab.server.buy.PriceStore;
import openslab.server.buy.StoreRoom;
import openslab.server.buy.TakeOffs;
import openslab.server.job.JobStore;
import openslab.server.product.SheetStore;
import openslab.server.store.Writes;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What Brackenrow Floors buys, from whom, and what came of it: invented, suppliers and prices too. */
@Component
@Order(3)
@ConditionalOnProperty("demo")
class DemoBuying implements ApplicationRunner {
    private static final String PAINTS = "Quayside Coatings";
    private static final String HARDWARE = "Tern Street Hardware";
    private static final Map<String, Long> SMALL = Map.of(
            "masking-tape", 480L,
            "masking-film", 1150L,
            "worn-brush", 620L,
            "mini-roller", 390L,
            "tray-liner", 140L,
            "mixing-pail", 310L,
            "measuring-pail", 260L,
            "gloves", 340L,
            "roller-3-8", 890L,
            "roller-1-4", 840L);

    private final JobStore jobs;
    private final SheetStore sheets;
    private final OrderBook book;
    private final PriceStore prices;
    private final StoreRoom room;
    private final TakeOffs takeOffs;
    private final Writes writes;
    private final Clock clock;

    DemoBuying(
            JobStore jobs,
            SheetStore sheets,
            OrderBook book,
            PriceStore prices,
            StoreRoom room,
            TakeOffs takeOffs,
            Writes writes,
            Clock clock) {
        this.jobs = jobs;
        this.sheets = sheets;
        this.book = book;
        this.prices = prices;
        this.room = room;
        this.takeOffs = takeOffs;
        this.writes = writes;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (!room.all().isEmpty()) {
            return;
        }
        writes.once(UUID.randomUUID(), List.of("demo buying"), () -> {
            prices.reckonIn("CAD");
            SMALL.forEach((id, cents) -> prices.set(id, List.of(new PriceBook.Price(PriceBook.EACH, HARDWARE, cents))));
            for (SheetStore.Stored s : sheets.shelf()) {
                prices.set(
                        s.sheet().slug(),
                        s.sheet().kits().stream()
                                .map(k -> new PriceBook.Price(k.label(), PAINTS, k.priceCents()))
                                .toList());
            }
            left(
                    "epoxy-clear-coat",
                    "1.5 gal",
                    Unit.GALLON.toBase(1.5),
                    "F-2207",
                    Duration.ofDays(200),
                    "Lifeboat house");
            left("vinyl-flake", "9 lb", Unit.POUND.toBase(9), "", Duration.ofDays(2000), "Lifeboat house");
            left("solvent-acrylic", "0.5 gal", Unit.GALLON.toBase(0.5), "S-0388", Duration.ofDays(-20), "Ice house");
            return "";
        });
        UUID workshop = named("Boat-repair workshop");
        writes.once(UUID.randomUUID(), List.of("demo order"), () -> {
            ordered(workshop);
            return "";
        });
        writes.once(UUID.randomUUID(), List.of("demo delivery"), () -> {
            came(workshop, "epoxy-primer", 1, "Kit, 1.5 gal", "E-5120", "", false);
            came(workshop, "epoxy-clear-coat", 1, "Kit, 3 gal", "F-2231", "", false);
            return "";
        });
    }

    private UUID named(String name) {
        return jobs.all().stream()
                .filter(j -> j.facts().name().equals(name))
                .findFirst()
                .map(JobStore.StoredJob::id)
                .orElseThrow();
    }

    private void left(String slug, String typed, double amount, String lot, Duration good, String from) {
        Instant now = clock.instant();
        var leftover = new Leftover(
                UUID.randomUUID().toString(),
                slug,
                new Packed(amount),
                "",
                "",
                lot,
                Optional.empty(),
                Optional.of(now.plus(good).atOffset(ZoneOffset.UTC).toLocalDate()),
                from);
        room.insert(new StoreRoom.Kept(leftover, typed, Optional.empty(), now, "Wren"));
    }

    private void ordered(UUID job) {
        List<OrderBook.PlacedLine> lines = takeOffs.read(job, r -> r.takeOff().bill().suppliers().stream()
                .filter(s -> s.supplier().equals(PAINTS))
                .flatMap(s -> s.lines().stream())
                .map(DemoBuying::line)
                .collect(Collectors.toList()));
        book.place(new OrderBook.PlacedOrder(
                UUID.randomUUID(),
                job,
                0,
                PAINTS,
                clock.instant().minus(Duration.ofHours(30)),
                "Wren",
                "To the roller door, before seven.",
                lines));
    }

    private static OrderBook.PlacedLine line(Bill.OrderLine l) {
        return new OrderBook.PlacedLine(
                l.what(), l.title(), l.colour(), l.pack(), l.size().amount(), l.count(), l.eachCents());
    }

    private void came(UUID job, String slug, int number, String pack, String lot, String colour, boolean boxed) {
        ProductSheet sheet = sheets.onShelf(slug).orElseThrow().sheet();
        Kit kit = sheet.kits().stream()
                .filter(k -> k.label().equals(pack))
                .findFirst()
                .orElseThrow();
        book.came(
                job,
                new Delivery(
                        UUID.randomUUID().toString(),
                        clock.instant().minus(Duration.ofHours(4)),
                        "Wren",
                        slug,
                        sheet.name(),
                        sheet.liquid().isPresent(),
                        pack,
                        kit.size(),
                        number,
                        "Fenwright",
                        colour,
                        colour,
                        lot,
                        Optional.of(clock.instant()
                                .plus(Duration.ofDays(300))
                                .atOffset(ZoneOffset.UTC)
                                .toLocalDate()),
                        Set.of(),
                        boxed,
                        ""));
    }
}

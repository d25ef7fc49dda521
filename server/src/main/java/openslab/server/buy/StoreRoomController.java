package openslab.server.buy;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import openslab.core.buy.Delivery;
import openslab.core.buy.Leftover;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Faults;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.server.job.JobStore;
import openslab.server.product.SheetStore;
import openslab.server.store.Writes;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is left over, for the next job that can use it. */
@RestController
@RequestMapping("/api/store-room")
class StoreRoomController {
    /** @param typed how much, as it was keyed in */
    record LeftoverView(String sheet, String typed, Leftover leftover) {}

    /**
     * @param amount with its unit
     * @param opened when its lid came off; {@code bestBefore} a day
     * @param jobId whose it was, where it comes from a site
     */
    record LeftoverForm(
            String slug,
            String amount,
            @Nullable String colour,
            @Nullable String maker,
            @Nullable String lot,
            @Nullable String opened,
            @Nullable String bestBefore,
            @Nullable String from,
            @Nullable UUID jobId,
            String units,
            String by) {}

    /** @param jobId to whose site it goes; left out where it is thrown away */
    record OutForm(@Nullable UUID jobId, String by) {}

    private final StoreRoom room;
    private final OrderBook book;
    private final JobStore jobs;
    private final SheetStore sheets;
    private final Writes writes;
    private final Clock clock;

    StoreRoomController(StoreRoom room, OrderBook book, JobStore jobs, SheetStore sheets, Writes writes, Clock clock) {
        this.room = room;
        this.book = book;
        this.jobs = jobs;
        this.sheets = sheets;
        this.writes = writes;
        this.clock = clock;
    }

    @GetMapping
    List<LeftoverView> all() {
        return room.all().stream()
                .map(k -> new LeftoverView(
                        sheets.onShelf(k.leftover().slug())
                                .map(s -> s.sheet().name())
                                .orElse(k.leftover().slug()),
                        k.typed(),
                        k.leftover()))
                .toList();
    }

    /** The write's key becomes its id. */
    @PostMapping
    List<LeftoverView> put(@RequestHeader("Idempotency-Key") UUID key, @RequestBody LeftoverForm form) {
        StoreRoom.Kept kept = read(key, form);
        writes.once(key, List.of("leftover", form), () -> {
            kept.jobId().ifPresent(jobs::get);
            room.insert(kept);
            return key.toString();
        });
        return all();
    }

    private StoreRoom.Kept read(UUID key, LeftoverForm form) {
        var faults = new Faults();
        Instant now = clock.instant();
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        Optional<ProductSheet> sheet =
                sheets.onShelf(form.slug() == null ? "" : form.slug()).map(SheetStore.Stored::sheet);
        if (sheet.isEmpty()) {
            faults.add("slug", form.slug(), "a sheet on the shelf");
        }
        Value amount = units == null || sheet.isEmpty()
                ? null
                : faults.read(() -> Amounts.field(sheet.get()).parse("amount", form.amount(), units));
        String colour = faults.line("colour", form.colour(), 0, 60);
        String maker = faults.line("maker", form.maker(), 0, 60);
        String lot = faults.line("lot", form.lot(), 0, 80);
        Instant opened = isBlank(form.opened()) ? null : faults.moment("opened", form.opened(), now.plusSeconds(600));
        LocalDate best = isBlank(form.bestBefore()) ? null : faults.day("bestBefore", form.bestBefore());
        String from = faults.line("from", form.from(), 0, 120);
        String by = faults.line("by", form.by(), 1, 60);
        faults.check();
        var leftover = new Leftover(
                key.toString(),
                form.slug(),
                new Packed(amount.base()),
                colour,
                maker,
                lot,
                Optional.ofNullable(opened),
                Optional.ofNullable(best),
                from);
        return new StoreRoom.Kept(leftover, amount.typed(), Optional.ofNullable(form.jobId()), now, by);
    }

    private static boolean isBlank(String text) {
        return text == null || text.isBlank();
    }

    /** Takes it to a site, where it counts as what came, or throws it away. */
    @PostMapping("/{id}/out")
    List<LeftoverView> out(
            @PathVariable UUID id, @RequestHeader("Idempotency-Key") UUID key, @RequestBody OutForm form) {
        var faults = new Faults();
        String by = faults.line("by", form.by(), 1, 60);
        faults.check();
        writes.once(key, List.of("out of the store", id, form), () -> {
            Leftover l = room.takeOut(id).leftover();
            if (form.jobId() != null) {
                jobs.get(form.jobId());
                ProductSheet sheet =
                        sheets.onShelf(l.slug()).map(SheetStore.Stored::sheet).orElse(null);
                book.came(form.jobId(), delivery(key, l, sheet, by));
            }
            return id.toString();
        });
        return all();
    }

    private Delivery delivery(UUID key, Leftover l, ProductSheet sheet, String by) {
        return new Delivery(
                key.toString(),
                clock.instant(),
                by,
                l.slug(),
                sheet == null ? l.slug() : sheet.name(),
                sheet != null && sheet.liquid().isPresent(),
                "from the store",
                l.amount(),
                1,
                l.maker(),
                l.colour(),
                l.colour(),
                l.lot(),
                l.bestBefore(),
                Set.of(),
                false,
                "");
    }
}

package openslab.server.buy;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.buy.Bill;
import openslab.core.buy.Buying;
import openslab.core.buy.Delivery;
import openslab.core.buy.Losses;
import openslab.core.job.JobTakeOff;
import openslab.core.product.Kit;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Faults;
import openslab.core.quantity.UnitSystem;
import openslab.server.job.JobStore;
import openslab.server.product.SheetStore;
import openslab.server.store.Writes;
import openslab.server.web.Brief;
import openslab.server.web.Named;
import openslab.server.web.WireFormat;
import openslab.server.web.Workings;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What a job takes, what was ordered for it, and what came. */
@RestController
@RequestMapping("/api/jobs/{jobId}")
class BuyController {
    /**
     * @param together the jobs that are bought for together, this one among them; {@code others} those that could be
     * @param enough floors after which the crew's own losses are used
     * @param orders what went out, newest first
     * @param faults that may be found with what came; {@code boxes} what lies in one box of each sheet that counts it up
     */
    record TakeOffView(
            long changes,
            List<JobName> together,
            List<JobName> others,
            JobTakeOff takeOff,
            int enough,
            List<OrderBook.PlacedOrder> orders,
            List<Named> faults,
            List<BoxOf> boxes) {}

    /** @param things piece by piece, as somebody ticks them off on arrival */
    record BoxOf(String slug, List<String> things) {}

    record JobName(UUID id, String name) {}

    /** @param jobs all that are bought for together; this one may be left out */
    record TogetherForm(@Nullable List<UUID> jobs) {}

    /** @param supplier whose list goes out; empty for that of nobody */
    record OrderForm(String supplier, String by, @Nullable String note, List<OrderLineForm> lines) {}

    /** @param number how many packs, which may be others than were reckoned */
    record OrderLineForm(String what, @Nullable String colour, String pack, String number) {}

    /**
     * @param pack the label of one that the sheet lists, or {@code size} of another
     * @param size with its unit
     * @param ticked what of its sheet's box is in it; nothing where nobody looked
     */
    record DeliveryForm(
            String slug,
            @Nullable String pack,
            @Nullable String size,
            String number,
            @Nullable String maker,
            @Nullable String ordered,
            @Nullable String colour,
            @Nullable String lot,
            @Nullable String bestBefore,
            @Nullable List<String> faults,
            @Nullable List<String> ticked,
            @Nullable Boolean boxed,
            @Nullable String note,
            @Nullable String at,
            String by) {}

    record BoxedForm(String slug, String colour, String by) {}

    record StrikeForm(String by) {}

    private static final int MOST_TOGETHER = 30;
    /** What is missing is told before it, and both are one line of the book. */
    private static final int MOST_NOTE = 1800;

    private final TakeOffs takeOffs;
    private final OrderBook book;
    private final JobStore jobs;
    private final SheetStore sheets;
    private final Writes writes;
    private final Workings workings;
    private final Clock clock;

    BuyController(
            TakeOffs takeOffs,
            OrderBook book,
            JobStore jobs,
            SheetStore sheets,
            Writes writes,
            Workings workings,
            Clock clock) {
        this.takeOffs = takeOffs;
        this.book = book;
        this.jobs = jobs;
        this.sheets = sheets;
        this.writes = writes;
        this.workings = workings;
        this.clock = clock;
    }

    @Brief
    @GetMapping("/take-off")
    TakeOffView takeOff(@PathVariable UUID jobId) {
        return read(jobId);
    }

    @GetMapping("/take-off/working")
    WireFormat.FigureView working(@PathVariable UUID jobId, @RequestParam String at) {
        return workings.at(read(jobId), at);
    }

    private TakeOffView read(UUID jobId) {
        return takeOffs.read(jobId, r -> {
            List<JobName> together = r.all().stream().map(BuyController::name).toList();
            return new TakeOffView(
                    r.job().stored().changes(),
                    together,
                    jobs.all().stream()
                            .filter(j -> !j.facts().archived())
                            .map(BuyController::name)
                            .filter(n -> !together.contains(n))
                            .toList(),
                    r.takeOff(),
                    Losses.FLOORS_ENOUGH,
                    newestFirst(r.orders()),
                    Arrays.stream(Delivery.Fault.values())
                            .map(f -> new Named(f.name(), f.label()))
                            .toList(),
                    boxes(r.takeOff()));
        });
    }

    private List<BoxOf> boxes(JobTakeOff takeOff) {
        return takeOff.bill().materials().stream()
                .map(Buying::slug)
                .distinct()
                .flatMap(slug -> sheets.onShelf(slug).stream())
                .map(s -> new BoxOf(s.sheet().slug(), s.sheet().handling().box()))
                .filter(b -> !b.things().isEmpty())
                .toList();
    }

    private static List<OrderBook.PlacedOrder> newestFirst(List<OrderBook.PlacedOrder> orders) {
        var all = new ArrayList<>(orders);
        Collections.reverse(all);
        return List.copyOf(all);
    }

    private static JobName name(JobStore.StoredJob job) {
        return new JobName(job.id(), job.facts().name());
    }

    @Brief
    @PutMapping("/together")
    TakeOffView together(
            @PathVariable UUID jobId, @RequestHeader("Idempotency-Key") UUID key, @RequestBody TogetherForm form) {
        Set<UUID> all = new LinkedHashSet<>(List.of(jobId));
        var faults = new Faults();
        if (form.jobs() != null) {
            all.addAll(form.jobs());
        }
        if (all.size() > MOST_TOGETHER) {
            faults.add("jobs", all.size() + " jobs", "at most " + MOST_TOGETHER);
        }
        faults.check();
        writes.onceIn(jobId, key, List.of("together", jobId, form), () -> {
            all.forEach(jobs::get);
            book.buyTogether(all);
            return jobId.toString();
        });
        return read(jobId);
    }

    /** What goes out to one supplier, as its list is now; how many of each may be others. */
    @Brief
    @PostMapping("/orders")
    TakeOffView order(
            @PathVariable UUID jobId, @RequestHeader("Idempotency-Key") UUID key, @RequestBody OrderForm form) {
        var faults = new Faults();
        String supplier = faults.line("supplier", form.supplier(), 1, 60);
        String by = faults.line("by", form.by(), 1, 60);
        String note = faults.prose("note", form.note(), 2000);
        List<OrderLineForm> wanted = form.lines() == null ? List.of() : form.lines();
        if (wanted.isEmpty() || wanted.size() > OrderBook.MOST_LINES) {
            faults.add("lines", wanted.size() + " lines", "1 to " + OrderBook.MOST_LINES);
        }
        faults.check();
        writes.onceIn(jobId, key, List.of("order", jobId, form), () -> {
            Bill bill = takeOffs.read(jobId, r -> r.takeOff().bill());
            book.place(new OrderBook.PlacedOrder(
                    key, jobId, 0, supplier, clock.instant(), by, note, lines(wanted, bill, supplier)));
            return key.toString();
        });
        return read(jobId);
    }

    private static List<OrderBook.PlacedLine> lines(List<OrderLineForm> wanted, Bill bill, String supplier) {
        var faults = new Faults();
        // what nobody noted a supplier of goes to whom it is sent
        List<Bill.OrderLine> list = bill.suppliers().stream()
                .filter(s -> s.supplier().equals(supplier) || s.supplier().isEmpty())
                .flatMap(s -> s.lines().stream())
                .toList();
        var lines = new ArrayList<OrderBook.PlacedLine>();
        for (int i = 0; i < wanted.size(); i++) {
            OrderLineForm w = wanted.get(i);
            String at = "lines[" + i + "]";
            Integer number = whole(faults, at + ".number", w.number());
            Optional<Bill.OrderLine> line = list.stream()
                    .filter(l -> l.what().equals(w.what())
                            && l.pack().equals(w.pack())
                            && l.colour().equals(w.colour() == null ? "" : w.colour()))
                    .findFirst();
            if (line.isEmpty()) {
                faults.add(at + ".what", w.what(), "what stands on this supplier's list now");
            } else if (number != null) {
                Bill.OrderLine l = line.get();
                lines.add(new OrderBook.PlacedLine(
                        l.what(), l.title(), l.colour(), l.pack(), l.size().amount(), number, l.eachCents()));
            }
        }
        faults.check();
        return lines;
    }

    private static Integer whole(Faults faults, String field, String text) {
        String digits = text == null ? "" : text.strip();
        if (!digits.matches("\\d{1,6}")
                || Integer.parseInt(digits) < 1
                || Integer.parseInt(digits) > OrderBook.MOST_PACKS) {
            faults.add(field, text, "a whole number from 1 to " + OrderBook.MOST_PACKS);
            return null;
        }
        return Integer.parseInt(digits);
    }

    @Brief
    @PostMapping("/orders/{orderId}/strike")
    TakeOffView strikeOrder(
            @PathVariable UUID jobId,
            @PathVariable UUID orderId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody StrikeForm form) {
        String by = signed(form);
        writes.onceIn(jobId, key, List.of("strike order", jobId, orderId, form), () -> {
            book.strikeOrder(orderId, book.together(jobId), by);
            return orderId.toString();
        });
        return read(jobId);
    }

    @Brief
    @PostMapping("/deliveries")
    TakeOffView came(
            @PathVariable UUID jobId, @RequestHeader("Idempotency-Key") UUID key, @RequestBody DeliveryForm form) {
        UnitSystem units = jobs.get(jobId).facts().units();
        Delivery delivery = delivery(key, form, units);
        writes.onceIn(jobId, key, List.of("delivery", jobId, form), () -> {
            book.came(jobId, delivery);
            return key.toString();
        });
        return read(jobId);
    }

    private Delivery delivery(UUID key, DeliveryForm form, UnitSystem units) {
        var faults = new Faults();
        Instant now = clock.instant();
        Optional<ProductSheet> sheet =
                sheets.onShelf(form.slug() == null ? "" : form.slug()).map(SheetStore.Stored::sheet);
        if (sheet.isEmpty()) {
            faults.add("slug", form.slug(), "a sheet on the shelf");
        }
        String pack = faults.line("pack", form.pack(), 0, 60);
        Packed size = sheet.map(s -> size(faults, s, pack, form.size(), units)).orElse(null);
        Integer number = whole(faults, "number", form.number());
        String maker = faults.line("maker", form.maker(), 0, 60);
        String ordered = faults.line("ordered", form.ordered(), 0, 60);
        String colour = faults.line("colour", form.colour(), 0, 60);
        String lot = faults.line("lot", form.lot(), 0, 80);
        LocalDate best = isBlank(form.bestBefore()) ? null : faults.day("bestBefore", form.bestBefore());
        Set<Delivery.Fault> found = EnumSet.noneOf(Delivery.Fault.class);
        List<String> told = form.faults() == null ? List.of() : form.faults();
        for (int i = 0; i < Math.min(told.size(), Delivery.Fault.values().length); i++) {
            Delivery.Fault fault = faults.oneOf("faults[" + i + "]", told.get(i), Delivery.Fault.class);
            if (fault != null) {
                found.add(fault);
            }
        }
        String missing =
                missing(faults, form, sheet.map(s -> s.handling().box()).orElse(List.of()));
        if (!missing.isEmpty()) {
            found.add(Delivery.Fault.MISSING);
        }
        String note = faults.prose("note", form.note(), MOST_NOTE);
        Instant at = isBlank(form.at()) ? now : faults.moment("at", form.at(), now.plusSeconds(600));
        String by = faults.line("by", form.by(), 1, 60);
        faults.check();
        ProductSheet s = sheet.orElseThrow();
        return new Delivery(
                key.toString(),
                at,
                by,
                s.slug(),
                s.name(),
                s.liquid().isPresent(),
                pack.isEmpty() ? form.size().strip() : pack,
                size,
                number,
                maker,
                ordered,
                colour,
                lot,
                Optional.ofNullable(best),
                found,
                Boolean.TRUE.equals(form.boxed()),
                Stream.of(missing, note).filter(t -> !isBlank(t)).collect(Collectors.joining(" ")));
    }

    /** What is not in the box, as a sentence; empty where all of it is, or nobody looked. */
    private static String missing(Faults faults, DeliveryForm form, List<String> box) {
        List<String> ticked = form.ticked() == null ? List.of() : form.ticked();
        List<String> strange = ticked.stream()
                .filter(t -> box.stream().noneMatch(thing -> thing.equals(t)))
                .toList();
        if (!strange.isEmpty()) {
            faults.add("ticked", strange, box.isEmpty() ? "nothing: its sheet lists no box" : String.join(", ", box));
            return "";
        }
        List<String> missing = Delivery.missing(box, ticked);
        return missing.isEmpty() ? "" : "Not in the box: " + String.join(", ", missing) + ".";
    }

    /** Of a pack that the sheet lists, or as it was measured. */
    private static Packed size(Faults faults, ProductSheet sheet, String pack, String typed, UnitSystem units) {
        if (!isBlank(typed)) {
            return faults.read(() ->
                    new Packed(Amounts.field(sheet).parse("size", typed, units).base()));
        }
        Optional<Kit> kit =
                sheet.kits().stream().filter(k -> k.label().equals(pack)).findFirst();
        if (kit.isEmpty()) {
            faults.add(
                    "pack",
                    pack,
                    sheet.kits().isEmpty()
                            ? "a size, since the sheet lists no packs"
                            : "one of "
                                    + String.join(
                                            ", ",
                                            sheet.kits().stream()
                                                    .map(Kit::label)
                                                    .toList()));
            return null;
        }
        return kit.get().size();
    }

    private static boolean isBlank(String text) {
        return text == null || text.isBlank();
    }

    @Brief
    @PostMapping("/deliveries/{deliveryId}/strike")
    TakeOffView strikeDelivery(
            @PathVariable UUID jobId,
            @PathVariable UUID deliveryId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody StrikeForm form) {
        String by = signed(form);
        writes.onceIn(jobId, key, List.of("strike delivery", jobId, deliveryId, form), () -> {
            book.strikeDelivery(deliveryId, book.together(jobId), by);
            return deliveryId.toString();
        });
        return read(jobId);
    }

    private static String signed(StrikeForm form) {
        var faults = new Faults();
        String by = faults.line("by", form.by(), 1, 60);
        faults.check();
        return by;
    }

    /** All of a colour was poured together. */
    @Brief
    @PostMapping("/boxed")
    TakeOffView boxed(
            @PathVariable UUID jobId, @RequestHeader("Idempotency-Key") UUID key, @RequestBody BoxedForm form) {
        var faults = new Faults();
        String slug = faults.line("slug", form.slug(), 1, 60);
        String colour = faults.line("colour", form.colour(), 1, 60);
        String by = faults.line("by", form.by(), 1, 60);
        faults.check();
        writes.onceIn(jobId, key, List.of("boxed", jobId, form), () -> {
            book.boxed(book.together(jobId), slug, colour, by);
            return jobId.toString();
        });
        return read(jobId);
    }
}

package openslab.server.exchange;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import openslab.core.buy.Delivery;
import openslab.core.product.Packed;
import openslab.core.quantity.Faults;
import openslab.server.buy.OrderBook;

/** Orders and deliveries as a job file has them, and the way back. */
final class BoughtParts {
    private static final double LARGEST = 1e6;
    private static final long MOST_CENTS = 100_000_000_000L;

    private BoughtParts() {}

    static JobFile.OrderPart part(OrderBook.PlacedOrder o) {
        return new JobFile.OrderPart(
                o.id().toString(),
                said(o.supplier()),
                o.at().toString(),
                o.by(),
                said(o.note()),
                o.lines().stream()
                        .map(l -> new JobFile.OrderLinePart(
                                l.what(), l.title(), said(l.colour()), l.pack(), l.size(), l.number(), l.eachCents()))
                        .toList());
    }

    static JobFile.DeliveryPart part(Delivery d) {
        return new JobFile.DeliveryPart(
                d.id(),
                d.at().toString(),
                d.by(),
                d.slug(),
                d.sheet(),
                d.ofLiquid(),
                d.pack(),
                d.size().amount(),
                d.count(),
                said(d.maker()),
                said(d.ordered()),
                said(d.colour()),
                said(d.lot()),
                d.bestBefore().map(LocalDate::toString).orElse(null),
                d.faults().isEmpty()
                        ? null
                        : d.faults().stream().map(Enum::name).sorted().toList(),
                d.boxed(),
                said(d.note()));
    }

    private static String said(String words) {
        return words.isEmpty() ? null : words;
    }

    /** @throws openslab.core.quantity.InvalidInput naming every fault below {@code path} */
    static OrderBook.PlacedOrder order(JobFile.OrderPart part, UUID id, UUID jobId, String path, Instant latest) {
        var faults = new Faults();
        String supplier = faults.line(path + ".supplier", part.supplier(), 0, 60);
        Instant at = faults.moment(path + ".at", part.at(), latest);
        String by = faults.line(path + ".by", part.by(), 1, 60);
        String note = faults.prose(path + ".note", part.note(), 2000);
        List<JobFile.OrderLinePart> parts = part.lines() == null ? List.of() : part.lines();
        if (parts.isEmpty() || parts.size() > OrderBook.MOST_LINES) {
            faults.add(path + ".lines", parts.size() + " lines", "1 to " + OrderBook.MOST_LINES);
        }
        faults.check();
        var lines = new ArrayList<OrderBook.PlacedLine>();
        for (int i = 0; i < parts.size(); i++) {
            JobFile.OrderLinePart l = parts.get(i);
            String here = path + ".lines[" + i + "]";
            if (l == null) {
                faults.add(here, null, "a line");
                continue;
            }
            amount(faults, here, l.size(), l.number());
            if (l.eachCents() < 0 || l.eachCents() > MOST_CENTS) {
                faults.add(here + ".eachCents", l.eachCents(), "0 to " + MOST_CENTS);
            }
            lines.add(new OrderBook.PlacedLine(
                    faults.line(here + ".what", l.what(), 1, 80),
                    faults.line(here + ".title", l.title(), 1, 120),
                    faults.line(here + ".colour", l.colour(), 0, 60),
                    faults.line(here + ".pack", l.pack(), 0, 60),
                    l.size(),
                    l.number(),
                    l.eachCents()));
        }
        faults.check();
        return new OrderBook.PlacedOrder(id, jobId, 0, supplier, at, by, note, lines);
    }

    /** @throws openslab.core.quantity.InvalidInput naming every fault below {@code path} */
    static Delivery delivery(JobFile.DeliveryPart part, UUID id, String path, Instant latest) {
        var faults = new Faults();
        amount(faults, path, part.size(), part.number());
        Set<Delivery.Fault> found = EnumSet.noneOf(Delivery.Fault.class);
        List<String> told = part.faults() == null ? List.of() : part.faults();
        for (int i = 0; i < told.size(); i++) {
            Delivery.Fault fault = faults.oneOf(path + ".faults[" + i + "]", told.get(i), Delivery.Fault.class);
            if (fault != null) {
                found.add(fault);
            }
        }
        Instant at = faults.moment(path + ".at", part.at(), latest);
        Optional<LocalDate> best =
                Optional.ofNullable(part.bestBefore()).map(day -> faults.day(path + ".bestBefore", day));
        String by = faults.line(path + ".by", part.by(), 1, 60);
        String slug = faults.line(path + ".sheet", part.sheet(), 1, 60);
        String title = faults.line(path + ".title", part.title(), 1, 120);
        String pack = faults.line(path + ".pack", part.pack(), 1, 60);
        String maker = faults.line(path + ".maker", part.maker(), 0, 60);
        String ordered = faults.line(path + ".ordered", part.ordered(), 0, 60);
        String colour = faults.line(path + ".colour", part.colour(), 0, 60);
        String lot = faults.line(path + ".lot", part.lot(), 0, 80);
        String note = faults.prose(path + ".note", part.note(), 2000);
        faults.check();
        return new Delivery(
                id.toString(),
                at,
                by,
                slug,
                title,
                part.liquid(),
                pack,
                new Packed(part.size()),
                part.number(),
                maker,
                ordered,
                colour,
                lot,
                best,
                found,
                part.boxed(),
                note);
    }

    private static void amount(Faults faults, String path, double size, int number) {
        if (!(size >= 0 && size <= LARGEST)) {
            faults.add(path + ".size", size, "0 to 1000000, litres or kilograms");
        }
        if (number < 1 || number > OrderBook.MOST_PACKS) {
            faults.add(path + ".number", number, "a whole number from 1 to " + OrderBook.MOST_PACKS);
        }
    }
}

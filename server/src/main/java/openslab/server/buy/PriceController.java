package openslab.server.buy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import openslab.core.buy.PriceBook;
import openslab.core.buy.Sundries;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Faults;
import openslab.server.product.SheetStore;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What packs cost, and where. */
@RestController
@RequestMapping("/api/prices")
class PriceController {
    /** @param what a sheet's slug, or the id of something small */
    record PricedView(String what, String title, boolean small, List<PackView> packs) {}

    /** @param sheetCents what the sheet says, 0 where it is silent; {@code prices} what somebody noted */
    record PackView(String pack, long sheetCents, List<PriceBook.Price> prices) {}

    record PricesForm(List<PriceForm> prices) {}

    /** @param price as typed, in the shop's money */
    record PriceForm(String pack, @Nullable String supplier, String price) {}

    private static final int MOST = 200;
    private static final int MOST_DIGITS = 9;

    private final PriceStore store;
    private final SheetStore sheets;
    private final Writes writes;

    PriceController(PriceStore store, SheetStore sheets, Writes writes) {
        this.store = store;
        this.sheets = sheets;
        this.writes = writes;
    }

    @GetMapping
    List<PricedView> prices() {
        PriceBook book = store.all();
        Stream<PricedView> materials = sheets.shelf().stream()
                .map(SheetStore.Stored::sheet)
                .filter(s -> !s.kits().isEmpty())
                .map(s -> new PricedView(s.slug(), s.name(), false, packs(s, book)));
        Stream<PricedView> small = Sundries.named(book.prices().keySet()).entrySet().stream()
                .map(e -> new PricedView(
                        e.getKey(), e.getValue(), true, List.of(pack(e.getKey(), PriceBook.EACH, 0, book))));
        return Stream.concat(materials, small).toList();
    }

    private static List<PackView> packs(ProductSheet sheet, PriceBook book) {
        return sheet.kits().stream()
                .map(k -> pack(sheet.slug(), k.label(), k.priceCents(), book))
                .toList();
    }

    private static PackView pack(String what, String pack, long sheetCents, PriceBook book) {
        return new PackView(
                pack,
                sheetCents,
                book.prices().getOrDefault(what, List.of()).stream()
                        .filter(p -> p.pack().equals(pack))
                        .toList());
    }

    /** A price has no version: the last who says so is right. */
    @PutMapping("/{what}")
    List<PricedView> set(
            @PathVariable String what, @RequestHeader("Idempotency-Key") UUID key, @RequestBody PricesForm form) {
        List<String> packs = prices().stream()
                .filter(p -> p.what().equals(what))
                .findFirst()
                .map(p -> p.packs().stream().map(PackView::pack).toList())
                .or(() -> Sundries.isId(what) ? Optional.of(List.of(PriceBook.EACH)) : Optional.empty())
                .orElseThrow(() -> new NotHere("what", what));
        List<PriceBook.Price> read = read(form, packs);
        writes.once(key, List.of("prices", what, form), () -> {
            store.set(what, read);
            return what;
        });
        return prices();
    }

    private static List<PriceBook.Price> read(PricesForm form, List<String> packs) {
        var faults = new Faults();
        List<PriceForm> given = form.prices() == null ? List.of() : form.prices();
        if (given.size() > MOST) {
            faults.add("prices", given.size() + " prices", "at most " + MOST);
            faults.check();
        }
        record Of(String pack, String supplier) {}
        Set<Of> seen = new HashSet<>();
        var read = new ArrayList<PriceBook.Price>();
        for (int i = 0; i < given.size(); i++) {
            PriceForm p = given.get(i);
            String at = "prices[" + i + "]";
            if (p.pack() == null || !packs.contains(p.pack())) {
                faults.add(at + ".pack", p.pack(), "one of " + String.join(", ", packs));
            }
            String supplier = faults.line(at + ".supplier", p.supplier(), 0, 60);
            Long cents = cents(faults, at + ".price", p.price());
            if (supplier != null && !seen.add(new Of(p.pack(), supplier))) {
                faults.add(at + ".supplier", supplier, "each supplier once for a pack");
            }
            if (supplier != null && cents != null) {
                read.add(new PriceBook.Price(p.pack(), supplier, cents));
            }
        }
        faults.check();
        return read;
    }

    private static Long cents(Faults faults, String field, String text) {
        String typed = text == null ? "" : text.strip().replace(',', '.');
        if (!typed.matches("\\d{1," + MOST_DIGITS + "}(\\.\\d{1,2})?")) {
            faults.add(field, text, "a price such as 214 or 214.50, from 0 to 999999999");
            return null;
        }
        return new BigDecimal(typed).movePointRight(2).longValueExact();
    }
}

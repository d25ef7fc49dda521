package openslab.server.buy;

import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import openslab.core.quantity.Faults;
import openslab.server.store.Writes;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which money the shop reckons in. */
@RestController
@RequestMapping("/api/currency")
class CurrencyController {
    /** @param currency by its code of ISO 4217; empty where nobody said, or does not want it told */
    record CurrencyView(String currency) {}

    /** Prices are kept in hundredths. */
    private static final int DIGITS = 2;

    private static final List<String> KNOWN = Currency.getAvailableCurrencies().stream()
            .filter(c -> c.getDefaultFractionDigits() >= 0 && c.getDefaultFractionDigits() <= DIGITS)
            .map(Currency::getCurrencyCode)
            .sorted()
            .toList();

    private final PriceStore store;
    private final Writes writes;

    CurrencyController(PriceStore store, Writes writes) {
        this.store = store;
        this.writes = writes;
    }

    @GetMapping
    CurrencyView currency() {
        return new CurrencyView(store.currency());
    }

    /** The last who says so is right. */
    @PutMapping
    CurrencyView set(@RequestHeader("Idempotency-Key") UUID key, @RequestBody CurrencyView form) {
        String currency = form.currency() == null ? "" : form.currency().strip().toUpperCase(Locale.ROOT);
        if (!currency.isEmpty() && !KNOWN.contains(currency)) {
            var faults = new Faults();
            faults.add("currency", currency, "nothing, or a code of ISO 4217 such as CAD, EUR, GBP or USD");
            faults.check();
        }
        writes.once(key, List.of("currency", currency), () -> {
            store.reckonIn(currency);
            return currency;
        });
        return currency();
    }
}

package openslab.core.buy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import openslab.core.Stories;
import openslab.core.product.Kit;
import openslab.core.product.LayerRole;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Something to buy, and what came of it. */
final class Buys {
    static final Buying.When WHEN =
            new Buying.When(Instant.parse("2026-05-04T09:00:00Z"), LocalDate.parse("2026-05-04"));

    private Buys() {}

    static Buying.Taking use(String zone, String layer, double litres) {
        return new Buying.Taking("", zone, zone, layer, layer, litres(litres));
    }

    static Figure litres(double litres) {
        var w = new Worksheet(UnitSystem.METRIC);
        w.given("V0", "", litres, Unit.LITRE);
        return w.figure("mixed volume", "V", "V0", litres, Unit.LITRE, Source.arithmetic("given"));
    }

    static Leftover left(String id, double litres) {
        return new Leftover(id, "body", new Packed(litres), "", "", "L" + id, Optional.empty(), Optional.empty(), "");
    }

    /** A body coat sold in these. */
    static ProductSheet sold(List<Kit> kits) {
        ProductSheet sheet = Stories.liquid("Body", LayerRole.BODY, 4, Map.of());
        return new ProductSheet(
                "body",
                sheet.name(),
                sheet.role(),
                sheet.material(),
                sheet.limits(),
                sheet.clocks(),
                kits,
                sheet.resealYears(),
                sheet.traits(),
                sheet.handling(),
                sheet.advice());
    }

    /** So many cans of 5 L, sound. */
    static Delivery came(String id, int count, String maker, String colour, String lot, Delivery.Fault... faults) {
        return new Delivery(
                id,
                Instant.parse("2026-05-04T08:00:00Z"),
                "Ana",
                "body",
                "Body",
                true,
                "5 L",
                new Packed(5),
                count,
                maker,
                colour,
                colour,
                lot,
                Optional.empty(),
                Set.of(faults),
                false,
                "");
    }
}

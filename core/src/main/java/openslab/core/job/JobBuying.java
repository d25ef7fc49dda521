package openslab.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import openslab.core.mix.Buying;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.UnitSystem;

/** What a job buys: each sheet once, for all its zones together. */
public final class JobBuying {
    private JobBuying() {}

    /** In the order in which the zones first take them. A sheet that was revised is another sheet. */
    public static List<Buying> of(List<ZoneReport> zones, UnitSystem system) {
        Map<ProductSheet, List<Buying.Use>> bySheet = new LinkedHashMap<>();
        for (ZoneReport zone : zones) {
            for (LayerReport layer : zone.layers()) {
                bySheet.computeIfAbsent(layer.sheet(), s -> new ArrayList<>())
                        .add(new Buying.Use(zone.id(), zone.name(), layer.id(), layer.amount()));
            }
        }
        return bySheet.entrySet().stream()
                .map(e -> Buying.of(e.getKey(), e.getValue(), system))
                .toList();
    }
}

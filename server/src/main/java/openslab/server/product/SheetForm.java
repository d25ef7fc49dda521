package openslab.server.product;

import java.util.List;
import java.util.Map;

/**
 * A product sheet as it is keyed in, stored and exchanged: quantities are text with a unit. A broadcast fills
 * {@code broadcast} and leaves the liquid's fields empty.
 *
 * @param units whose units a bare number is in
 * @param limits by field id of {@link SheetFields#LIMITS}; left out altogether where the sheet asks nothing
 * @param clocks by name of {@link openslab.core.product.Clock}
 * @param reseal years by name of {@link openslab.core.product.Exposure}
 * @param mixing how it is stirred and poured; left out where the sheet is silent
 * @param care how the finished floor is looked after; left out likewise
 */
public record SheetForm(
        String slug,
        String name,
        String role,
        String units,
        String partsA,
        String partsB,
        String densityA,
        String densityB,
        String volumeSolids,
        String spread,
        String firstIn,
        String broadcast,
        Map<String, String> limits,
        Map<String, List<TimeForm>> clocks,
        List<KitForm> kits,
        Map<String, String> reseal,
        String mixing,
        String care,
        String note) {

    /** @param at a temperature @param time how long it takes there */
    public record TimeForm(String at, String time) {}

    /** @param price in the shop's money, two decimals */
    public record KitForm(String label, String size, String price) {}

    public SheetForm {
        limits = limits == null ? Map.of() : limits;
        clocks = clocks == null ? Map.of() : clocks;
        kits = kits == null ? List.of() : kits;
        reseal = reseal == null ? Map.of() : reseal;
    }
}

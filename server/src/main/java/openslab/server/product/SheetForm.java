package openslab.server.product;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A product sheet as it is keyed in, stored and exchanged: quantities are text with a unit. A liquid of one or two parts fills the
 * fields from {@code partsA} to {@code firstIn}, a broadcast {@code broadcast}; what only some materials have stands in
 * {@code numbers}.
 *
 * @param kind by name of {@link openslab.core.product.Material.Kind}; left out for one or two parts and a broadcast, which show it
 * @param units whose units a bare number is in
 * @param numbers by field id of {@link SheetFields#NUMBERS}, each kind its own
 * @param handling by field id of {@link SheetFields#HANDLING}
 * @param marks where a number comes from, by its field: {@code CP} common practice, {@code OURS}, or the publication
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
        String note,
        @Nullable String kind,
        @Nullable Map<String, String> numbers,
        @Nullable TraitsForm traits,
        @Nullable Map<String, String> handling,
        @Nullable Map<String, String> marks) {

    /**
     * What it is like on a floor; whatever the sheet does not say is left out.
     *
     * @param on substrates that it may lie on as the first coat
     * @param voc less water and exempt solvents
     */
    public record TraitsForm(
            @Nullable String chemistry,
            @Nullable List<String> on,
            @Nullable List<String> waives,
            @Nullable List<String> suits,
            @Nullable String opacity,
            @Nullable String gloss,
            @Nullable String odour,
            @Nullable String voc) {}

    /** The same sheet under another slug. */
    SheetForm called(String other) {
        return new SheetForm(
                other,
                name,
                role,
                units,
                partsA,
                partsB,
                densityA,
                densityB,
                volumeSolids,
                spread,
                firstIn,
                broadcast,
                limits,
                clocks,
                kits,
                reseal,
                mixing,
                care,
                note,
                kind,
                numbers,
                traits,
                handling,
                marks);
    }

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

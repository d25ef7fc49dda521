package openslab.core.buy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import openslab.core.product.Packed;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * Everything that is bought together.
 *
 * @param suppliers each with its own list, those nobody noted last
 * @param cost of all that has a price
 * @param currency which money it is reckoned in, by its code of ISO 4217; empty where nobody said
 * @param unpriced how many lines have none
 */
public record Bill(
        List<Buying> materials,
        List<Sundry> sundries,
        List<SupplierList> suppliers,
        Figure cost,
        String currency,
        int unpriced) {
    /** @param supplier empty where nobody noted one; {@code cents} of all its lines, in hundredths of the shop's money */
    public record SupplierList(String supplier, List<OrderLine> lines, long cents) {}

    /**
     * One line of an order.
     *
     * @param what a sheet's slug, or the id of something small
     * @param title as it is ordered; {@code colour} empty where it has none
     * @param size of a pack; nothing where it is bought one by one
     * @param eachCents 0 where nobody noted a price
     */
    public record OrderLine(
            String what,
            String title,
            String colour,
            String pack,
            Packed size,
            int count,
            long eachCents,
            long cents) {}

    public static Bill of(List<Buying> materials, List<Sundry> sundries, String currency, UnitSystem system) {
        Map<String, List<OrderLine>> lists =
                new TreeMap<>(Comparator.comparing((String s) -> s.isEmpty()).thenComparing(s -> s));
        for (Buying b : materials) {
            for (Buying.PackLine l : b.lines()) {
                lists.computeIfAbsent(l.supplier(), s -> new ArrayList<>())
                        .add(new OrderLine(
                                b.slug(),
                                b.sheet(),
                                b.colour(),
                                l.pack(),
                                l.size(),
                                l.count(),
                                l.eachCents(),
                                l.cents()));
            }
        }
        for (Sundry s : sundries) {
            lists.computeIfAbsent(s.supplier(), x -> new ArrayList<>())
                    .add(new OrderLine(
                            s.id(),
                            s.label(),
                            "",
                            PriceBook.EACH,
                            Packed.NOTHING,
                            (int) Math.round(s.count().value()),
                            s.eachCents(),
                            s.cents()));
        }
        List<SupplierList> suppliers = lists.entrySet().stream()
                .map(e -> new SupplierList(
                        e.getKey(),
                        List.copyOf(e.getValue()),
                        e.getValue().stream().mapToLong(OrderLine::cents).sum()))
                .toList();
        int unpriced = (int) lists.values().stream()
                .flatMap(List::stream)
                .filter(l -> l.eachCents() == 0)
                .count();
        return new Bill(
                List.copyOf(materials), List.copyOf(sundries), suppliers, cost(suppliers, system), currency, unpriced);
    }

    private static Figure cost(List<SupplierList> suppliers, UnitSystem system) {
        var w = new Worksheet(system);
        var sum = new StringBuilder();
        double cost = 0;
        for (int i = 1; i <= suppliers.size(); i++) {
            SupplierList s = suppliers.get(i - 1);
            cost += w.given(
                    "s" + i,
                    s.supplier().isEmpty() ? "no supplier noted" : s.supplier(),
                    s.cents() / 100.0,
                    Unit.MONEY);
            sum.append(i == 1 ? "" : "+").append("s").append(i);
        }
        return w.figure(
                "all of it",
                "C",
                sum.isEmpty() ? "0" : sum.toString(),
                cost,
                Unit.MONEY,
                Source.arithmetic("every list added up; what has no price is not in it"));
    }
}

package openslab.core.buy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import openslab.core.product.Kit;
import openslab.core.product.Packed;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** Whole packs at least cost, against trying everything. */
public class KitCoverTest {
    /** A way to buy. */
    private record Way(long cents, double size, int number) {
        boolean beats(Way other) {
            return cents != other.cents
                    ? cents < other.cents
                    : Math.abs(size - other.size) > 1e-9 ? size < other.size : number < other.number;
        }
    }

    /**
     * Ten thousand bills: one to five layers in one to three zones, some of it on the site, some in the store, one to four packs. The
     * oracle tries every count of every pack that could still help; of ways at one price it takes the least left over.
     */
    @Test
    public void ten_thousand_bills_agree_with_trying_everything() {
        var random = new Random(20261129);
        int ties = 0;
        for (int round = 0; round < 10_000; round++) {
            var kits = new ArrayList<Kit>();
            for (int k = 0; k <= random.nextInt(4); k++) {
                kits.add(new Kit("k" + k, new Packed((1 + random.nextInt(40)) / 4.0), 50L + random.nextInt(60) * 50L));
            }
            var uses = new ArrayList<Buying.Taking>();
            double need = 0;
            for (int u = 0; u <= random.nextInt(5); u++) {
                double litres = (1 + random.nextInt(24)) / 4.0;
                uses.add(Buys.use("zone " + u % 3, "layer " + u, litres));
                need += litres;
            }
            double site = random.nextInt(3) == 0 ? random.nextInt(20) / 4.0 : 0;
            double left = random.nextInt(3) == 0 ? (1 + random.nextInt(10)) / 4.0 : 0;
            var hand = new Buying.OnHand(
                    new Packed(site), new Packed(0), left == 0 ? List.of() : List.of(Buys.left("a", left)));
            double open = Math.max(0, need - site - left);

            Buying buying = Buying.of(Buys.sold(kits), "", uses, hand, PriceBook.EMPTY, Buys.WHEN, UnitSystem.METRIC);

            String told = buying + " for " + open + " of " + kits;
            assertEquals(buying.toBuy().value(), open, 1e-9, told);
            Way best = best(open, kits, 0);
            double size = buying.lines().stream()
                    .mapToDouble(l -> l.count() * l.size().amount())
                    .sum();
            assertEquals(
                    buying.lines().stream().mapToLong(Buying.PackLine::cents).sum(), best.cents(), told);
            assertEquals(size, best.size(), 1e-9, told);
            assertEquals(buying.cost().orElseThrow().value(), best.cents() / 100.0, 1e-9, told);
            ties += best.number() > 1 ? 1 : 0;
        }
        assertTrue(ties > 3000, "cases with more than one pack: " + ties);
    }

    private static Way best(double need, List<Kit> kits, int from) {
        if (need <= 1e-9) {
            return new Way(0, 0, 0);
        }
        if (from == kits.size()) {
            return new Way(Long.MAX_VALUE / 4, 1e9, 0);
        }
        Kit kit = kits.get(from);
        Way best = new Way(Long.MAX_VALUE / 2, 1e9, 0);
        for (int n = 0; n <= Math.ceil(need / kit.size().amount()); n++) {
            Way rest = best(need - n * kit.size().amount(), kits, from + 1);
            var way = new Way(
                    n * kit.priceCents() + rest.cents(), n * kit.size().amount() + rest.size(), n + rest.number());
            best = way.beats(best) ? way : best;
        }
        return best;
    }

    @Test
    public void a_kit_of_three_gallons_covers_three_gallons() {
        double gal = Unit.GALLON.toBase(1);
        var kits =
                List.of(new Kit("small", new Packed(1.5 * gal), 11_800), new Kit("large", new Packed(3 * gal), 21_400));
        assertEquals(
                KitCover.of(new Packed(3 * gal * (1 + 1e-12)), kits).kits(),
                List.of(new KitCover.Bought(kits.get(1), 1)));
        // 7.2 gal: 3 + 3 + 1.5 = 7.5 gal for 546.00 beats three large for 642.00
        assertEquals(KitCover.of(new Packed(7.2 * gal), kits).costCents(), 54_600);
    }

    @Test
    public void unpriced_kits_are_covered_with_the_least_left_over() {
        double gal = Unit.GALLON.toBase(1);
        var kits = Stream.of(0.125, 0.25, 0.5, 1.0, 3.0, 5.0)
                .map(g -> new Kit(g + " gal", new Packed(g * gal), 0))
                .toList();
        // 500 L are 132.086 gal, and the next that eighths of a gallon make is 132.125: 26 of 5, two of 1 and one of
        // 1/8 are
        // 29 kits, and 28 do not reach it to the eighth
        KitCover found = KitCover.of(new Packed(500), kits);
        assertEquals(Unit.GALLON.fromBase(found.size()), 132.125, 1e-9);
        assertEquals(found.kits().stream().mapToInt(KitCover.Bought::count).sum(), 29);
    }

    @Test
    public void litres_and_gallons_may_stand_on_one_sheet() {
        double gal = Unit.GALLON.toBase(1);
        var kits = List.of(
                new Kit("gallons", new Packed(3 * gal), 200),
                new Kit("litres", new Packed(10), 170),
                new Kit("odd", new Packed(7.777_777_7), 150));
        // 6 gal are 22.7125 L: two of 3 gal hold them to the last bit for 4.00; litres would take three for 5.10
        assertEquals(KitCover.of(new Packed(6 * gal), kits).kits(), List.of(new KitCover.Bought(kits.get(0), 2)));
        // 31 L: 3 gal, 10 L and 10 L are 31.356 L for 5.40, three of 3 gal 34.07 L for 6.00
        assertEquals(KitCover.of(new Packed(31), kits).costCents(), 540);
    }

    @Test
    public void a_town_s_worth_is_covered_too() {
        var kits = IntStream.rangeClosed(1, 50)
                .mapToObj(i -> new Kit("k" + i, new Packed(i * 0.1 + 0.05), 100 + i * 7L))
                .toList();
        KitCover found = KitCover.of(new Packed(999_999), kits);
        assertTrue(found.size() >= 999_999 - 0.001, found.toString());
        // k50 holds 5.05 for 4.50, the least by the litre: nothing is cheaper than all of it in k50
        assertTrue(found.costCents() <= Math.ceil(999_999 / 5.05) * 450, found.toString());
        assertTrue(found.costCents() >= Math.floor(999_999 / 5.05 * 450), found.toString());
    }
}

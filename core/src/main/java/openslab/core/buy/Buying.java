package openslab.core.buy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import openslab.core.mix.TakeOff;
import openslab.core.product.Kit;
import openslab.core.product.LayerRole;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What to buy of one sheet in one colour for everything that takes it: kits are opened for all of it, not for a zone, so three zones
 * of half a kit each buy two, never three.
 *
 * @param slug of the sheet; {@code role} what it is laid as
 * @param ofLiquid whether it comes by the litre, in cans; in bags and boxes where not
 * @param colour empty where nobody said, and where it has none
 * @param amount what packs have to hold, allowance included, over all {@code uses}: litres or kilograms, of a concentrate before its water
 * @param onSite what came and was not used yet; {@code ordered} what is on its way
 * @param store what is left over from other jobs and used first
 * @param passedOver what is left over and is not used, with the reason
 * @param toBuy what none of that covers
 * @param lines what is bought; none when the sheet lists no kit
 * @param cost of the lines, in the shop's money; empty where there are none
 * @param leftover what the kits hold beyond what is to be bought
 * @param unpriced whether nobody noted a price for it
 */
public record Buying(
        String slug,
        String sheet,
        LayerRole role,
        boolean ofLiquid,
        String colour,
        List<Use> uses,
        Figure amount,
        Figure onSite,
        Figure ordered,
        List<FromStore> store,
        List<PassedOver> passedOver,
        Figure toBuy,
        List<PackLine> lines,
        Optional<Figure> cost,
        Optional<Figure> leftover,
        boolean unpriced) {
    /** A layer of a zone, and what goes on the floor of it. @param job its name; empty where one job buys alone */
    public record Taking(String job, String zone, String name, String layer, String title, Figure laid) {
        private Use use(ProductSheet sheet, UnitSystem system) {
            return new Use(job, zone, name, layer, title, TakeOff.packed(laid, sheet.material(), system));
        }
    }

    /** The same. @param amount that its packs have to hold */
    public record Use(String job, String zone, String name, String layer, String title, Figure amount) {
        /** The zone, and the job it is of where there are several. */
        public String where() {
            return job.isEmpty() ? name : job + ", " + name;
        }
    }

    /** @param amount of it that is used */
    public record FromStore(String id, String lot, String from, Figure amount) {}

    /** @param why it is not used */
    public record PassedOver(String id, String lot, String from, String amount, String why) {}

    /** So many packs of one size. @param supplier empty where nobody noted one */
    public record PackLine(String pack, Packed size, String supplier, int count, long eachCents) {
        /** Hundredths of the shop's money. */
        public long cents() {
            return count * eachCents;
        }
    }

    /**
     * What is there already.
     *
     * @param onSite what came and was not used yet
     * @param ordered what is on its way
     */
    public record OnHand(Packed onSite, Packed ordered, List<Leftover> store) {
        public static final OnHand NOTHING = new OnHand(Packed.NOTHING, Packed.NOTHING, List.of());

        public OnHand {
            store = List.copyOf(store);
        }
    }

    /** When it is bought. @param today there, for dates on labels */
    public record When(Instant now, LocalDate today) {}

    public Buying {
        uses = List.copyOf(uses);
        store = List.copyOf(store);
        passedOver = List.copyOf(passedOver);
        lines = List.copyOf(lines);
    }

    /**
     * @param takings at least one, all of {@code sheet} in one colour
     * @param hand what is there already
     */
    public static Buying of(
            ProductSheet sheet,
            String colour,
            List<Taking> takings,
            OnHand hand,
            PriceBook prices,
            When when,
            UnitSystem system) {
        Require.that(!takings.isEmpty(), "there must be something that takes the sheet, got %s", takings);
        return new Reckoning(sheet, colour, hand, prices, when, system)
                .of(takings.stream().map(t -> t.use(sheet, system)).toList());
    }

    private record Reckoning(
            ProductSheet sheet, String colour, OnHand hand, PriceBook prices, When when, UnitSystem system) {
        private static final Source WHOLE =
                Source.sheet("sizes and prices; the cheapest way to every amount up to the need is kept");

        Buying of(List<Use> uses) {
            Figure amount = sum(uses);
            double open = Math.max(
                    0, amount.value() - hand.onSite().amount() - hand.ordered().amount());
            var taken = new ArrayList<FromStore>();
            var passed = new ArrayList<PassedOver>();
            for (Leftover left : hand.store().stream().sorted(Leftover.FIRST).toList()) {
                Optional<String> refusal = left.refusal(sheet, colour, when.now(), when.today());
                double some = Math.min(open, left.amount().amount());
                if (refusal.isPresent()) {
                    passed.add(new PassedOver(
                            left.id(),
                            left.lot(),
                            left.from(),
                            figure(left, left.amount().amount()).text(),
                            refusal.get()));
                } else if (some > KitCover.ROUNDING) {
                    taken.add(new FromStore(left.id(), left.lot(), left.from(), figure(left, some)));
                    open -= some;
                }
            }
            Figure toBuy = toBuy(amount, taken);
            List<PriceBook.Offer> offers = prices.offers(sheet.slug(), sheet.kits());
            Optional<KitCover> cover = offers.isEmpty()
                    ? Optional.empty()
                    : Optional.of(KitCover.of(
                            new Packed(toBuy.value()),
                            offers.stream().map(PriceBook.Offer::pack).toList()));
            return new Buying(
                    sheet.slug(),
                    sheet.name(),
                    sheet.role(),
                    sheet.liquid().isPresent(),
                    colour,
                    uses,
                    amount,
                    there("on the site", "came sound, less what was used", hand.onSite()),
                    there("ordered", "ordered, less what came", hand.ordered()),
                    taken,
                    passed,
                    toBuy,
                    cover.map(c -> lines(c, offers)).orElse(List.of()),
                    cover.map(this::cost),
                    cover.map(c -> over(c, toBuy)),
                    offers.stream().noneMatch(PriceBook.Offer::isPriced));
        }

        private Unit unit() {
            return sheet.liquid().isPresent() ? Unit.LITRE : Unit.KILOGRAM;
        }

        private Figure there(String label, String what, Packed there) {
            double amount = there.amount();
            var w = new Worksheet(system);
            w.given("t", what, amount, unit());
            return w.figure(
                    label, "S", "t", amount, unit(), Source.arithmetic("note by note, in the order of their days"));
        }

        private Figure figure(Leftover left, double amount) {
            var w = new Worksheet(system);
            w.given(
                    "V",
                    "left over" + (left.lot().isEmpty() ? "" : ", lot " + left.lot()),
                    left.amount().amount(),
                    unit());
            w.given("u", "of it used", amount, unit());
            return w.figure(
                    "from the store", "L", "min(V,u)", amount, unit(), Source.ours("what goes off first goes first"));
        }

        private Figure sum(List<Use> uses) {
            if (uses.size() == 1) {
                return uses.get(0).amount();
            }
            var w = new Worksheet(system);
            double sum = 0;
            for (int i = 1; i <= uses.size(); i++) {
                Use use = uses.get(i - 1);
                sum += w.given(
                        "V" + i,
                        use.where() + ", " + use.title(),
                        use.amount().value(),
                        use.amount().unit());
            }
            return w.figure(
                    "all zones together",
                    "V",
                    added("V", uses.size()),
                    sum,
                    unit(),
                    Source.arithmetic("what each layer takes, one bill of kits for all"));
        }

        private Figure toBuy(Figure amount, List<FromStore> taken) {
            if (hand.onSite().isNothing() && hand.ordered().isNothing() && taken.isEmpty()) {
                return amount;
            }
            var w = new Worksheet(system);
            double need = w.from("V", amount);
            double there =
                    w.given("S", "on the site, not used yet", hand.onSite().amount(), unit())
                            + w.given("O", "ordered, on its way", hand.ordered().amount(), unit());
            var formula = new StringBuilder("V-S-O");
            for (int i = 1; i <= taken.size(); i++) {
                FromStore t = taken.get(i - 1);
                String from = t.from().isEmpty() ? "the store" : t.from();
                there += w.given("L" + i, "left over, " + from, t.amount().value(), unit());
                formula.append("-L").append(i);
            }
            return w.figure(
                    "to buy",
                    "B",
                    "max(0," + formula + ")",
                    Math.max(0, need - there),
                    unit(),
                    Source.arithmetic("what is needed less what is there"));
        }

        private List<PackLine> lines(KitCover cover, List<PriceBook.Offer> offers) {
            return cover.kits().stream()
                    .map(b -> new PackLine(
                            b.kit().label(),
                            b.kit().size(),
                            offers.stream()
                                    .filter(o -> o.pack().equals(b.kit()))
                                    .findFirst()
                                    .orElseThrow()
                                    .supplier(),
                            b.count(),
                            b.kit().priceCents()))
                    .toList();
        }

        private Figure over(KitCover cover, Figure toBuy) {
            var w = new Worksheet(system);
            var held = new StringBuilder();
            for (int i = 1; i <= cover.kits().size(); i++) {
                KitCover.Bought b = cover.kits().get(i - 1);
                w.given("n" + i, "how many, " + b.kit().label(), b.count(), Unit.ONE);
                w.given("c" + i, "holds, " + b.kit().label(), b.kit().size().amount(), unit());
                held.append(i == 1 ? "" : "+").append("n" + i + "·c" + i);
            }
            w.let("K", "all kits bought", held.isEmpty() ? "0" : held.toString(), cover.size(), unit());
            w.from("B", toBuy);
            return w.figure(
                    "left over",
                    "r",
                    "K-B",
                    cover.size() - toBuy.value(),
                    unit(),
                    Source.arithmetic("cheapest whole kits that hold enough, sizes as on the sheet"));
        }

        private Figure cost(KitCover cover) {
            var w = new Worksheet(system);
            double cost = 0;
            for (int i = 1; i <= cover.kits().size(); i++) {
                Kit kit = cover.kits().get(i - 1).kit();
                double n = w.given(
                        "n" + i,
                        "how many, " + kit.label(),
                        cover.kits().get(i - 1).count(),
                        Unit.ONE);
                cost += n * w.given("p" + i, "price, " + kit.label(), kit.priceCents() / 100.0, Unit.MONEY);
            }
            String sum = cover.kits().isEmpty()
                    ? "0"
                    : IntStream.rangeClosed(1, cover.kits().size())
                            .mapToObj(i -> "n" + i + "·p" + i)
                            .collect(Collectors.joining("+"));
            return w.figure("cheapest whole kits that hold enough", "C", sum, cost, Unit.MONEY, WHOLE);
        }

        private static String added(String symbol, int count) {
            return IntStream.rangeClosed(1, count).mapToObj(i -> symbol + i).collect(Collectors.joining("+"));
        }
    }
}

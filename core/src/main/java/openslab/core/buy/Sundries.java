package openslab.core.buy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import openslab.core.course.work.Item;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Tape, film, covers by nap, pails, protection by people: counted for all zones together, in whole ones. */
public final class Sundries {
    /**
     * How one of them is counted.
     *
     * @param one what a single one does, in {@code unit}
     * @param shared whether one zone uses what another used: then the zone that asks most decides
     */
    private record Rule(
            String id,
            String label,
            Unit unit,
            double one,
            boolean shared,
            Source source,
            ToDoubleFunction<SiteNeeds> asked) {}

    private static final Source ROLLS =
            Source.commonPractice("a roll of tape of 55 m (60 yd), and a tenth for corners and overlaps");
    private static final Source FILM = Source.ours("a roll of 33 m²: 55 m, 60 cm wide");
    private static final Source COAT = Source.ours("a clean one for each coat");
    private static final Source PEOPLE = Source.ours("one for each pair of hands, taken from zone to zone");
    private static final Source GLOVES = Source.ours("a fresh pair for each pair of hands and coat");
    private static final Source PAILS = Source.ours("a clean one for each batch: what is left in it sets");
    private static final Source COVERS =
            Source.ours("rates to begin with, a step at a time; the nap as the sheet has it");
    private static final Source WORN = Source.ours("rates to begin with; what a crew uses up beats them");

    private static final double CORNERS = 1.1;

    /** A new one is a line here. */
    private static final List<Rule> RULES = List.of(
            new Rule("masking-tape", "Masking tape, rolls", Unit.METRE, 55, false, ROLLS, n -> n.maskM() * CORNERS),
            new Rule("masking-film", "Masking film, rolls", Unit.SQUARE_METRE, 33, false, FILM, SiteNeeds::filmM2),
            of("mini-roller", "Mini roller covers", COAT, n -> coats(n, Item.MINI_ROLLER)),
            of("tray-liner", "Tray liners", COAT, n -> coats(n, Item.TRAY)),
            of("mixing-pail", "Mixing pails", PAILS, n -> n.coats().stream()
                    .mapToInt(SiteNeeds.Coat::vessels)
                    .sum()),
            shared("measuring-pail", "Measuring pails", n -> n.coats().stream()
                    .filter(c -> c.parts() > 1)
                    .mapToInt(SiteNeeds.Coat::parts)
                    .max()
                    .orElse(0)),
            of("gloves", "Chemical-proof gloves, pairs", GLOVES, n -> n.coats().stream()
                    .filter(c -> c.items().contains(Item.GLOVES))
                    .mapToInt(SiteNeeds.Coat::hands)
                    .sum()),
            shared("goggles", "Goggles", n -> people(n, Item.GOGGLES)),
            shared("filters", "Respirator filters, pairs", n -> people(n, Item.RESPIRATOR)),
            shared("hearing", "Hearing protection", n -> people(n, Item.EARS)),
            shared("spikes", "Spiked shoes, pairs", n -> people(n, Item.SPIKES)),
            shared("socks", "Clean socks, pairs", n -> people(n, Item.SOCKS)));

    private static final Pattern NAP =
            Pattern.compile("(?<![\\d/.])((?:\\d+ )?\\d+/\\d+|\\d+(?:\\.\\d+)?)( to (?:\\d+ )?\\d+/\\d+)? in nap");

    private Sundries() {}

    /** Whether something small may be called so: one that is always counted, a roller cover, or what is used up. */
    public static boolean isId(String id) {
        return RULES.stream().anyMatch(r -> r.id().equals(id)) || id.matches("(roller|worn)-[a-z0-9-]{1,60}");
    }

    /** What may be priced beside the materials, by id: what is always counted, and what {@code more} somebody priced before. */
    public static Map<String, String> named(Set<String> more) {
        Map<String, String> all = new LinkedHashMap<>();
        RULES.forEach(r -> all.put(r.id(), r.label()));
        more.stream()
                .filter(id -> isId(id) && !all.containsKey(id))
                .sorted()
                .forEach(id -> all.put(id, id.replace('-', ' ')));
        return all;
    }

    private static Rule of(String id, String label, Source source, ToDoubleFunction<SiteNeeds> asked) {
        return new Rule(id, label, Unit.ONE, 1, false, source, asked);
    }

    private static Rule shared(String id, String label, ToDoubleFunction<SiteNeeds> asked) {
        return new Rule(id, label, Unit.ONE, 1, true, PEOPLE, asked);
    }

    private static long coats(SiteNeeds n, Item item) {
        return n.coats().stream().filter(c -> c.items().contains(item)).count();
    }

    private static int people(SiteNeeds n, Item item) {
        return n.coats().stream()
                .filter(c -> c.items().contains(item))
                .mapToInt(SiteNeeds.Coat::hands)
                .max()
                .orElse(0);
    }

    /**
     * Those of which at least one is still needed; what preparation takes last.
     *
     * @param open what is still to be done; {@code whole} the same zones with what is done
     * @param ordered how many of each went out for all of it, and were not taken back
     */
    public static List<Sundry> of(
            List<SiteNeeds> open,
            List<SiteNeeds> whole,
            Map<String, Integer> ordered,
            PriceBook prices,
            UnitSystem system) {
        Stream<Rule> fixed = RULES.stream();
        Stream<Rule> covers = open.stream()
                .flatMap(z -> z.coats().stream())
                .filter(c -> c.sleeves() > 0)
                .map(c -> nap(c.tool()))
                .distinct()
                .sorted()
                .map(nap -> of(
                        "roller-"
                                + (nap.isEmpty() ? "any" : nap.replace(' ', '-').replace('/', '-')),
                        "Roller covers, " + (nap.isEmpty() ? "nap as the sheet has it" : nap + " in nap"),
                        COVERS,
                        n -> n.coats().stream()
                                .filter(c -> nap(c.tool()).equals(nap))
                                .mapToDouble(SiteNeeds.Coat::sleeves)
                                .sum()));
        var labels = new LinkedHashMap<String, Rule>();
        for (SiteNeeds zone : open) {
            for (String label : zone.worn().keySet().stream().sorted().toList()) {
                labels.putIfAbsent(
                        label, of(Supply.id(label), label, WORN, n -> n.worn().getOrDefault(label, 0.0)));
            }
        }
        var supplies = new LinkedHashMap<String, Rule>();
        for (SiteNeeds zone : open) {
            for (Supply s : zone.supplies()) {
                supplies.putIfAbsent(
                        s.id(),
                        new Rule(s.id(), s.label(), s.unit(), s.pack(), false, s.source(), n -> n.supplies().stream()
                                .filter(other -> other.id().equals(s.id()))
                                .mapToDouble(Supply::amount)
                                .sum()));
            }
        }
        var counting = new Counting(open, whole, ordered, prices, system);
        return Stream.of(fixed, covers, labels.values().stream(), supplies.values().stream())
                .flatMap(rules -> rules)
                .flatMap(rule -> counting.of(rule).stream())
                .toList();
    }

    /** "3/8" of "3/8 in nap roller, 9 in"; empty where it says none. */
    private static String nap(String tool) {
        Matcher m = NAP.matcher(tool);
        return m.find() ? m.group(1) + (m.group(2) == null ? "" : m.group(2)) : "";
    }

    private record Counting(
            List<SiteNeeds> open,
            List<SiteNeeds> whole,
            Map<String, Integer> ordered,
            PriceBook prices,
            UnitSystem system) {
        List<Sundry> of(Rule rule) {
            var w = new Worksheet(system);
            var terms = new ArrayList<String>();
            for (SiteNeeds zone : open) {
                double of = rule.asked().applyAsDouble(zone);
                if (of > 0) {
                    String symbol = "z" + (terms.size() + 1);
                    w.given(symbol, zone.zone(), of, rule.unit());
                    terms.add(symbol);
                }
            }
            if (terms.isEmpty()) {
                return List.of();
            }
            double asked = w.let(
                    "a",
                    rule.shared() ? "asked by the zone that asks most" : "asked by all zones",
                    rule.shared() && terms.size() > 1
                            ? "max(" + String.join(",", terms) + ")"
                            : String.join("+", terms),
                    asked(rule, open),
                    rule.unit());
            w.given("o", "one does", rule.one(), rule.unit());
            double count = whole(rule, asked);
            String formula = "ceil(a/o)";
            int out = ordered.getOrDefault(rule.id(), 0);
            if (out > 0) {
                // of those that went out some are used up: what is left of them is what was ordered beyond what is done
                double all = w.given("t", "asked for all of it, what is done too", asked(rule, whole), rule.unit());
                w.given("g", "went out on an order", out, Unit.ONE);
                formula = "min(ceil(a/o),max(0,ceil(t/o)-g))";
                count = Math.min(count, Math.max(0, whole(rule, all) - out));
            }
            if (count == 0) {
                return List.of();
            }
            Figure figure = w.figure(rule.label(), "n", formula, count, Unit.ONE, rule.source());
            PriceBook.Price price = prices.cheapest(rule.id(), PriceBook.EACH);
            return List.of(new Sundry(rule.id(), rule.label(), figure, price.supplier(), price.cents()));
        }

        private static double asked(Rule rule, List<SiteNeeds> zones) {
            DoubleStream each = zones.stream().mapToDouble(rule.asked());
            return rule.shared() ? each.max().orElse(0) : each.sum();
        }

        private static double whole(Rule rule, double asked) {
            return Math.ceil(asked / rule.one() - KitCover.ROUNDING);
        }
    }
}

package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.buy.Bill;
import openslab.core.buy.Buying;
import openslab.core.buy.Delivery;
import openslab.core.buy.DeliveryCheck;
import openslab.core.buy.Leftover;
import openslab.core.buy.Losses;
import openslab.core.buy.Placed;
import openslab.core.buy.PriceBook;
import openslab.core.buy.Sundries;
import openslab.core.buy.Sundry;
import openslab.core.course.work.Item;
import openslab.core.course.work.Paces;
import openslab.core.mix.Allowance;
import openslab.core.mix.TakeOff;
import openslab.core.mix.Used;
import openslab.core.product.LayerRole;
import openslab.core.product.Material;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What jobs that are bought for together still take: each sheet once in each colour, for all their zones, less what is there.
 *
 * @param losses what is reckoned on top, by what sort of layer it is
 * @param laid how many layers are on and left out
 * @param delivered what came, judged
 * @param rest what came and nothing that is left to lay takes
 * @param own what the crew brings, and no list has
 */
public record JobTakeOff(
        Bill bill, List<Loss> losses, int laid, DeliveryCheck delivered, List<Rest> rest, List<String> own) {
    /** What stays over on the site. @param lots as the labels have them; {@code amount} litres or kilograms */
    public record Rest(String slug, String sheet, String colour, String maker, String lots, Figure amount) {}

    /** @param share 0–1; {@code floors} on how many it was logged */
    public record Loss(LayerRole role, String label, Figure share, int floors) {}

    /** One of the jobs. @param name empty where it buys alone */
    public record Site(String name, List<ZoneFacts> zones) {}

    /** Something without a sheet that went out on an order. @param what its id */
    public record Ordered(Instant at, String what, int number) {}

    /**
     * What the shop knows beside its jobs.
     *
     * @param placed what was ordered for these jobs; {@code small} what of it has no sheet; {@code came} likewise; {@code away} what was taken from the site to the store
     */
    public record Shop(
            Losses losses,
            PriceBook prices,
            List<Leftover> store,
            Paces paces,
            List<Placed> placed,
            List<Ordered> small,
            List<Delivery> came,
            List<Placed> away) {
        /** Of a shop that noted nothing. */
        public static final Shop NEW = new Shop(
                Losses.NONE, PriceBook.EMPTY, List.of(), Paces.DEFAULT, List.of(), List.of(), List.of(), List.of());
    }

    public static JobTakeOff of(List<Site> sites, Shop shop, Buying.When when, UnitSystem system) {
        return new Reckoning(sites, shop, when, system).of();
    }

    /**
     * What a finished floor used beyond the bare arithmetic: a layer that is on and whose batches were all logged.
     *
     * @return by what sort of layer; those of one zone carry its id
     */
    public static Map<LayerRole, List<Losses.Logged>> logged(List<ZoneFacts> zones) {
        Map<LayerRole, List<Losses.Logged>> all = new HashMap<>();
        for (ZoneFacts zone : zones) {
            for (Cycle cycle : zone.cycles()) {
                ZoneFacts then = zone.through(cycle.number());
                for (LayerChoice layer : cycle.layers()) {
                    List<Used.Batch> batches = then.batches(layer);
                    if (!batches.isEmpty() && then.isOn(layer)) {
                        all.computeIfAbsent(layer.role(), r -> new ArrayList<>())
                                .add(logged(then, layer, batches));
                    }
                }
            }
        }
        return all;
    }

    private static Losses.Logged logged(ZoneFacts zone, LayerChoice layer, List<Used.Batch> batches) {
        Material material = zone.taken(layer).material();
        double used = 0;
        double bare = 0;
        for (Used.Batch batch : batches) {
            used += batch.laid().amount();
            bare += TakeOff.of(
                            batch.areaM2(),
                            material,
                            zone.bought(layer).losing(0).keeping(0),
                            UnitSystem.METRIC)
                    .value();
        }
        return new Losses.Logged(zone.id(), used, bare);
    }

    private record Of(String slug, String colour) {}

    /** A layer that is still to be laid, or finished. */
    private record Open(Site site, ZoneFacts zone, LayerChoice layer, int at) {}

    /** OURS: what stays in the corner of a pail, and more than a hundredth of a gallon is rounded by; litres or kilograms. */
    private static final double NOTHING = 0.05;

    private record Event(Instant at, double more) {}

    private record Reckoning(List<Site> sites, Shop shop, Buying.When when, UnitSystem system) {
        JobTakeOff of() {
            var open = new ArrayList<Open>();
            int laid = 0;
            for (Site site : sites) {
                for (ZoneFacts zone : site.zones()) {
                    List<LayerChoice> left = zone.open();
                    laid += zone.layers().size() - left.size();
                    left.forEach(l -> open.add(new Open(site, zone, l, open.size())));
                }
            }
            open.sort(Comparator.comparing((Open o) -> o.layer().plannedStart().orElse(Instant.MAX))
                    .thenComparingInt(Open::at));
            Map<Of, List<Open>> bySheet = open.stream()
                    .collect(Collectors.groupingBy(
                            o -> new Of(o.layer().sheet().slug(), o.zone().colour(o.layer())),
                            LinkedHashMap::new,
                            Collectors.toList()));
            // what came in a colour that nobody wants any more has a home of its own
            Set<Of> all = new LinkedHashSet<>(bySheet.keySet());
            shop.came().stream()
                    .filter(d -> home(d.slug(), d.colour(), all).isEmpty())
                    .forEach(d -> all.add(new Of(d.slug(), d.colour())));
            List<Buying> materials = bySheet.entrySet().stream()
                    .map(e -> buying(e.getKey(), e.getValue(), all))
                    .toList();
            Bill bill = Bill.of(materials, small(), shop.prices().currency(), system);
            return new JobTakeOff(
                    bill,
                    losses(open),
                    laid,
                    DeliveryCheck.of(shop.came(), materials, when.today(), system),
                    rest(materials, all),
                    consumables()
                            .flatMap(Consumables::own)
                            .distinct()
                            .sorted()
                            .map(Item::label)
                            .toList());
        }

        private Stream<ZoneFacts> zones() {
            return sites.stream().flatMap(s -> s.zones().stream());
        }

        private Stream<Consumables> consumables() {
            return zones().map(z -> new Consumables(z, system));
        }

        /** Of every cycle that began no earlier: a floor may be in its second while its neighbour is in its first. */
        private Stream<Consumables> since(Instant began) {
            return zones().flatMap(z -> z.cycles().stream()
                    .filter(c -> !c.began().isBefore(began))
                    .map(c -> new Consumables(c.number() == z.cycle().number() ? z : z.through(c.number()), system)));
        }

        /** What went out before any of these floors was in its cycle was used up; what went out since is held against all since. */
        private List<Sundry> small() {
            Instant began = zones().map(z -> z.cycle().began())
                    .min(Comparator.naturalOrder())
                    .orElse(Instant.MIN);
            Map<String, Integer> ordered = shop.small().stream()
                    .filter(o -> !o.at().isBefore(began))
                    .collect(Collectors.toMap(Ordered::what, Ordered::number, Integer::sum));
            return Sundries.of(
                    consumables().map(Consumables::open).toList(),
                    since(began).map(Consumables::whole).toList(),
                    ordered,
                    shop.prices(),
                    system);
        }

        private List<Loss> losses(List<Open> open) {
            Map<LayerRole, Open> roles = new TreeMap<>();
            open.forEach(o -> roles.putIfAbsent(o.layer().role(), o));
            return roles.entrySet().stream()
                    .map(e -> new Loss(
                            e.getKey(),
                            e.getKey().label(),
                            loss(e.getValue()),
                            shop.losses().floors(e.getKey())))
                    .toList();
        }

        private Figure loss(Open o) {
            return shop.losses()
                    .of(o.layer().role(), o.zone().crew().allowance().loss(), system);
        }

        private Buying buying(Of of, List<Open> open, Set<Of> all) {
            ProductSheet sheet = open.get(0).layer().sheet();
            List<Buying.Taking> takings = open.stream().map(this::taking).toList();
            var hand = new Buying.OnHand(
                    onSite(of, all),
                    ordered(of, all),
                    shop.store().stream()
                            .filter(l -> l.slug().equals(of.slug()))
                            // one that somebody else wants is not passed over here, and not used twice
                            .filter(l -> !of.colour().isEmpty() || isOf(of, l.slug(), l.colour(), all))
                            .toList());
            return Buying.of(sheet, of.colour(), takings, hand, shop.prices(), when, system);
        }

        private Buying.Taking taking(Open o) {
            double areaM2 = o.zone().area(system).base();
            Material material = o.zone().taken(o.layer()).material();
            Allowance bought = o.zone().bought(o.layer()).losing(loss(o).value());
            Figure whole = TakeOff.of(areaM2, material, bought, system);
            Optional<Used> used = o.zone().used(o.layer(), bought.keeping(0), whole, system);
            return new Buying.Taking(
                    o.site().name(),
                    o.zone().id(),
                    o.zone().name(),
                    o.layer().id(),
                    o.layer().title(),
                    used.map(u -> left(u, whole, TakeOff.of(areaM2, material, bought.keeping(0), system)))
                            .orElse(whole));
        }

        /** What the bare floor takes, and what is held back of all of it. @param mixed all of it, nothing held back */
        private Figure left(Used used, Figure whole, Figure mixed) {
            var w = new Worksheet(system);
            w.from("R", used.rest());
            w.given("V", "planned, what is held back included", whole.value(), whole.unit());
            w.given("M", "planned to be mixed", mixed.value(), mixed.unit());
            return w.figure(
                    "still to be laid",
                    "T",
                    "R+V-M",
                    used.rest().value() + whole.value() - mixed.value(),
                    whole.unit(),
                    Source.arithmetic("what the bare floor takes, and what is held back for touching up"));
        }

        private List<Rest> rest(List<Buying> materials, Set<Of> all) {
            Map<Of, List<Delivery>> came = shop.came().stream()
                    .filter(d -> d.isSound(when.today()))
                    .collect(Collectors.groupingBy(
                            d -> home(d.slug(), d.colour(), all).orElseThrow(),
                            LinkedHashMap::new,
                            Collectors.toList()));
            var rest = new ArrayList<Rest>();
            came.forEach((of, deliveries) -> {
                double needed = materials.stream()
                        .filter(b -> b.slug().equals(of.slug()) && b.colour().equals(of.colour()))
                        .mapToDouble(b -> b.amount().value())
                        .sum();
                double site = onSite(of, all).amount();
                if (site > needed + NOTHING) {
                    rest.add(rest(deliveries, needed, site));
                }
            });
            return List.copyOf(rest);
        }

        private Rest rest(List<Delivery> came, double needed, double site) {
            Delivery first = came.get(0);
            Unit unit = first.ofLiquid() ? Unit.LITRE : Unit.KILOGRAM;
            var w = new Worksheet(system);
            w.given("S", "on the site, not used yet", site, unit);
            w.given("V", "still to be laid", needed, unit);
            return new Rest(
                    first.slug(),
                    first.sheet(),
                    first.colour(),
                    first.maker(),
                    came.stream()
                            .map(Delivery::lot)
                            .filter(l -> !l.isEmpty())
                            .distinct()
                            .collect(Collectors.joining(", ")),
                    w.figure(
                            "over",
                            "R",
                            "S-V",
                            site - needed,
                            unit,
                            Source.arithmetic("what came sound, less what was used and what is still to be laid")));
        }

        /** What came sound and was not used since; a floor that took more than came had it from elsewhere. */
        private Packed onSite(Of of, Set<Of> all) {
            var events = new ArrayList<Event>();
            shop.came().stream()
                    .filter(d -> isOf(of, d.slug(), d.colour(), all) && d.isSound(when.today()))
                    .forEach(d -> events.add(new Event(d.at(), d.amount().amount())));
            shop.away().stream()
                    .filter(a -> isOf(of, a.slug(), a.colour(), all))
                    .forEach(a -> events.add(new Event(a.at(), -a.amount().amount())));
            for (Site site : sites) {
                for (ZoneFacts zone : site.zones()) {
                    events.addAll(used(of, zone, all));
                }
            }
            return balance(events);
        }

        private List<Event> used(Of of, ZoneFacts zone, Set<Of> all) {
            return zone.usedEver().stream()
                    .filter(u -> isOf(of, u.layer().sheet().slug(), u.colour(), all))
                    .map(u -> new Event(u.entry().at(), -u.packed().amount()))
                    .toList();
        }

        private Packed ordered(Of of, Set<Of> all) {
            Stream<Event> placed = shop.placed().stream()
                    .filter(p -> isOf(of, p.slug(), p.colour(), all))
                    .map(p -> new Event(p.at(), p.amount().amount()));
            Stream<Event> came = shop.came().stream()
                    .filter(d -> isOf(of, d.slug(), d.ordered().isEmpty() ? d.colour() : d.ordered(), all))
                    .map(d -> new Event(d.at(), -d.amount().amount()));
            return balance(Stream.concat(placed, came).toList());
        }

        private static Packed balance(List<Event> events) {
            double there = 0;
            for (Event e :
                    events.stream().sorted(Comparator.comparing(Event::at)).toList()) {
                there = Math.max(0, there + e.more());
            }
            return new Packed(there);
        }

        /**
         * Everything of one sheet has one home, so that no can is counted twice: the colour that it is of, else where nobody named one, else
         * what has no colour itself goes where the sheet is needed first.
         */
        private static boolean isOf(Of of, String slug, String colour, Set<Of> all) {
            return home(slug, colour, all).filter(of::equals).isPresent();
        }

        private static Optional<Of> home(String slug, String colour, Set<Of> all) {
            List<Of> ofSheet = all.stream().filter(o -> o.slug().equals(slug)).toList();
            return ofSheet.stream()
                    .filter(o -> o.colour().equalsIgnoreCase(colour))
                    .findFirst()
                    .or(() -> ofSheet.stream().filter(o -> o.colour().isEmpty()).findFirst())
                    .or(() -> colour.isEmpty() ? ofSheet.stream().findFirst() : Optional.empty());
        }
    }
}

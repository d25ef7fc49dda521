package openslab.core.buy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;

/**
 * Whether what came is right, and how far it goes.
 *
 * @param came each with what speaks against it, newest first
 * @param together what speaks against them when they meet in one floor
 * @param shortages of what came, which layer is the first that it does not reach
 */
public record DeliveryCheck(List<JudgedDelivery> came, List<Finding> together, List<Shortage> shortages) {
    /** @param sound whether any of it may go on the floor */
    public record JudgedDelivery(Delivery delivery, List<Finding> findings, boolean sound) {}

    /**
     * Less came than is needed.
     *
     * @param breaks the layer that it does not reach, with its zone
     * @param missing to lay that and all after it; {@code there} what is on the site or in the store
     * @param coming whether what is on its way makes it up
     */
    public record Shortage(
            String slug, String sheet, String colour, String breaks, Figure missing, Figure there, boolean coming) {}

    private static final Source EYES = Source.commonPractice("looked at and stirred before it is signed for");

    private static final Source LABEL = Source.sheet("the date on its label");

    private static final Source COLOUR = Source.commonPractice("the same name of another maker is another colour");
    private static final Source BOX = Source.commonPractice("all units of one colour are poured together");

    public DeliveryCheck {
        came = List.copyOf(came);
        together = List.copyOf(together);
        shortages = List.copyOf(shortages);
    }

    /**
     * @param came in the order in which it came
     * @param needed what is still to be laid, in the order in which it is laid, by sheet and colour
     */
    public static DeliveryCheck of(List<Delivery> came, List<Buying> needed, LocalDate today, UnitSystem system) {
        var judged = new ArrayList<JudgedDelivery>();
        for (Delivery d : came) {
            judged.add(0, new JudgedDelivery(d, against(d, today), d.isSound(today)));
        }
        return new DeliveryCheck(
                judged,
                meeting(came, today),
                needed.stream()
                        .filter(b -> came.stream().anyMatch(d -> d.slug().equals(b.slug())))
                        .flatMap(b -> shortage(b, system).stream())
                        .toList());
    }

    /** What speaks against what came where it meets in one coat. @param colour empty where any will do */
    public static List<Finding> ofLayer(List<Delivery> came, String slug, String colour, LocalDate today) {
        return meeting(its(came, slug, colour), today);
    }

    /** What goes back meets nothing. */
    private static List<Finding> meeting(List<Delivery> came, LocalDate today) {
        List<Delivery> sound = came.stream().filter(d -> d.isSound(today)).toList();
        var together = new ArrayList<>(makers(sound));
        together.addAll(unboxed(sound));
        return together;
    }

    /**
     * The lot of what goes into the next batch, as one writes it on a pail: where but one came, or all that came of one maker were
     * poured together; empty where nobody can tell which it will be of.
     *
     * @param colour empty where any will do
     */
    public static String lot(List<Delivery> came, String slug, String colour, LocalDate today) {
        List<Delivery> sound =
                its(came, slug, colour).stream().filter(d -> d.isSound(today)).toList();
        List<String> lots = sound.stream()
                .map(Delivery::lot)
                .filter(l -> !l.isEmpty())
                .distinct()
                .toList();
        boolean oneMaker = sound.stream().map(Delivery::maker).distinct().count() == 1;
        boolean known = lots.size() == 1 || oneMaker && sound.stream().allMatch(Delivery::boxed);
        return known ? String.join(" + ", lots) : "";
    }

    private static List<Delivery> its(List<Delivery> came, String slug, String colour) {
        return came.stream()
                .filter(d -> d.slug().equals(slug))
                .filter(d ->
                        colour.isEmpty() || d.colour().isEmpty() || d.colour().equalsIgnoreCase(colour))
                .toList();
    }

    private static List<Finding> against(Delivery d, LocalDate today) {
        var all = new ArrayList<Finding>();
        if (d.faults().contains(Delivery.Fault.LUMPS)) {
            all.add(Finding.of("delivery.lumps", d.lot())
                    .measured(Delivery.Fault.LUMPS.label())
                    .needed("smooth, no lumps", EYES)
                    .stop(
                            "lumps",
                            "Hard lumps are old or wet stock: it no longer sets as its sheet says.",
                            "Send it back."));
        }
        if (d.faults().contains(Delivery.Fault.DAMAGED)) {
            all.add(Finding.of("delivery.damaged", d.lot())
                    .measured(Delivery.Fault.DAMAGED.label())
                    .needed("whole, closed, kept from frost", EYES)
                    .stop(
                            "damaged",
                            "What leaked no longer has its ratio, and what froze may have parted.",
                            "Send it back."));
        }
        if (d.faults().contains(Delivery.Fault.MISSING)) {
            all.add(
                    Finding.of("delivery.missing", d.lot())
                            .measured(Delivery.Fault.MISSING.label())
                            .needed("all that its box lists", EYES)
                            .stop(
                                    "not all in the box",
                                    "What is found missing after the first stir is fetched while the bucket heats up.",
                                    "Have what is missing brought, or the box changed, before the day of the coat; then note it again."));
        }
        if (d.faults().contains(Delivery.Fault.WRONG_TINT) || d.isOdd()) {
            String seen = d.isOdd() ? d.colour() : Delivery.Fault.WRONG_TINT.label();
            all.add(Finding.of("delivery.tint", d.lot())
                    .measured(seen)
                    .needed(d.ordered().isEmpty() ? "the tint that was ordered" : d.ordered(), EYES)
                    .stop(
                            "wrong tint",
                            "On the floor it would be another colour than the one agreed.",
                            "Send it back, or let the client agree to it in writing and order all of it anew."));
        }
        d.bestBefore()
                .filter(date -> date.isBefore(today))
                .ifPresent(date -> all.add(Finding.of("delivery.date", d.lot())
                        .measured(date.toString())
                        .needed("no earlier than " + today, LABEL)
                        .stop("past its date", "Past its date its maker answers for nothing.", "Send it back.")));
        if (d.lot().isEmpty()) {
            all.add(Finding.of("delivery.lot")
                    .measured("no lot noted")
                    .needed("the lot of every label", EYES)
                    .watch(
                            "no lot",
                            "If the floor fails, nobody can tell which stock it was.",
                            "Read it off the label and note what came again."));
        }
        return List.copyOf(all);
    }

    private static List<Finding> makers(List<Delivery> came) {
        // as it was first written, whatever its letters
        Map<String, Set<String>> makers = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (Delivery d : came) {
            if (!d.colour().isEmpty() && !d.maker().isEmpty()) {
                makers.computeIfAbsent(d.colour(), c -> new TreeSet<>(String.CASE_INSENSITIVE_ORDER))
                        .add(d.maker());
            }
        }
        return makers.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .map(e -> Finding.of("delivery.makers")
                        .measured(e.getKey() + " of " + String.join(" and ", e.getValue()))
                        .needed("one maker for one colour", COLOUR)
                        .hold(
                                "one colour, two makers",
                                "Two makers call different colours by one name.",
                                "Try both on one board beside one another, or use one maker's only."))
                .toList();
    }

    /** Liquids of one maker: powders are mixed bag by bag, and what two makers call by one name is never poured together. */
    private static List<Finding> unboxed(List<Delivery> came) {
        record Of(String slug, String colour, String maker) {}
        Map<Of, List<Delivery>> byColour = came.stream()
                .filter(d -> d.ofLiquid() && !d.colour().isEmpty())
                .collect(Collectors.groupingBy(
                        d -> new Of(
                                d.slug(),
                                d.colour().toLowerCase(Locale.ROOT),
                                d.maker().toLowerCase(Locale.ROOT)),
                        LinkedHashMap::new,
                        Collectors.toList()));
        var all = new ArrayList<Finding>();
        for (List<Delivery> of : byColour.values()) {
            int units = of.stream().mapToInt(Delivery::count).sum();
            if (units > 1 && !of.stream().allMatch(Delivery::boxed)) {
                String lots = of.stream()
                        .map(Delivery::lot)
                        .filter(l -> !l.isEmpty())
                        .distinct()
                        .collect(Collectors.joining(" and "));
                all.add(Finding.of("delivery.boxed")
                        .measured(units + " units of " + of.get(0).colour()
                                + by(of.get(0).maker()) + (lots.isEmpty() ? "" : ", lot " + lots))
                        .needed("poured together before the first is used", BOX)
                        .watch(
                                "not boxed yet",
                                "No two cans are quite of one colour, least of all of two lots.",
                                "Pour all of it together, stir, fill it back, and say so under Buy, What came."));
            }
        }
        return all;
    }

    private static String by(String maker) {
        return maker.isEmpty() ? "" : " by " + maker;
    }

    private static Optional<Shortage> shortage(Buying b, UnitSystem system) {
        double there = b.onSite().value()
                + b.store().stream().mapToDouble(t -> t.amount().value()).sum();
        double reached = 0;
        for (Buying.Use use : b.uses()) {
            reached += use.amount().value();
            if (reached > there + KitCover.ROUNDING * Math.max(1, there)) {
                Unit unit = b.amount().unit();
                var w = new Worksheet(system);
                w.from("V", b.amount());
                w.given("S", "on the site or in the store", there, unit);
                Figure missing = w.figure(
                        "missing",
                        "M",
                        "V-S",
                        b.amount().value() - there,
                        unit,
                        Source.arithmetic("layers in the order in which they are laid"));
                var t = new Worksheet(system);
                t.from("S", b.onSite());
                t.given("L", "in the store", there - b.onSite().value(), unit);
                Figure has = t.figure(
                        "there", "T", "S+L", there, unit, Source.arithmetic("what came sound, less what was used"));
                return Optional.of(new Shortage(
                        b.slug(),
                        b.sheet(),
                        b.colour(),
                        use.title() + " in " + use.where(),
                        missing,
                        has,
                        b.ordered().value() >= missing.value() - KitCover.ROUNDING));
            }
        }
        return Optional.empty();
    }
}

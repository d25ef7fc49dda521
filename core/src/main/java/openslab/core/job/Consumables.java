package openslab.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.buy.SiteNeeds;
import openslab.core.buy.Supply;
import openslab.core.course.Course;
import openslab.core.course.Step;
import openslab.core.course.work.Item;
import openslab.core.course.work.Work;
import openslab.core.floor.plan.Room;
import openslab.core.mix.BatchPlan;
import openslab.core.mix.TakeOff;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.Works;
import openslab.core.prep.wash.Chemical;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.LayWorks;

/** What a zone asks for beside its materials: what the steps of its preparation and of its layers use up, and what the crew brings. */
record Consumables(ZoneFacts zone, UnitSystem system) {
    /** What is counted otherwise: covers by their nap, tape and film by what is masked. */
    private static final Set<String> COUNTED = Set.of(LayWorks.SLEEVE, Works.MASKING_TAPE, Works.MASKING_FILM);

    /** For all that is still to be done. */
    SiteNeeds open() {
        return needs(isPrepared() ? List.of() : plan().steps(), !isBegun(), zone.open());
    }

    /** For the whole of this cycle, what is done too. */
    SiteNeeds whole() {
        return needs(plan().steps(), true, zone.layers());
    }

    /** What the crew brings for all that is still to be done: no bill lists it. */
    Stream<Item> own() {
        return Stream.concat(isPrepared() ? Stream.of() : plan().steps().stream(), steps(zone.open()))
                .flatMap(s -> s.work().items().stream())
                .filter(Item::isOwn);
    }

    private PrepPlan plan() {
        return PrepLog.plan(zone, PrepLog.need(zone, system), system);
    }

    private boolean isPrepared() {
        return isBegun() || PrepLog.turns(zone, system).stream().allMatch(Course.Turn::isThrough);
    }

    private boolean isBegun() {
        return zone.open().size() < zone.layers().size();
    }

    private Stream<Step> steps(List<LayerChoice> layers) {
        return layers.stream().flatMap(l -> zone.steps(l).stream());
    }

    /** @param first whether no layer is on yet: then what the plan of preparation has still to come counts too */
    private SiteNeeds needs(List<Step> preparing, boolean first, List<LayerChoice> layers) {
        double maskM = masks(preparing, first) ? maskM() : 0;
        double tapedM = steps(layers)
                .filter(s -> s.work().is(LayWorks.TAPE_EDGES))
                .mapToDouble(this::amount)
                .sum();
        Map<String, Double> worn = new TreeMap<>();
        Stream.concat(preparing.stream(), steps(layers)).forEach(s -> s.work().wears().stream()
                .filter(w -> !COUNTED.contains(w.label()))
                .forEach(w -> worn.merge(w.label(), w.of(amount(s)), Double::sum)));
        List<SiteNeeds.Coat> coats = Stream.concat(
                        preparing.isEmpty() ? Stream.of() : Stream.of(preparation(preparing)),
                        layers.stream().map(this::coat))
                .toList();
        return new SiteNeeds(
                zone.name(),
                maskM + tapedM,
                zone.cycle().patch().isPresent() ? 0 : maskM * Room.USUAL_FILM_M,
                coats,
                worn,
                Stream.concat(supplies(preparing), layers.stream().flatMap(this::stirredIn))
                        .toList());
    }

    /** m² or m; once where the work is done once. */
    private double amount(Step step) {
        return step.work().per() == Work.Per.ONCE ? 1 : step.amount(PrepLog.extent(zone, system));
    }

    /** Where the plan of preparation is still to come, or looks again first, it will mask all the same. */
    private boolean masks(List<Step> preparing, boolean first) {
        boolean isToCome = first && plan().method().map(PrepMethod::looksAgain).orElse(true);
        Stream<Step> steps = isToCome ? PrepLog.masking(zone).stream() : preparing.stream();
        return steps.anyMatch(s -> s.work().is(Works.MASK));
    }

    private double maskM() {
        // a patch is taped along its cut, and nothing hangs from that
        if (zone.cycle().patch().isPresent()) {
            return zone.edge(system).base();
        }
        return zone.plan().flaws().maskM().orElseGet(() -> zone.shape()
                .perimeter(system)
                .base());
    }

    private static SiteNeeds.Coat preparation(List<Step> steps) {
        return new SiteNeeds.Coat("preparation", "", 0, 0, 0, hands(steps), items(steps));
    }

    private static int hands(List<Step> steps) {
        int hands = steps.stream().mapToInt(s -> s.work().hands()).max().orElse(1);
        return Math.max(hands, items(steps).contains(Item.HELPER) ? 2 : 1);
    }

    private static Set<Item> items(List<Step> steps) {
        return steps.stream().flatMap(s -> s.work().items().stream()).collect(Collectors.toSet());
    }

    /** What repairs are made with, and what the washes are let down from. */
    private Stream<Supply> supplies(List<Step> preparing) {
        if (preparing.isEmpty()) {
            return Stream.of();
        }
        Stream<Supply> repairs = PrepLog.repairs(zone, system).stream()
                .flatMap(r -> r.figures().stream())
                .flatMap(f -> Supply.ofRepair(f).stream());
        return Stream.concat(repairs, washes(preparing.stream()));
    }

    /** What washes are let down from; soda is counted by the box, with what else a step wears. */
    private Stream<Supply> washes(Stream<Step> steps) {
        return steps.flatMap(s -> PrepLog.washed(zone, s, system).stream())
                .filter(mix -> mix.chemical() != Chemical.BAKING_SODA)
                .map(mix -> Supply.ofWash(mix, system));
    }

    /** What goes into a coat or under it, and has no sheet. */
    private Stream<Supply> stirredIn(LayerChoice layer) {
        ProductSheet sheet = zone.taken(layer);
        double amount = amount(layer, sheet);
        var all = new ArrayList<Supply>();
        if (hasStep(layer, LayWorks.STIR_GRIT) && sheet.liquid().isPresent()) {
            all.add(Supply.ofGrit(amount, sheet.handling().dosing().gritMost()));
        }
        if (hasStep(layer, Works.COVE) && zone.plan().flaws().coveM() == 0) {
            all.add(Supply.ofCove(zone.edge(system).base()));
        }
        sheet.powder()
                .filter(p -> p.colourMostL() > 0)
                .ifPresent(p -> all.add(Supply.ofColour(amount / p.bagKg(), p.colourMostL())));
        return Stream.concat(all.stream(), washes(zone.steps(layer).stream()));
    }

    private boolean hasStep(LayerChoice layer, Work work) {
        return zone.steps(layer).stream().anyMatch(s -> s.work().is(work));
    }

    /** Litres or kilograms as they are mixed. */
    private double amount(LayerChoice layer, ProductSheet sheet) {
        return TakeOff.of(
                        zone.area(system).base(),
                        sheet.material(),
                        zone.mixing(layer).allowance(),
                        system)
                .value();
    }

    private SiteNeeds.Coat coat(LayerChoice layer) {
        ProductSheet sheet = zone.taken(layer);
        List<Step> steps = zone.steps(layer);
        double covers = steps.stream()
                .flatMap(s -> s.work().wears().stream()
                        .filter(w -> w.label().equals(LayWorks.SLEEVE))
                        .map(w -> w.of(amount(s))))
                .mapToDouble(Double::doubleValue)
                .sum();
        return new SiteNeeds.Coat(
                layer.title(),
                sheet.handling().tool(),
                BatchPlan.isOf(sheet) ? vessels(layer, sheet) : 0,
                sheet.liquid().map(l -> l.parts().size()).orElse(0),
                covers,
                hands(steps),
                items(steps));
    }

    private int vessels(LayerChoice layer, ProductSheet sheet) {
        double amount = amount(layer, sheet);
        double litres = sheet.powder().map(p -> amount / p.bagKg() * p.yieldL()).orElse(amount);
        return (int) Math.ceil(litres / zone.crew().vesselL());
    }
}

package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.stream.Stream;
import openslab.core.cure.CureTime;
import openslab.core.mix.BatchPlan;
import openslab.core.mix.Bay;
import openslab.core.mix.Crew;
import openslab.core.mix.FlakeSplit;
import openslab.core.mix.Used;
import openslab.core.mix.recipe.Measuring;
import openslab.core.mix.recipe.Recipe;
import openslab.core.mix.recipe.Vessel;
import openslab.core.mix.recipe.Wanted;
import openslab.core.mix.recipe.WeighIn;
import openslab.core.product.Clock;
import openslab.core.product.Liquid;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.quantity.Worksheet;

/**
 * The batches of one layer: as they are planned, those that were mixed, and the next.
 *
 * @param plan empty for a broadcast and where the pot life is not known; {@code whyNot} then says why
 * @param split of a broadcast, by the batches of the coat that it is thrown into
 * @param logged in the order in which they were mixed, the last {@value #MOST_LOGGED}; {@code earlier} how many before these
 * @param next empty where the layer has no batches, or is on
 * @param later the first batch of each run after it, so that whoever has no signal goes on; {@value #MOST_LATER} at most
 */
public record LayerBatches(
        Optional<BatchPlan> plan,
        String whyNot,
        Optional<FlakeSplit> split,
        List<MixedBatch> logged,
        int earlier,
        Optional<NextBatch> next,
        List<NextBatch> later) {
    private static final int MOST_LATER = 12;

    /** The others stand in the logbook. */
    private static final int MOST_LOGGED = 30;

    /**
     * A batch that was mixed.
     *
     * @param bay which part of the floor it was for; empty where nobody said
     * @param amount in the job's units; {@code area} likewise
     * @param useBy when its pot life is over; empty where none runs or no slab temperature is known
     * @param lot which it is of; empty where nobody said
     * @param weighed what the scale showed of its parts, judged; empty where it was not weighed
     */
    public record MixedBatch(
            String key,
            int number,
            Instant at,
            String by,
            String bay,
            String amount,
            String area,
            String lot,
            Optional<WeighIn> weighed,
            Optional<Instant> useBy) {}

    /**
     * The batch that comes next.
     *
     * @param number from 1
     * @param run what it is
     * @param amount as a batch of it is logged: litres, or bags of a powder
     * @param vessel what it is mixed in; {@code measuring} how
     */
    public record NextBatch(
            int number, BatchPlan.BatchRun run, Figure amount, Recipe recipe, double vesselL, Measuring measuring) {}

    public LayerBatches {
        logged = List.copyOf(logged);
        later = List.copyOf(later);
    }

    private static final String READY = "It comes ready in its can, and keeps: it is put on from it.";

    /**
     * @param layers of {@code zone}, as they are reported
     * @param bays of its floor for a batch of at most so many m²
     */
    public static LayerBatches of(
            ZoneFacts zone,
            LayerReport layer,
            List<LayerReport> layers,
            DoubleFunction<List<Bay>> bays,
            UnitSystem system,
            Instant now) {
        return new Writing(zone, bays, system, now).of(layer, layers);
    }

    /** What is thrown, in so many parts alike, whatever the batches below it. */
    public static FlakeSplit split(ZoneFacts zone, LayerChoice thrown, int sections, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("k", "asked for", sections, Unit.ONE);
        Figure parts = w.figure("sections", "n", "k", sections, Unit.ONE, Source.arithmetic("as it was asked for"));
        return FlakeSplit.of(
                zone.area(system).base(),
                zone.taken(thrown).broadcast().orElseThrow(),
                parts,
                zone.mixing(thrown),
                system);
    }

    /** A plan, or why there is none. */
    private record Planned(Optional<BatchPlan> plan, String whyNot) {}

    private record Writing(ZoneFacts zone, DoubleFunction<List<Bay>> bays, UnitSystem system, Instant now) {
        LayerBatches of(LayerReport layer, List<LayerReport> layers) {
            if (layer.isBroadcast()) {
                return thrown(layer, layers);
            }
            Planned planned = planned(layer);
            ProductSheet sheet = zone.taken(choice(layer));
            List<MixedBatch> logged = logged(layer);
            boolean bare = layer.used().map(u -> u.bare().value() > 0).orElse(!layer.coated());
            List<NextBatch> next = layer.coated() || !bare
                    ? List.of()
                    : planned.plan()
                            .map(p -> from(layer.batchesLogged() + 1, sheet, p))
                            .orElse(List.of());
            return new LayerBatches(
                    planned.plan(),
                    !bare && !layer.coated() ? COVERED : planned.whyNot(),
                    Optional.empty(),
                    logged,
                    layer.batchesLogged() - logged.size(),
                    next.stream().findFirst(),
                    next.stream().skip(1).toList());
        }

        private List<MixedBatch> logged(LayerReport layer) {
            ProductSheet sheet = zone.taken(choice(layer));
            var logged = new ArrayList<MixedBatch>();
            List<LogEntry> entries = zone.unstruck(LogEntry.Kind.BATCH, layer.id());
            for (int i = Math.max(0, entries.size() - MOST_LOGGED); i < entries.size(); i++) {
                LogEntry e = entries.get(i);
                logged.add(new MixedBatch(
                        e.key(),
                        i + 1,
                        e.at(),
                        e.by(),
                        e.place(),
                        amount(e, system),
                        Show.in(system, Dimension.AREA, e.values().get("area").base()),
                        Optional.ofNullable(e.values().get(LogEntry.LOT.id()))
                                .map(Value::typed)
                                .orElse(""),
                        weighed(e, sheet, system),
                        LayerSchedule.useBy(layer.sheet(), e.at(), zone)));
            }
            return logged;
        }

        /** The next batch, and the first of each run after it. */
        private List<NextBatch> from(int number, ProductSheet sheet, BatchPlan plan) {
            if (plan.batch(number).isEmpty()) {
                return List.of();
            }
            var numbers = new ArrayList<>(List.of(number));
            plan.runs().stream()
                    .map(BatchPlan.BatchRun::first)
                    .filter(first -> first > number)
                    .limit(MOST_LATER)
                    .forEach(numbers::add);
            return numbers.stream()
                    .map(n -> next(n, sheet, plan, zone.crew().vesselL(), system))
                    .toList();
        }

        private LayerChoice choice(LayerReport layer) {
            return zone.layers().stream()
                    .filter(l -> l.id().equals(layer.id()))
                    .findFirst()
                    .orElseThrow();
        }

        private LayerBatches thrown(LayerReport layer, List<LayerReport> layers) {
            Optional<Figure> parts = layers.subList(0, layers.indexOf(layer)).stream()
                    .filter(l -> !l.isBroadcast())
                    .reduce((a, b) -> b)
                    .flatMap(below -> planned(below).plan())
                    .map(BatchPlan::count);
            Crew crew = zone.mixing(choice(layer));
            Optional<FlakeSplit> split = parts.map(
                    n -> FlakeSplit.of(areaM2(), layer.sheet().broadcast().orElseThrow(), n, crew, system));
            return new LayerBatches(
                    Optional.empty(),
                    split.isPresent() ? "" : "The layer below has no batches yet to split it by.",
                    split,
                    logged(layer),
                    Math.max(0, layer.batchesLogged() - MOST_LOGGED),
                    Optional.empty(),
                    List.of());
        }

        private double areaM2() {
            return zone.area(system).base();
        }

        /** Of the floor that is worked on: a patch is one bay, and what no plan shows from above is one more. */
        private List<Bay> bays(double mostM2) {
            if (zone.cycle().patch().isPresent()) {
                return List.of(Bay.whole(areaM2()));
            }
            List<Bay> drawn = bays.apply(mostM2);
            double more = areaM2() - zone.shape().area(system).base();
            if (more < HAIR_M2) {
                return drawn;
            }
            if (drawn.size() == 1) {
                return List.of(Bay.whole(areaM2()));
            }
            return Stream.concat(drawn.stream(), Stream.of(new Bay("stairs and slopes", more)))
                    .toList();
        }

        private Planned planned(LayerReport layer) {
            LayerChoice choice = choice(layer);
            ProductSheet sheet = zone.taken(choice);
            if (!BatchPlan.isOf(sheet)) {
                return new Planned(Optional.empty(), READY);
            }
            Crew crew = zone.mixing(choice);
            if (sheet.curve(Clock.POT_LIFE).isEmpty()) {
                return new Planned(Optional.of(plan(choice, sheet, Optional.empty(), crew)), "");
            }
            // once the first batch is mixed the bays stay as they are
            Instant at = zone.unstruck(LogEntry.Kind.BATCH, layer.id()).stream()
                    .findFirst()
                    .map(LogEntry::at)
                    .orElseGet(() -> layer.start().orElse(now));
            OptionalDouble slabC = LayerSchedule.slabC(layer.started(), at, zone);
            if (slabC.isEmpty()) {
                return new Planned(Optional.empty(), LayerSchedule.NO_SLAB);
            }
            CureTime life = CureTime.of(sheet, Clock.POT_LIFE, slabC.getAsDouble(), system);
            return life.minutes().isPresent()
                    ? new Planned(Optional.of(plan(choice, sheet, life.minutes(), crew)), "")
                    : new Planned(Optional.empty(), life.whyNot());
        }

        /** As it was planned while it goes as planned; else anew, for what is bare. */
        private BatchPlan plan(LayerChoice choice, ProductSheet sheet, Optional<Figure> life, Crew crew) {
            Figure most = BatchPlan.most(sheet, life, crew, system);
            List<Bay> all = bays(most.base());
            BatchPlan plan = BatchPlan.of(all, sheet, life, crew, system);
            int mixed = zone.unstruck(LogEntry.Kind.BATCH, choice.id()).size();
            double covered = Used.coveredM2(zone.batches(choice), areaM2());
            double meant = 0;
            for (int i = 1; i <= mixed; i++) {
                meant += plan.batch(i).map(r -> r.area().base()).orElse(0.0);
            }
            double asMeant = AS_PLANNED * Math.min(most.base(), areaM2());
            return mixed == 0
                            || Math.abs(covered - meant) <= asMeant
                                    && mixed <= plan.count().value()
                    ? plan
                    : BatchPlan.rest(all, covered, mixed, sheet, life, crew, system);
        }
    }

    /** OURS: of a batch; what is off by less is how areas are told. */
    private static final double AS_PLANNED = 0.03;

    private static final double HAIR_M2 = 1e-6;

    private static final String COVERED = "What was logged covers the floor: where it is on, say so.";

    private static String amount(LogEntry e, UnitSystem system) {
        Map<String, Value> values = e.values();
        return values.containsKey("bags")
                ? Show.in(Unit.BAG, values.get("bags").base())
                : values.containsKey("mass")
                        ? Show.in(system, Dimension.MASS, values.get("mass").base())
                        : Show.in(system, Dimension.VOLUME, values.get("volume").base());
    }

    private static NextBatch next(int number, ProductSheet sheet, BatchPlan plan, double vesselL, UnitSystem system) {
        BatchPlan.BatchRun run = plan.batch(number).orElseThrow();
        Measuring measuring = Recipe.usual(sheet);
        // whatever the plan has made it, it goes into one vessel
        var vessel = Vessel.holding(Math.max(vesselL, run.volume().base()));
        Recipe recipe = Recipe.of(sheet, new Wanted.Mixed(run.volume().base()), vessel, measuring, List.of(), system);
        return new NextBatch(number, run, recipe.amount(), recipe, vessel.holdsL(), measuring);
    }

    private static Optional<WeighIn> weighed(LogEntry e, ProductSheet sheet, UnitSystem system) {
        if (sheet.liquid().isEmpty()) {
            return Optional.empty();
        }
        Liquid liquid = sheet.liquid().get();
        var readings = new ArrayList<Double>();
        double shown = 0;
        for (Liquid.Part part : liquid.pouring()) {
            Value kg = e.values().get(LogEntry.weighedOf(part.name()));
            if (kg == null) {
                return Optional.empty();
            }
            shown += kg.base();
            readings.add(shown);
        }
        Recipe recipe = Recipe.of(
                sheet,
                new Wanted.Mixed(e.values().get("volume").base()),
                Vessel.holding(e.values().get("volume").base() * 2),
                Recipe.usual(sheet),
                List.of(),
                system);
        return Optional.of(WeighIn.of(recipe, Vessel.holding(1), readings, Double.POSITIVE_INFINITY, 0, system));
    }
}

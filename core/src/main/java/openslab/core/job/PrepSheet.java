package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.course.Extent;
import openslab.core.course.Staging;
import openslab.core.course.Step;
import openslab.core.course.work.Effort;
import openslab.core.course.work.Paces;
import openslab.core.course.work.Work;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.patch.Ladder;
import openslab.core.prep.repair.Repair;
import openslab.core.prep.wash.Dose;
import openslab.core.prep.wash.WashMix;
import openslab.core.product.Exposure;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What the preparation of a zone takes: for the crew, step by step, and for whoever buys for it.
 *
 * @param steps of the plan, each once
 * @param repairs among them, with their quantities
 * @param hours of one person, all steps together
 * @param ways every one that fits here, the best first, and what each would take
 * @param used up of every consumable, all steps together
 */
public record PrepSheet(
        List<StepSheet> steps,
        List<RepairSheet> repairs,
        List<Staging.Thing> staging,
        Optional<Figure> hours,
        Optional<Figure> dust,
        Optional<Figure> water,
        List<Figure> used,
        List<PrepWay> ways) {
    /**
     * What one step takes.
     *
     * @param mix what is mixed for it; {@code mixWaits} says why there is none yet
     * @param ladders of the chemicals that can be tried for it
     * @param missing what is not staged yet
     * @param fields what is keyed in when it is done
     * @param before how the crew did it otherwise the last time; empty where nobody said
     */
    public record StepSheet(
            String id,
            Effort effort,
            Optional<WashMix> mix,
            String mixWaits,
            List<Ladder> ladders,
            List<String> missing,
            List<Field> fields,
            Optional<Otherwise> before) {}

    /** How it was done otherwise than it says, on this floor, the last time that anybody said so. */
    public record Otherwise(String how, String by, Instant at) {
        static Optional<Otherwise> of(ZoneFacts zone, Step step) {
            return zone.everStood().stream()
                    .filter(e -> e.kind() == LogEntry.Kind.DONE && e.subject().equals(step.id()))
                    .filter(e -> e.values().containsKey(Work.HOW.id()))
                    .max(Comparator.comparing(LogEntry::at))
                    .map(e -> new Otherwise(e.values().get(Work.HOW.id()).typed(), e.by(), e.at()));
        }
    }

    /** @param steps ids of the steps that make it good */
    public record RepairSheet(
            String id, String title, List<String> steps, List<Figure> figures, String exclusion, Source source) {
        static RepairSheet of(Repair r) {
            return new RepairSheet(
                    r.id(),
                    r.title(),
                    r.steps().stream().map(Step::id).toList(),
                    r.figures(),
                    r.exclusion(),
                    r.source());
        }
    }

    private static final Source SUM = Source.arithmetic("all steps added up");

    /** @param now ticks older than a day do not count */
    public static PrepSheet of(ZoneFacts zone, Paces paces, UnitSystem system, Instant now) {
        PrepPlan plan = PrepLog.plan(zone, PrepLog.need(zone, system), system);
        Staging staging = Staging.of(plan.steps(), PrepLog.ticks(zone), now);
        List<Ladder.Square> squares = PrepLog.squares(zone);
        List<Effort> efforts = efforts(zone, plan, paces, system);
        var sheets = new ArrayList<StepSheet>();
        for (int i = 0; i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            Effort effort = efforts.get(i);
            Optional<Dose> dose = Dose.of(step);
            Optional<WashMix> mixed = PrepLog.wash(zone, step, system);
            boolean patch = step.isPatch();
            sheets.add(new StepSheet(
                    step.id(),
                    effort,
                    patch ? Optional.empty() : mixed,
                    dose.isPresent() && mixed.isEmpty() ? "The test patch says how strong." : "",
                    patch
                            ? dose.orElseThrow().any().stream()
                                    .map(c -> Ladder.of(c, squares))
                                    .toList()
                            : List.of(),
                    staging.missing(step),
                    step.work().doneFields(),
                    Otherwise.of(zone, step)));
        }
        boolean whole = plan.method().map(m -> !m.looksAgain()).orElse(false);
        return new PrepSheet(
                List.copyOf(sheets),
                whole
                        ? PrepLog.repairs(zone, system).stream()
                                .map(RepairSheet::of)
                                .toList()
                        : List.of(),
                staging.of(PrepLog.turns(zone, system).stream()
                        .filter(t -> !t.isThrough())
                        .map(t -> t.step().id())
                        .collect(Collectors.toSet())),
                hours(efforts, system),
                sum("dust", efforts, Effort::dust, system),
                sum("water to pick up", efforts, Effort::water, system),
                used(efforts, system),
                PrepWay.all(zone, plan, paces, system, now));
    }

    /** What each step of a plan takes. */
    static List<Effort> efforts(ZoneFacts zone, PrepPlan plan, Paces paces, UnitSystem system) {
        Extent extent = PrepLog.extent(zone, system);
        boolean indoors = zone.exposure() == Exposure.INDOORS;
        return Effort.inOneShift(
                plan.steps().stream()
                        .map(s -> Effort.of(s.work(), s.amount(extent), indoors, paces, system))
                        .toList(),
                system);
    }

    static Optional<Figure> hours(List<Effort> efforts, UnitSystem system) {
        if (efforts.isEmpty()) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        var terms = new ArrayList<String>();
        double sum = 0;
        for (Effort e : efforts) {
            int i = terms.size() + 1;
            w.from("t" + i, e.time());
            w.given("n" + i, "hands", e.hands(), Unit.ONE);
            terms.add("t" + i + "·n" + i);
            sum += e.time().value() * e.hands();
        }
        return Optional.of(w.figure("hours of one person", "H", String.join("+", terms), sum, Unit.HOUR, SUM));
    }

    static Optional<Figure> sum(
            String label, List<Effort> efforts, Function<Effort, Optional<Figure>> which, UnitSystem system) {
        List<Figure> parts =
                efforts.stream().flatMap(e -> which.apply(e).stream()).toList();
        return parts.isEmpty() ? Optional.empty() : Optional.of(added(label, parts, system));
    }

    private static Figure added(String label, List<Figure> parts, UnitSystem system) {
        var w = new Worksheet(system);
        var terms = new ArrayList<String>();
        double sum = 0;
        for (Figure part : parts) {
            terms.add("a" + (terms.size() + 1));
            sum += w.from(terms.get(terms.size() - 1), part);
        }
        return w.figure(label, "s", String.join("+", terms), sum, parts.get(0).unit(), SUM);
    }

    private static List<Figure> used(List<Effort> efforts, UnitSystem system) {
        Map<String, List<Figure>> byLabel = new LinkedHashMap<>();
        efforts.stream()
                .flatMap(e -> e.used().stream())
                .forEach(f -> byLabel.merge(f.label(), List.of(f), (a, b) -> Stream.concat(a.stream(), b.stream())
                        .toList()));
        return byLabel.entrySet().stream()
                .map(e -> added(e.getKey(), e.getValue(), system))
                .toList();
    }
}

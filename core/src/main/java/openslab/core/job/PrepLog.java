package openslab.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.course.Extent;
import openslab.core.course.Staging;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.practice.Masking;
import openslab.core.prep.Condition;
import openslab.core.prep.Gates;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.PrepNeed;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.Steps;
import openslab.core.prep.patch.Ladder;
import openslab.core.prep.repair.Repair;
import openslab.core.prep.repair.Repairs;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.prep.wash.Ratio;
import openslab.core.prep.wash.WashMix;
import openslab.core.product.Exposure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Reading;
import openslab.core.survey.area.Defect;
import openslab.core.survey.method.WalkOver;
import openslab.core.system.BuildUp;

/** A zone's preparation as its plan has it, and what its log says was done about it. */
final class PrepLog {
    /** OURS: the pail that a wash is let down in, 5 gal or 20 L. */
    private static final double US_PAIL_L = Unit.GALLON.toBase(5);

    private static final double METRIC_PAIL_L = 20;

    private PrepLog() {}

    /** What the plan and the survey found broken. */
    static List<Repair> repairs(ZoneFacts zone, UnitSystem system) {
        if (zone.ground().isFilm()) {
            return List.of();
        }
        return Repairs.of(
                zone.substrate(), zone.flaws(), hollowM2(zone), zone.settings().patch(), system);
    }

    /** Drawn, and not proved sound since. */
    private static double hollowM2(ZoneFacts zone) {
        return zone.survey().areas().stream()
                .filter(a -> a.gone().isEmpty() && a.area().defect() == Defect.HOLLOW)
                .mapToDouble(a -> a.area().areaM2())
                .sum();
    }

    /** What the zone's build-up asks of the profile. */
    static PrepNeed need(ZoneFacts zone, UnitSystem system) {
        return need(zone, BuildUp.of(zone.sheets(), system));
    }

    /** What a build-up asks, and the system that the zone's cycle is of. */
    static PrepNeed need(ZoneFacts zone, BuildUp buildUp) {
        return buildUp.profileNeed().asking(zone.cycle().asks());
    }

    static PrepPlan plan(ZoneFacts zone, PrepNeed need, UnitSystem system) {
        Condition now = condition(zone);
        PrepPlan chosen = PrepPlan.choose(
                now, need, zone.site(), wanted(zone).map(LogEntry::subject).orElse(""));
        PrepPlan plan = begun(zone, need, system)
                .map(b -> chosen.goingOn(b.method(), conditionAt(zone, b.from()), now, zone.site()))
                .orElse(chosen);
        return whole(plan, zone, system);
    }

    /** The way that somebody chose last in this cycle; empty where nobody did. */
    static Optional<LogEntry> wanted(ZoneFacts zone) {
        return zone.unstruck().stream()
                .filter(e -> e.kind() == LogEntry.Kind.METHOD)
                .reduce((a, b) -> b.at().isBefore(a.at()) ? a : b);
    }

    /** A method that is being done. @param from when its first step was done or tested */
    record Begun(PrepMethod method, Instant from) {}

    /**
     * The method that was begun in this cycle, and not changed for another since; what was done by a method counts again where
     * somebody changes back to it. A walk does not undo what was done by it; what only makes the floor another one is over once its
     * gates are through.
     */
    static Optional<Begun> begun(ZoneFacts zone, PrepNeed need, UnitSystem system) {
        Optional<LogEntry> wanted = wanted(zone);
        List<LogEntry> done = zone.unstruck().stream()
                .filter(e -> !e.method().isEmpty() && e.layer().isEmpty())
                .filter(e -> wanted.map(
                                w -> !e.at().isBefore(w.at()) || e.method().equals(w.subject()))
                        .orElse(true))
                .toList();
        return done.stream()
                .reduce((a, b) -> b.at().isBefore(a.at()) ? a : b)
                .flatMap(last -> PrepMethods.find(last.method()))
                .map(m -> new Begun(m, first(done, m.id())))
                .filter(b -> !b.method().looksAgain() || !isThrough(zone, b, need, system));
    }

    private static Instant first(List<LogEntry> done, String method) {
        return done.stream()
                .filter(e -> e.method().equals(method))
                .map(LogEntry::at)
                .min(Comparator.naturalOrder())
                .orElseThrow();
    }

    private static boolean isThrough(ZoneFacts zone, Begun b, PrepNeed need, UnitSystem system) {
        PrepPlan plan = whole(PrepPlan.by(b.method(), conditionAt(zone, b.from()), need), zone, system);
        return run(zone, plan, system).course().turns().stream()
                .filter(t -> t.step().gate().isPresent())
                .allMatch(Course.Turn::isThrough);
    }

    private static Condition condition(ZoneFacts zone) {
        return Condition.of(
                zone.survey(),
                zone.substrate(),
                zone.ground(),
                zone.concreteAgeMin(),
                zone.exposure() == Exposure.INDOORS,
                zone.ownSigns());
    }

    /** The floor as it was known then. */
    private static Condition conditionAt(ZoneFacts zone, Instant at) {
        boolean learnt = zone.unstruck().stream()
                .anyMatch(e ->
                        e.at().isAfter(at) && (e.kind() == LogEntry.Kind.READING || e.kind() == LogEntry.Kind.AREA));
        return condition(learnt ? zone.asOf(at) : zone);
    }

    /** With everything that the zone brings to it, whichever method it is. */
    private static PrepPlan whole(PrepPlan chosen, ZoneFacts zone, UnitSystem system) {
        PrepPlan plan = chosen.hollow(hollowM2(zone))
                .with(repairs(zone, system).stream()
                        .flatMap(r -> r.steps().stream())
                        .toList())
                .patched(squares(zone));
        PrepPlan asked = plan.extras(zone.exposure() == Exposure.INDOORS);
        boolean cut = zone.cycle().patch().isPresent() && zone.substrate().family() == Substrate.Family.CEMENT;
        PrepPlan edged = cut ? asked.cut(Steps.cutEdge()) : asked;
        PrepPlan masked = masking(zone).map(edged::masked).orElse(edged);
        var practices = zone.settings().practices();
        return masked.in(practices.prepared(masked.steps(), zone.surroundings()));
    }

    /** How walls are kept clean, as the zone's school has it, and the floor round a patch; empty for a film that stays. */
    static Optional<Step> masking(ZoneFacts zone) {
        if (zone.ground() == Ground.FILM_KEPT) {
            return Optional.empty();
        }
        if (zone.cycle().patch().isPresent()) {
            return Optional.of(Steps.maskPatch());
        }
        var school = (Masking) zone.settings().practices().in(Masking.PRACTICE);
        return school.step(zone.plan().flaws().maskM());
    }

    /** A plan, and how it went. */
    record Run(PrepPlan plan, Course course) {}

    static Run run(ZoneFacts zone, PrepNeed need, UnitSystem system) {
        PrepPlan plan = plan(zone, need, system);
        return run(zone, plan, system);
    }

    static List<Course.Turn> turns(ZoneFacts zone, UnitSystem system) {
        return run(zone, need(zone, system), system).course().turns();
    }

    /** What another method would do here. */
    static PrepPlan by(PrepMethod method, ZoneFacts zone, PrepNeed need, UnitSystem system) {
        return whole(PrepPlan.by(method, condition(zone), need), zone, system);
    }

    /** By the method that an entry was done for; as the zone has it where the entry does not say. */
    static PrepPlan planFor(ZoneFacts zone, LogEntry e, PrepNeed need, UnitSystem system) {
        return PrepMethods.find(e.method())
                .map(m -> whole(PrepPlan.by(m, conditionAt(zone, since(zone, e)), need), zone, system))
                .orElseGet(() -> plan(zone, need, system));
    }

    /** When the method that an entry was done for was begun. */
    private static Instant since(ZoneFacts zone, LogEntry e) {
        return zone.unstruck().stream()
                .filter(d -> d.layer().isEmpty() && d.method().equals(e.method()))
                .map(LogEntry::at)
                .min(Comparator.naturalOrder())
                .orElse(e.at());
    }

    /** How everything that was logged went by a plan. */
    static Run run(ZoneFacts zone, PrepPlan plan, UnitSystem system) {
        String method = plan.method().map(PrepMethod::id).orElse("");
        List<Deed> deeds = zone.unstruck().stream()
                .filter(e -> e.layer().isEmpty() && isFor(e, method))
                .flatMap(PrepLog::deed)
                .toList();
        Course course = Course.of(plan.steps(), deeds, extent(zone, system), zone.slab());
        return new Run(
                plan,
                again(zone, plan, course)
                        .map(from -> Course.of(
                                plan.steps(),
                                deeds.stream().filter(d -> d.at().isAfter(from)).toList(),
                                extent(zone, system),
                                zone.slab()))
                        .orElse(course));
    }

    /**
     * When a walk found again what a method had taken off, gates and all: it is done anew from there. Empty where it did not, and for
     * methods that do not end with such a walk.
     */
    private static Optional<Instant> again(ZoneFacts zone, PrepPlan plan, Course course) {
        boolean through = plan.method().map(PrepMethod::looksAgain).orElse(false)
                && course.turns().stream()
                        .filter(t -> t.step().gate().isPresent())
                        .allMatch(Course.Turn::isThrough);
        if (!through) {
            return Optional.empty();
        }
        Optional<Instant> proved = course.turns().stream()
                .flatMap(t -> t.tested().stream())
                .map(Deed::at)
                .max(Comparator.naturalOrder());
        return zone.survey()
                .found()
                .newest(WalkOver.ID)
                .filter(r -> r.yes("sealer") || r.yes("oil"))
                .map(Reading::at)
                .filter(walked -> proved.map(walked::isAfter).orElse(false));
    }

    static Extent extent(ZoneFacts zone, UnitSystem system) {
        return new Extent(zone.area(system).base(), zone.edge(system).base());
    }

    /** What was done or tested for one method proves nothing for another; repairs, masking and test patches are true for all. */
    private static boolean isFor(LogEntry e, String method) {
        return e.method().isEmpty() || e.method().equals(method);
    }

    /** The same entry, and the method that it is done for: nothing where it holds whatever the method. */
    static LogEntry withMethod(ZoneFacts zone, LogEntry e, PrepNeed need, UnitSystem system) {
        Optional<PrepMethod> method = plan(zone, need, system).method();
        Condition then =
                begun(zone, need, system).map(b -> conditionAt(zone, b.from())).orElseGet(() -> condition(zone));
        boolean own = method.map(m -> m.steps(then, need).stream().anyMatch(s -> isOf(e, s)))
                .orElse(false);
        return own ? e.doneFor(method.get().id()) : e;
    }

    private static boolean isOf(LogEntry e, Step s) {
        return switch (e.kind()) {
            case BEGUN, DONE -> s.id().equals(e.subject());
            case GATE ->
                !s.isPatch() && s.gate().map(g -> g.id().equals(e.subject())).orElse(false);
            default -> false;
        };
    }

    static Stream<Deed> deed(LogEntry e) {
        return switch (e.kind()) {
            case BEGUN -> Stream.of(deed(e, Deed.Kind.BEGUN));
            case DONE -> Stream.of(deed(e, Deed.Kind.DONE));
            case GATE -> Stream.of(deed(e, Deed.Kind.TESTED));
            default -> Stream.empty();
        };
    }

    /** What a step is washed with, as strong as its label or the test patch has it; empty where the patch has yet to say. */
    static Optional<WashMix> wash(ZoneFacts zone, Step step, UnitSystem system) {
        return Dose.of(step)
                .flatMap(d -> d.tried()
                        ? Ladder.winner(d.any(), squares(zone))
                                .map(l -> mix(
                                        zone,
                                        d,
                                        Chemical.find(l.id()).orElseThrow(),
                                        l.winner().orElseThrow(),
                                        system))
                        : Optional.of(byLabel(zone, d, system)));
    }

    /** What is bought for a step that washes: by the label until the test patch says otherwise. A patch takes next to nothing. */
    static Optional<WashMix> washed(ZoneFacts zone, Step step, UnitSystem system) {
        return step.isPatch()
                ? Optional.empty()
                : wash(zone, step, system).or(() -> Dose.of(step).map(d -> byLabel(zone, d, system)));
    }

    private static WashMix byLabel(ZoneFacts zone, Dose dose, UnitSystem system) {
        Chemical usual = dose.any().get(0);
        return mix(zone, dose, usual, dose.usual(usual), system);
    }

    private static WashMix mix(ZoneFacts zone, Dose dose, Chemical chemical, Ratio ratio, UnitSystem system) {
        return WashMix.of(
                chemical,
                ratio,
                system == UnitSystem.US ? US_PAIL_L : METRIC_PAIL_L,
                extent(zone, system).floorM2(),
                dose.spreadM2PerL(ratio),
                0,
                system);
    }

    /** The squares in which strengths were tried, oldest first. */
    static List<Ladder.Square> squares(ZoneFacts zone) {
        return zone.unstruck(LogEntry.Kind.GATE, Gates.PATCH).stream()
                .flatMap(e -> Chemical.find(e.values().get("chemical").typed()).stream()
                        .map(c -> new Ladder.Square(
                                c,
                                e.values().get("water").base(),
                                Unit.MINUTE.fromBase(e.values().get("dwell").base()),
                                Ladder.Result.of(e.values().get("result").typed()))))
                .toList();
    }

    static List<Staging.Tick> ticks(ZoneFacts zone) {
        return zone.unstruck().stream()
                .filter(e -> e.kind() == LogEntry.Kind.TICK)
                .map(e -> new Staging.Tick(e.key(), e.subject(), e.at(), e.by()))
                .toList();
    }

    private static Deed deed(LogEntry e, Deed.Kind kind) {
        return new Deed(e.key(), kind, e.subject(), e.at(), e.by(), e.note(), e.values());
    }
}

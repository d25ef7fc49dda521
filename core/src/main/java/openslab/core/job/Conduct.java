package openslab.core.job;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.course.Gate;
import openslab.core.course.Staging;
import openslab.core.course.Step;
import openslab.core.prep.Gates;
import openslab.core.prep.PrepNeed;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.Verdict;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.Climate;
import openslab.core.system.BuildUp;
import openslab.core.system.LayUp;
import openslab.core.system.LayWorks;

/**
 * What stands against how something was done. It is told before, and asks for a reason; what was done all the same is a fact, and
 * keeps these findings for ever. They are judged by what was known then: a gate that passes later makes an early coat no better.
 */
public final class Conduct {
    /**
     * What was done so.
     *
     * @param key of the log entry
     * @param why the reason that was given; empty where nobody was asked for one
     */
    public record Stood(
            String key, LogEntry.Kind kind, String subject, Instant at, String by, String why, List<Finding> findings) {
        /** Whether it was done to a layer. */
        public boolean isOf(String layer) {
            return subject.equals(layer)
                    || LayUp.layerOf(subject).map(layer::equals).orElse(false);
        }
    }

    static final Source OURS = Source.ours("what was done is kept with what stood against it");

    private final ZoneFacts zone;
    private final UnitSystem system;
    private final BuildUp buildUp;
    private final Optional<Limits> limits;
    /** When anything was learnt of the floor, in order: coats tell nothing of it. */
    private final long[] learnt;
    /** When anything was learnt that decides how the floor is prepared, in order. */
    private final long[] planned;

    private final Set<String> keys;
    private final Map<Planned, PrepLog.Run> courses = new HashMap<>();

    /** A plan is the same as long as nothing was learnt that decides it. */
    private record Planned(int known, String method) {}

    private final Map<String, Course> laid = new HashMap<>();
    /** When anything was logged of a layer's steps, in order, by the layer. */
    private final Map<String, long[]> steps = new HashMap<>();

    private final Map<LaidTo, Course> laidTo = new HashMap<>();

    /** A layer is laid as far as before as long as no step of it was logged: batches tell nothing of that. */
    private record LaidTo(String layer, int known) {}

    private final Map<Integer, State> states = new HashMap<>();
    private Optional<PrepLog.Run> today = Optional.empty();
    private Optional<Survey.Told> told = Optional.empty();

    /**
     * What was known of the floor after so many entries.
     *
     * @param against what stood in the way of a coat, whatever the hour
     */
    private record State(ZoneFacts then, List<Finding> against) {}

    Conduct(ZoneFacts zone, UnitSystem system) {
        this(zone, BuildUp.of(zone.sheets(), system), system);
    }

    Conduct(ZoneFacts zone, BuildUp buildUp, UnitSystem system) {
        this.zone = zone;
        this.system = system;
        this.buildUp = buildUp;
        this.limits = buildUp.limits();
        this.learnt = moments(zone.unstruck().stream().filter(e -> !isLaid(e)));
        this.planned = moments(zone.everStood().stream().filter(e -> decidesMethod(e)));
        this.keys = zone.unstruck().stream().map(LogEntry::key).collect(Collectors.toSet());
    }

    private static boolean isCoat(LogEntry e) {
        return e.kind() == LogEntry.Kind.COAT || e.kind() == LogEntry.Kind.BATCH;
    }

    /** Whether it says nothing of the floor below, only of what was laid on it. */
    private static boolean isLaid(LogEntry e) {
        return e.layer().isPresent();
    }

    /** What is found, tried or laid decides the method; what is done by it does not. */
    private boolean decidesMethod(LogEntry e) {
        return switch (e.kind()) {
            case READING, AREA, PLACE, SET -> true;
            case COAT -> e.cycle() < zone.cycle().number();
            case METHOD -> true;
            case GATE -> e.subject().equals(Gates.PATCH);
            default -> false;
        };
    }

    /** The same, where preparation and survey as they stand today have been worked out already. */
    Conduct knowing(PrepLog.Run run, Optional<Survey.Told> survey) {
        today = Optional.of(run);
        told = survey;
        return this;
    }

    private PrepNeed need() {
        return PrepLog.need(zone, buildUp);
    }

    private PrepLog.Run run(ZoneFacts then) {
        return then == zone && today.isPresent() ? today.get() : PrepLog.run(then, need(), system);
    }

    /** How many of {@code sorted} are not after {@code at}. */
    private static int upTo(long[] sorted, Instant at) {
        int known = 0;
        int beyond = sorted.length;
        while (known < beyond) {
            int middle = (known + beyond) >>> 1;
            if (sorted[middle] <= micros(at)) {
                known = middle + 1;
            } else {
                beyond = middle;
            }
        }
        return known;
    }

    private static long micros(Instant at) {
        return ChronoUnit.MICROS.between(Instant.EPOCH, at);
    }

    private static long[] moments(Stream<LogEntry> entries) {
        return entries.mapToLong(e -> micros(e.at())).sorted().toArray();
    }

    private State state(Instant at) {
        int known = upTo(learnt, at);
        State there = states.get(known);
        if (there == null) {
            ZoneFacts then = known == learnt.length ? zone : zone.asOf(at);
            there = new State(then, ground(then, at));
            states.put(known, there);
        }
        return there;
    }

    /**
     * Everything in the log that something stood against, oldest first. A step is looked at where today's course does not fit it, where it
     * came after its window, or where a reason was given for it: without one nothing that stood against it was taken.
     */
    List<Stood> all() {
        Set<String> odd = run(zone).course().misfits().stream()
                .filter(m -> m.kind() != Course.Misfit.Kind.ELSEWHERE)
                .map(m -> m.deed().key())
                .collect(Collectors.toCollection(HashSet::new));
        var stood = new ArrayList<Stood>();
        zone.layers().forEach(l -> laid(l).misfits().stream()
                .filter(m -> m.kind() != Course.Misfit.Kind.ELSEWHERE)
                .forEach(m -> odd.add(m.deed().key())));
        zone.layers().forEach(l -> odd.addAll(StepWindow.tooLate(laid(l)).keySet()));
        for (LogEntry e : zone.unstruck()) {
            if (isCoat(e) || odd.contains(e.key()) || !e.note().isBlank()) {
                add(stood, e, against(e));
            }
        }
        return stood.stream().sorted(Comparator.comparing(Stood::at)).toList();
    }

    /** What {@link #all} tells of the cycles before the one a zone is in. */
    public static List<Stood> ofEarlierCycles(ZoneFacts zone, UnitSystem system) {
        return zone.cycles().subList(0, zone.cycles().size() - 1).stream()
                .flatMap(c -> new Conduct(zone.through(c.number()), system).all().stream())
                .toList();
    }

    private static void add(List<Stood> stood, LogEntry e, List<Finding> findings) {
        if (!findings.isEmpty()) {
            stood.add(new Stood(e.key(), e.kind(), e.subject(), e.at(), e.by(), e.note(), findings));
        }
    }

    /** What stands against an entry, logged or about to be: the worse word first. */
    List<Finding> against(LogEntry e) {
        var findings = new ArrayList<Finding>(
                switch (e.kind()) {
                    case COAT -> coat(e);
                    case BATCH -> batch(e);
                    case METHOD -> changed(e).stream().toList();
                    case BEGUN, DONE, GATE -> layer(e).map(l -> laying(e, l)).orElseGet(() -> deed(e));
                    default -> List.of();
                });
        findings.sort(Comparator.comparing(Finding::verdict).reversed());
        return List.copyOf(findings);
    }

    /** Whether a reason is asked for before it is logged. */
    static boolean asksReason(List<Finding> findings) {
        return findings.stream().anyMatch(f -> f.verdict().compareTo(Verdict.HOLD) >= 0);
    }

    /** Whether nobody has read air and slab, or too long ago. */
    static boolean readsAir(List<Finding> findings) {
        return findings.stream()
                .anyMatch(f -> f.rule().equals(Climate.FRESH_RULE) || f.rule().equals(Climate.ID + Survey.MISSING));
    }

    /** What stands against putting a layer on at {@code at}. */
    List<Finding> coating(String layerId, Instant at) {
        Optional<LayerChoice> layer = layer(layerId);
        if (layer.isEmpty()) {
            return List.of();
        }
        var findings = new ArrayList<>(beginning(layer.get(), at));
        heldBack(layer.get(), at).ifPresent(findings::add);
        return findings;
    }

    /** The same, its own gates left out: what stands against its first step already. */
    private List<Finding> beginning(LayerChoice layer, Instant at) {
        State state = state(at);
        var findings = new ArrayList<>(air(state.then(), at));
        findings.addAll(state.against());
        below(layer).ifPresent(below -> {
            Optional<Instant> on = coated(below, at);
            if (on.isEmpty()) {
                findings.add(order(layer, below));
            } else if (!layer.isBroadcast()) {
                new RecoatWindow(zone, below, system)
                        .against(on.get(), began(layer, at).orElse(at))
                        .ifPresent(findings::add);
                unfinished(layer, below, at).ifPresent(findings::add);
            }
        });
        return findings;
    }

    /**
     * When the part of a layer that is being laid at {@code at} was begun: the first step that mixes or wets anything, after the part
     * before it; empty where nothing was done yet.
     */
    Optional<Instant> began(LayerChoice layer, Instant at) {
        List<LogEntry> done = zone.ofLayer(layer.id()).stream()
                .filter(e -> e.at().isBefore(at))
                .toList();
        Optional<Instant> partBefore = done.stream()
                .filter(e -> e.kind() == LogEntry.Kind.COAT)
                .map(LogEntry::at)
                .max(Comparator.naturalOrder());
        return done.stream()
                .filter(e -> partBefore.map(e.at()::isAfter).orElse(true))
                .filter(e -> e.kind() == LogEntry.Kind.BATCH || stepThatMixes(e, layer))
                .map(LogEntry::at)
                .min(Comparator.naturalOrder());
    }

    private boolean stepThatMixes(LogEntry e, LayerChoice layer) {
        return (e.kind() == LogEntry.Kind.BEGUN || e.kind() == LogEntry.Kind.DONE)
                && upToItsCoat(layer).stream()
                        .anyMatch(s -> s.id().equals(e.subject())
                                && LayWorks.MIXES_NOTHING.stream().noneMatch(s.work()::is));
    }

    /** Its steps, up to the one that puts it on. */
    private List<Step> upToItsCoat(LayerChoice layer) {
        var before = new ArrayList<Step>();
        for (Step s : zone.steps(layer)) {
            before.add(s);
            if (s.proves()) {
                break;
            }
        }
        return before;
    }

    private Optional<LayerChoice> layer(String id) {
        return zone.layers().stream().filter(l -> l.id().equals(id)).findFirst();
    }

    private Optional<LayerChoice> layer(LogEntry e) {
        return e.layer().flatMap(this::layer);
    }

    /** How a layer was laid, all that was logged of it. */
    private Course laid(LayerChoice layer) {
        return laid.computeIfAbsent(layer.id(), id -> LayLog.course(zone, layer, system));
    }

    /** As far as it was laid by {@code at}. */
    private Course laid(LayerChoice layer, Instant at) {
        long[] logged = steps.computeIfAbsent(
                layer.id(), id -> moments(zone.ofLayer(id).stream().filter(LayLog::isOfStep)));
        int known = upTo(logged, at);
        return known == logged.length
                ? laid(layer)
                : laidTo.computeIfAbsent(new LaidTo(layer.id(), known), k -> LayLog.course(zone, layer, at, system));
    }

    /** A gate of its own that stands before it on the floor. */
    private Optional<Finding> heldBack(LayerChoice layer, Instant at) {
        Course course = laid(layer, at);
        List<Course.Turn> before = new ArrayList<>();
        for (Course.Turn t : course.turns()) {
            if (t.step().proves()) {
                break;
            }
            before.add(t);
        }
        return before.stream()
                .filter(t -> !t.isThrough() && t.step().gate().isPresent())
                .findFirst()
                .map(t -> Finding.of("coat-before-its-gate")
                        .measured("\"" + t.title() + "\" " + (isSettling(t) ? "is not settled" : "has not passed"))
                        .needed("every gate before it passed", OURS)
                        .hold(
                                Show.lower(t.title()) + (isSettling(t) ? ": not settled yet" : " not passed"),
                                t.step().why(),
                                t.step().gate().orElseThrow().again()));
    }

    private static boolean isSettling(Course.Turn t) {
        return t.step().work().is(LayWorks.SETTLE);
    }

    /** What is still to be done to the layer below, once it is on. */
    private Optional<Finding> unfinished(LayerChoice layer, LayerChoice below, Instant at) {
        return LayLog.openGate(laid(below, at)).map(t -> Finding.of("coat-on-unfinished")
                .measured("\"" + t.title() + "\" of the " + Show.lower(below.title()) + " has not passed")
                .needed("everything done to it before the " + Show.lower(layer.title()), OURS)
                .hold(
                        "the " + Show.lower(below.title()) + " is not through",
                        t.step().why(),
                        t.step().gate().orElseThrow().again()));
    }

    /** What stands against a step of laying: a gate before it, or what does not lie ready. */
    private List<Finding> laying(LogEntry e, LayerChoice layer) {
        Course course = keys.contains(e.key()) ? laid(layer) : LayLog.with(zone, layer, e, system);
        var findings = new ArrayList<>(misfits(e, course));
        StepWindow.against(e, course).ifPresent(findings::add);
        if (e.kind() == LogEntry.Kind.BEGUN) {
            unstaged(zone.steps(layer), e).ifPresent(findings::add);
        }
        // once the layer is begun it has been said
        if (stepThatMixes(e, layer) && began(layer, e.at()).isEmpty()) {
            findings.addAll(beginning(layer, e.at()));
        }
        return findings;
    }

    private static List<Finding> misfits(LogEntry e, Course course) {
        return course.misfits().stream()
                .filter(m -> m.deed().key().equals(e.key()))
                .filter(m -> m.kind() != Course.Misfit.Kind.ELSEWHERE)
                .map(m -> misfit(m, course))
                .toList();
    }

    /** The nearest coat beneath. */
    private Optional<LayerChoice> below(LayerChoice layer) {
        List<LayerChoice> beneath = zone.layers().subList(0, zone.layers().indexOf(layer));
        return beneath.stream().filter(l -> !l.isBroadcast()).reduce((a, b) -> b);
    }

    /** When a layer went on last, up to {@code at}. */
    private Optional<Instant> coated(LayerChoice layer, Instant at) {
        return zone.unstruck(LogEntry.Kind.COAT, layer.id()).stream()
                .map(LogEntry::at)
                .filter(t -> !t.isAfter(at))
                .max(Comparator.naturalOrder());
    }

    private Site site(Limits asked, Instant at) {
        return zone.judgedBy(asked, system, at);
    }

    /** What changes by the hour: the air, the slab's temperature, how long ago both were read, and the slab's age. */
    private List<Finding> air(ZoneFacts then, Instant at) {
        if (limits.isEmpty()) {
            return List.of();
        }
        if (then.survey().found().newest(Climate.ID).isEmpty()) {
            return List.of(Finding.of(Climate.ID + Survey.MISSING)
                    .measured("never read")
                    .needed("air and slab read before the first stir", OURS)
                    .hold(
                            "air and slab not read",
                            "Nobody can say whether the sheet's limits were kept.",
                            "Read air and slab, then mix."));
        }
        return then.survey().findings(site(limits.get(), at), Conduct::isOfTheHour).stream()
                .filter(f -> f.verdict() != Verdict.GO)
                .toList();
    }

    private static boolean isOfTheHour(TestMethod method) {
        return method.about().group() == TestGroup.AIR;
    }

    /** What the rest of the survey says, and preparation: the same until somebody learns more. */
    private List<Finding> ground(ZoneFacts then, Instant at) {
        var findings = new ArrayList<Finding>();
        limits.map(l -> site(l, at)).ifPresent(site -> {
            var found = new ArrayList<>(ZoneReport.doubts(then));
            found.addAll(then.survey().drawn(site));
            // what is not of the hour is the same whenever it is asked
            found.addAll(
                    then == zone && told.isPresent()
                            ? told.get().findings(m -> !isOfTheHour(m))
                            : then.survey().findings(site, m -> !isOfTheHour(m)));
            held(found).ifPresent(findings::add);
        });
        unprepared(run(then)).ifPresent(findings::add);
        return findings;
    }

    private static Optional<Finding> held(List<Finding> found) {
        List<Finding> held = found.stream()
                .filter(f -> f.verdict().compareTo(Verdict.HOLD) >= 0)
                .sorted(Comparator.comparing(Finding::verdict).reversed())
                .toList();
        if (held.isEmpty()) {
            return Optional.empty();
        }
        Finding first = held.get(0);
        return Optional.of(Finding.of("coat-against-survey")
                .measured(Survey.briefs(held))
                .needed("a survey that goes", OURS)
                .close(
                        first.verdict(),
                        first.verdict() == Verdict.STOP ? "the survey stops it" : "the survey is on hold",
                        first.because(),
                        first.remedy()));
    }

    private Optional<Finding> unprepared(PrepLog.Run run) {
        PrepReport prep = PrepReport.of(run, buildUp.profileByThickness(), zone, system);
        if (prep.mark() == Mark.DONE) {
            return Optional.empty();
        }
        String gate = prep.open().stream()
                .flatMap(s -> s.gate().stream())
                .map(g -> "\"" + g.title() + "\" has not passed")
                .findFirst()
                .orElse(Show.lower(prep.title()));
        return Optional.of(Finding.of("coat-before-gate")
                .measured(gate)
                .needed("every gate of preparation passed", OURS)
                .hold(
                        "preparation is not through",
                        "A film holds no better than what it was put on.",
                        "Finish preparation, gate by gate, before anything goes on."));
    }

    private static Finding order(LayerChoice layer, LayerChoice below) {
        String under = Show.lower(below.title());
        return Finding.of("coat-without-its-ground")
                .measured("no " + under + " logged")
                .needed(under + " first", Source.sheet(layer.sheet().name()))
                .hold(
                        Show.lower(layer.title()) + " without its " + under,
                        "What each coat holds on to is the one below it.",
                        "Log the " + under + " if it is on; otherwise put it on first.");
    }

    private List<Finding> coat(LogEntry e) {
        var findings = new ArrayList<>(coating(e.subject(), e.at()));
        layer(e.subject()).ifPresent(l -> findings.addAll(new CoatDone(zone, l, e, system).findings()));
        if (e.tellsUse() && zone.unstruck(LogEntry.Kind.BATCH, e.subject()).isEmpty()) {
            spread(e).ifPresent(findings::add);
        }
        return findings;
    }

    private List<Finding> batch(LogEntry e) {
        var findings = new ArrayList<>(coating(e.subject(), e.at()));
        spread(e).ifPresent(findings::add);
        return findings;
    }

    private Optional<Finding> spread(LogEntry e) {
        return layer(e.subject())
                .flatMap(l -> SpreadRate.against(e, l, zone.area(system).base(), system));
    }

    private List<Finding> deed(LogEntry e) {
        var findings = new ArrayList<Finding>();
        PrepLog.Run run = keys.contains(e.key())
                ? courses.computeIfAbsent(new Planned(upTo(planned, e.at()), e.method()), k -> done(zone, e))
                : done(zone.with(e), e);
        findings.addAll(misfits(e, run.course()));
        if (e.kind() == LogEntry.Kind.BEGUN) {
            unstaged(run.plan().steps(), e).ifPresent(findings::add);
        }
        return findings;
    }

    /** How everything went by the plan of that hour. A course is read in order: what comes after a deed makes it fit no better. */
    private PrepLog.Run done(ZoneFacts all, LogEntry e) {
        return PrepLog.run(all, PrepLog.planFor(zone.asOf(e.at()), e, need(), system), system);
    }

    /** Another way than the one that was begun. */
    private Optional<Finding> changed(LogEntry e) {
        return PrepLog.begun(zone.asOf(e.at().minusMillis(1)), need(), system)
                .filter(b -> !b.method().id().equals(e.subject()))
                .map(b -> Finding.of("method-changed")
                        .measured(Show.lower(b.method().title()) + " was begun")
                        .needed(
                                "one way for one coat, chosen before it is begun",
                                Source.commonPractice("grind or etch, never both for one coat"))
                        .hold(
                                "another way than was begun",
                                "What one way left is not what the other starts from.",
                                "Say why, and look at the floor again before the new way is begun."));
    }

    private static Finding misfit(Course.Misfit m, Course course) {
        boolean early = m.kind() == Course.Misfit.Kind.EARLY;
        return Finding.of(early ? "before-a-gate" : "against-the-log")
                .measured(early ? title(m.deed(), course) : m.fault().value())
                .needed(m.fault().accepted(), OURS)
                .hold(
                        early ? "done before a gate had passed" : "the log or the label says otherwise",
                        early
                                ? "What a gate stands for was not proved yet."
                                : "It proves nothing as it stands, and the gate stays open.",
                        early ? "Test the gate; what was done may have to be done again." : "Test it again.");
    }

    private static String title(Deed deed, Course course) {
        return course.turns().stream()
                .map(Course.Turn::step)
                .flatMap(s -> deed.kind() == Deed.Kind.TESTED
                        ? s.gate().filter(g -> g.id().equals(deed.subject())).map(Gate::title).stream()
                        : Stream.of(s.title()).filter(t -> s.id().equals(deed.subject())))
                .findFirst()
                .orElse(deed.subject());
    }

    private Optional<Finding> unstaged(List<Step> steps, LogEntry e) {
        List<Staging.Tick> ticked = PrepLog.ticks(zone).stream()
                .filter(t -> !t.at().isAfter(e.at()))
                .toList();
        Staging staging = Staging.of(steps, ticked, e.at());
        return steps.stream()
                .filter(s -> s.id().equals(e.subject()))
                .findFirst()
                .map(staging::missing)
                .filter(missing -> !missing.isEmpty())
                .map(missing -> Finding.of("begun-unstaged")
                        .measured("not ticked: " + String.join("; ", missing))
                        .needed("everything at hand before its clock starts", OURS)
                        .hold(
                                "begun before everything was at hand",
                                "Nobody fetches goggles or fresh water while a clock runs.",
                                "Lay it ready and tick it."));
    }
}

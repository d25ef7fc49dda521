package openslab.core.job;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import openslab.core.air.Location;
import openslab.core.floor.Ground;
import openslab.core.floor.Outline;
import openslab.core.floor.Shape;
import openslab.core.floor.Substrate;
import openslab.core.prep.PrepNeed;
import openslab.core.product.Clock;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Reading;
import openslab.core.survey.SetOut;
import openslab.core.survey.Verdict;
import openslab.core.survey.judge.Areas;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.Climate;
import openslab.core.survey.place.Placement;
import openslab.core.system.BuildUp;

/**
 * Everything that follows from a zone's facts at one moment.
 *
 * @param floor all of it, seen from above; {@code area} what is worked on in this cycle: with its slopes and stairs, or a patch
 * @param conduct what was done although something stood against it
 * @param cycles every one that the zone has been through, oldest first; the last is the one told of here
 * @param begins what can be begun next
 */
public record ZoneReport(
        String id,
        String name,
        Outline outline,
        List<Shape.Side> sides,
        Figure floor,
        Figure area,
        Figure perimeter,
        Optional<Limits> limits,
        Survey.Judgement survey,
        List<SetOut.Test> testsOut,
        List<Placement.Marked> places,
        List<Areas.Judged> areas,
        List<Areas.Share> shares,
        PrepReport prep,
        Figure totalDry,
        List<LayerReport> layers,
        List<Conduct.Stood> conduct,
        ServiceReport service,
        List<Stratum> strata,
        List<RunningClock> clocks,
        RunningClock.Next next,
        List<CycleReport> cycles,
        List<CycleReport.Begin> begins) {

    /**
     * A zone in short: what every screen of it shows.
     *
     * @param cycle the one that it is in
     * @param climate the newest reading of air and slab; {@code dew} what it says of the dew point
     */
    public record Head(
            String name,
            Figure area,
            List<Stratum> strata,
            List<RunningClock> clocks,
            RunningClock.Next next,
            CycleReport cycle,
            Optional<Reading> climate,
            Optional<Finding> dew) {}

    /**
     * Until when {@link #head} stays as it is, if nothing is written: the next moment at which something turns,
     * which may be this one.
     *
     * @param now when this was worked out
     */
    public Instant headHolds(Instant now) {
        var turns = new ArrayList<Instant>();
        clocks.forEach(c -> turns.addAll(List.of(c.from(), c.to())));
        next.at().ifPresent(at -> turns.addAll(List.of(at, at.minus(RunningClock.Next.A_DAY))));
        survey.findings().forEach(f -> f.readyAt().ifPresent(turns::add));
        survey.entries().stream()
                .map(Survey.Entry::reading)
                .filter(r -> r.method().equals(Climate.ID))
                .forEach(r -> turns.add(r.at().plus(Climate.FRESH)));
        testsOut.forEach(t -> {
            turns.add(t.from());
            t.until().ifPresent(turns::add);
        });
        prep.steps().forEach(s -> {
            s.ready().ifPresent(turns::add);
            s.usual().ifPresent(turns::add);
        });
        layers.forEach(l -> {
            l.start().ifPresent(turns::add);
            l.clocks().forEach(c -> c.at().ifPresent(turns::add));
        });
        service.ladder().forEach(c -> c.at().ifPresent(turns::add));
        service.reseal().ifPresent(r -> turns.add(r.due()));
        return turns.stream()
                .filter(t -> !t.isBefore(now))
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX);
    }

    public Head head() {
        return new Head(
                name,
                area,
                strata,
                clocks,
                next,
                cycles.get(cycles.size() - 1),
                survey.entries().stream()
                        .filter(e -> e.reading().method().equals(Climate.ID) && !e.superseded())
                        .map(Survey.Entry::reading)
                        .findFirst(),
                survey.findings().stream()
                        .filter(f -> f.rule().equals(Climate.DEW))
                        .findFirst());
    }

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("uuuu-MM", Locale.ROOT);
    private static final Source PLAN = Source.ours("a floor is coated by its measured shape");

    /** @param where the floor is: its days and months are counted there, and the sun stands over it */
    public static ZoneReport of(ZoneFacts zone, UnitSystem system, Location where, Instant now) {
        Figure floor = zone.shape().area(system);
        Figure area = zone.area(system);
        BuildUp buildUp = buildUp(zone, system);
        Optional<Limits> limits = buildUp.limits();
        Survey survey = zone.survey();
        List<Finding> besides = new ArrayList<>(doubts(zone));
        if (limits.isEmpty() && zone.ground() != Ground.FILM_KEPT) {
            besides.add(nothingChosen());
        }
        // what was read is told whether anything was chosen or not
        var site = zone.judgedBy(limits.orElse(Limits.NONE), system, now);
        Survey.Told told = survey.told(site, besides);
        Survey.Judgement judged = told.judgement();
        PrepNeed need = PrepLog.need(zone, buildUp);
        PrepLog.Run run = PrepLog.run(zone, need, system);
        PrepReport prep = PrepReport.of(run, buildUp.profileByThickness(), zone, system);
        var conduct = new Conduct(zone, buildUp, system).knowing(run, Optional.of(told));
        List<LayerReport> layers = LayerStack.of(zone, buildUp, conduct, area.base(), where, system, now);
        Optional<LayerReport> before = before(zone, where, system, now);
        ServiceReport service = ServiceReport.of(top(layers), before, zone, where.zone(), system, now);
        return new ZoneReport(
                zone.id(),
                zone.name(),
                zone.shape().outline(),
                zone.shape().sides(),
                floor,
                area,
                zone.edge(system),
                limits,
                judged,
                zone.testsOut().stream().map(t -> t.at(now)).toList(),
                zone.places(),
                survey.areas(),
                Areas.shares(survey.areas(), zone.shape().rings(), floor.base(), system),
                prep,
                buildUp.totalDry(),
                layers,
                conduct.all(),
                service,
                strata(zone.substrate(), judged, film(zone, where, system), prep, layers, service),
                DayLine.clocks(survey, judged, prep, layers, zone),
                DayLine.next(
                        judged,
                        zone.testsOut(),
                        prep,
                        layers,
                        service,
                        before.filter(b -> zone.ground() == Ground.FILM_KEPT),
                        now),
                CycleReport.all(zone, system),
                CycleReport.begins(zone));
    }

    private static Optional<LayerReport> top(List<LayerReport> layers) {
        return layers.stream().filter(l -> !l.isBroadcast()).reduce((a, b) -> b);
    }

    /** What an earlier cycle laid last over the whole floor. */
    private static Optional<LayerReport> before(ZoneFacts zone, Location where, UnitSystem system, Instant now) {
        return zone.coatedBefore().map(zone::through).flatMap(then -> {
            BuildUp buildUp = buildUp(then, system);
            double areaM2 = then.area(system).base();
            return top(LayerStack.of(then, buildUp, new Conduct(then, buildUp, system), areaM2, where, system, now));
        });
    }

    private static BuildUp buildUp(ZoneFacts zone, UnitSystem system) {
        return BuildUp.of(zone.sheets(), system);
    }

    /** What lies on the floor already. */
    private static List<Stratum> film(ZoneFacts zone, Location where, UnitSystem system) {
        var strata = new ArrayList<Stratum>();
        for (Past.Laid laid : zone.film()) {
            double dryUm = BuildUp.thicknessUm(laid.layer().laid().material());
            strata.add(Stratum.of(
                    "film-" + laid.cycle() + "-" + laid.layer().id(),
                    Stratum.Kind.of(laid.layer().role()),
                    laid.layer().title(),
                    "laid " + MONTH.format(laid.on().atZone(where.zone())),
                    Mark.DONE,
                    dryUm));
        }
        return strata;
    }

    /** Why its measure cannot be built on. */
    static List<Finding> doubts(ZoneFacts zone) {
        var findings = new ArrayList<Finding>();
        zone.plan()
                .doubts()
                .forEach(d -> findings.add(Finding.of(d.rule())
                        .measured(d.measured())
                        .needed(d.needed(), PLAN)
                        .hold(Show.lower(d.title()), d.why(), d.remedy())));
        return findings;
    }

    private static Finding nothingChosen() {
        return Finding.of("build-up")
                .measured("no build-up chosen")
                .needed("a build-up whose sheets state limits", Source.ours("a verdict is given for a build-up"))
                .hold(
                        "no build-up chosen",
                        "Whether a floor may be coated depends on what goes on it.",
                        "Choose the layers, then this survey is judged against their sheets.");
    }

    private static List<Stratum> strata(
            Substrate substrate,
            Survey.Judgement judged,
            List<Stratum> film,
            PrepReport prep,
            List<LayerReport> layers,
            ServiceReport service) {
        var strata = new ArrayList<Stratum>();
        long reasons = judged.findings().stream()
                .filter(f -> f.verdict() == judged.verdict() && f.verdict() != Verdict.GO)
                .count();
        String why = reasons == 0 ? "tested enough" : reasons == 1 ? "1 reason" : reasons + " reasons";
        strata.add(Stratum.slab(substrate, why, Mark.of(judged.verdict())));
        strata.addAll(film);
        strata.add(Stratum.of(Stratum.PREP, Stratum.Kind.PREP, "Preparation", prepDetail(prep), prep.mark(), 0));
        for (LayerReport layer : layers) {
            String detail =
                    layer.dry().map(Figure::text).orElseGet(() -> layer.amount().text());
            strata.add(Stratum.of(
                    layer.id(),
                    Stratum.Kind.of(layer.role()),
                    layer.title(),
                    detail,
                    layer.mark(),
                    layer.dry().map(Figure::base).orElse(0.0)));
        }
        String due = service.reseal().isPresent()
                ? "reseal " + service.reseal().get().interval().text()
                : "";
        strata.add(Stratum.of(Stratum.SERVICE, Stratum.Kind.SERVICE, "In service", due, service.mark(), 0));
        return List.copyOf(strata);
    }

    private static String prepDetail(PrepReport prep) {
        if (prep.method().isEmpty()) {
            return "no method fits";
        }
        if (prep.repeating().isPresent()) {
            return "again: " + Show.lower(prep.repeating().get().title());
        }
        String title = Show.lower(prep.title());
        if (prep.mark() == Mark.IN_HAND) {
            int done = prep.steps().size() - prep.open().size();
            return title + ", " + done + " of " + prep.steps().size();
        }
        return prep.opens() && !prep.need().isEmpty() ? title + ", " + prep.need() : title;
    }

    /** When somebody may walk on what was put on last; empty where somebody may at {@code now}, and where nothing is on. */
    public Optional<Instant> wetUntil(Instant now) {
        return layers.stream()
                .filter(LayerReport::coated)
                .reduce((under, top) -> top)
                .flatMap(l -> l.at(Clock.LIGHT_FOOT).or(() -> l.at(Clock.RECOAT_OPENS)))
                .filter(now::isBefore);
    }
}

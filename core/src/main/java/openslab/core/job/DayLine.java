package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import openslab.core.product.Clock;
import openslab.core.quantity.Show;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.SetOut;
import openslab.core.survey.Verdict;
import openslab.core.survey.judge.Survey;

/** Every clock of a zone as a bar, and the one that needs attention first. */
final class DayLine {
    private DayLine() {}

    static List<RunningClock> clocks(
            Survey survey, Survey.Judgement judged, PrepReport prep, List<LayerReport> layers, ZoneFacts zone) {
        var bars = new ArrayList<RunningClock>();
        for (Finding finding : judged.findings()) {
            finding.readyAt()
                    .ifPresent(ready -> bars.add(
                            new RunningClock(finding.brief(), readAt(survey, finding), ready, Mark.HOLD, false)));
        }
        for (SetOut.Test out : zone.testsOut()) {
            String at = " at " + out.place();
            bars.add(new RunningClock(out.rule().waiting() + at, out.at(), out.from(), Mark.HOLD, false));
            out.until()
                    .ifPresent(until -> bars.add(
                            new RunningClock(out.rule().then() + at, out.from(), until, Mark.WINDOW_OPEN, false)));
        }
        prep.running()
                .ifPresent(s -> bars.add(new RunningClock(
                        Show.lower(s.title()),
                        s.started().orElseThrow(),
                        s.ready().orElseThrow(),
                        s.timed() ? Mark.IN_HAND : Mark.WET,
                        false)));
        for (LayerReport layer : layers) {
            boolean planned = !layer.coated();
            String name = Show.lower(layer.title());
            potLives(layer, zone, name, bars);
            layer.running().ifPresent(s -> stepping(name, s, bars));
            layer.start().filter(s -> layer.mark() != Mark.DONE).ifPresent(start -> layer.at(Clock.RECOAT_OPENS)
                    .ifPresent(opens -> {
                        bars.add(new RunningClock(name + " too wet to recoat", start, opens, Mark.WET, planned));
                        layer.at(Clock.RECOAT_CLOSES)
                                .ifPresent(closes -> bars.add(new RunningClock(
                                        name + " recoat window", opens, closes, Mark.WINDOW_OPEN, planned)));
                    }));
        }
        layers.stream().filter(l -> !l.isBroadcast()).reduce((a, b) -> b).ifPresent(top -> service(top, bars));
        bars.sort(Comparator.comparing(RunningClock::from).thenComparing(RunningClock::to));
        return List.copyOf(bars);
    }

    /** A step of laying whose clock runs: until its first look, or as long as its window is open. */
    private static void stepping(String name, StepReport step, List<RunningClock> bars) {
        step.ready().ifPresent(ready -> {
            String what = name + ": " + Show.lower(step.title());
            bars.add(new RunningClock(what, step.started().orElseThrow(), ready, Mark.IN_HAND, false));
            step.closes()
                    .ifPresent(closes ->
                            bars.add(new RunningClock(what + ", window", ready, closes, Mark.WINDOW_OPEN, false)));
        });
    }

    private static Instant readAt(Survey survey, Finding finding) {
        return survey.found().all().stream()
                .filter(r -> r.place().equals(finding.place()) && finding.rule().startsWith(r.method()))
                .map(Reading::at)
                .max(Comparator.naturalOrder())
                .orElseGet(() -> finding.readyAt().orElseThrow());
    }

    private static void potLives(LayerReport layer, ZoneFacts zone, String name, List<RunningClock> bars) {
        int number = 0;
        for (LogEntry batch : zone.unstruck(LogEntry.Kind.BATCH, layer.id())) {
            String which = name + " batch " + ++number + " in the bucket";
            LayerSchedule.useBy(layer.sheet(), batch.at(), zone)
                    .ifPresent(over -> bars.add(new RunningClock(which, batch.at(), over, Mark.IN_HAND, false)));
        }
    }

    private static void service(LayerReport top, List<RunningClock> bars) {
        top.start().ifPresent(start -> {
            for (LayerReport.TimedClock clock : top.clocks()) {
                if (clock.clock().isService()) {
                    clock.at()
                            .ifPresent(at -> bars.add(new RunningClock(
                                    "until " + clock.label().toLowerCase(java.util.Locale.ROOT),
                                    start,
                                    at,
                                    Mark.CURING,
                                    !top.coated())));
                }
            }
        });
    }

    /**
     * What the rack counts down to.
     *
     * @param kept the top of a film that stays, where nothing goes on it
     */
    static RunningClock.Next next(
            Survey.Judgement judged,
            List<SetOut.Test> out,
            PrepReport prep,
            List<LayerReport> layers,
            ServiceReport service,
            Optional<LayerReport> kept,
            Instant now) {
        List<LayerReport> liquids =
                layers.stream().filter(l -> !l.isBroadcast()).toList();
        Optional<LayerReport> top = liquids.stream().filter(LayerReport::coated).reduce((a, b) -> b);
        Optional<RunningClock.Next> ofLaying = laying(layers, now);
        if (ofLaying.isPresent()) {
            return ofLaying.get();
        }
        Optional<RunningClock.Next> ofThrowing = throwing(layers, now);
        if (ofThrowing.isPresent()) {
            return ofThrowing.get();
        }
        if (top.isPresent()) {
            int above = liquids.indexOf(top.get()) + 1;
            return above < liquids.size()
                    ? beforeCoat(top.get(), liquids.get(above), now)
                            .in(liquids.get(above).id())
                    : inService(top.get(), service, now);
        }
        Optional<RunningClock.Next> ofPrep = preparing(prep, now);
        if (ofPrep.isPresent()) {
            return ofPrep.get();
        }
        if (kept.isPresent() && prep.mark() == Mark.NOT_STARTED) {
            return RunningClock.Next.of(Show.lower(prep.title()), Optional.empty(), Mark.NOT_STARTED, now)
                    .in(Stratum.PREP);
        }
        if (judged.verdict() == Verdict.HOLD || judged.verdict() == Verdict.STOP) {
            Optional<Instant> waits = judged.earliestAnswer().filter(now::isBefore);
            if (!out.isEmpty() && waits.map(w -> !w.isBefore(out.get(0).from())).orElse(true)) {
                return comeBack(out.get(0), now).in(Stratum.SLAB);
            }
            return RunningClock.Next.of(
                            judged.summary().replaceFirst("\\.$", ""), waits, Mark.of(judged.verdict()), now)
                    .in(Stratum.SLAB);
        }
        if (kept.isPresent() && prep.mark() == Mark.DONE) {
            return inService(kept.get(), service, now);
        }
        if (prep.mark() != Mark.DONE) {
            return RunningClock.Next.of(
                            prep.title() + ", then its gates", Optional.empty(), Mark.of(judged.verdict()), now)
                    .in(Stratum.PREP);
        }
        return liquids.stream()
                .findFirst()
                .map(first -> goesOn(first, now).in(first.id()))
                .orElseGet(() -> RunningClock.Next.of("Choose a build-up", Optional.empty(), Mark.HOLD, now)
                        .in(Stratum.BUILD_UP));
    }

    /** A clock that runs, a step that is done again, or the step it stands at; empty where nobody has begun. */
    private static Optional<RunningClock.Next> preparing(PrepReport prep, Instant now) {
        if (!prep.against().isEmpty()) {
            return Optional.of(RunningClock.Next.of(
                            prep.against().get(0).replaceFirst("\\.$", ""), Optional.empty(), Mark.HOLD, now)
                    .in(Stratum.PREP));
        }
        if (prep.looksAgain()) {
            return Optional.of(RunningClock.Next.of(
                            "walk the floor again, then its way is chosen", Optional.empty(), Mark.HOLD, now)
                    .in(Stratum.SLAB));
        }
        return stepping(prep.open(), prep.mark() == Mark.IN_HAND, now).map(n -> n.in(Stratum.PREP));
    }

    /** The layer that is being laid: what its clock runs for, or what is to be done to it. */
    private static Optional<RunningClock.Next> laying(List<LayerReport> layers, Instant now) {
        Optional<LayerReport> first = layers.stream()
                .filter(l -> l.begun() && (!l.coated() || l.openGate().isPresent() || isWorkedOn(l, layers)))
                .filter(l -> layers.subList(layers.indexOf(l) + 1, layers.size()).stream()
                        .noneMatch(LayerReport::coated))
                .findFirst();
        return first.flatMap(l -> stepping(l.open(), true, now).map(n -> n.in(l.id())));
    }

    /** What is thrown into the coat that is on, as long as that is wet, for all that its sheet says: nothing above it is on yet. */
    private static Optional<RunningClock.Next> throwing(List<LayerReport> layers, Instant now) {
        int on = -1;
        for (int i = 0; i < layers.size(); i++) {
            on = layers.get(i).coated() ? i : on;
        }
        if (on < 0 || on + 1 == layers.size() || !layers.get(on + 1).isBroadcast()) {
            return Optional.empty();
        }
        LayerReport coat = layers.get(on);
        LayerReport above = layers.get(on + 1);
        Optional<Instant> set = coat.at(Clock.RECOAT_OPENS).or(() -> coat.at(Clock.LIGHT_FOOT));
        return set.map(now::isBefore).orElse(true)
                ? Optional.of(RunningClock.Next.of(
                                Show.lower(above.title()) + " into the wet coat", Optional.empty(), Mark.IN_HAND, now)
                        .in(above.id()))
                : Optional.empty();
    }

    /** Whether hands are still on a coat that is on: a floor that is in use is not held up by it, whatever was not logged of it. */
    private static boolean isWorkedOn(LayerReport layer, List<LayerReport> layers) {
        boolean last = layers.indexOf(layer) == layers.size() - 1;
        return (!last || layer.mark() == Mark.WET)
                && layer.open().stream().anyMatch(s -> s.waits().isEmpty());
    }

    private static Optional<RunningClock.Next> stepping(List<StepReport> open, boolean inHand, Instant now) {
        Optional<StepReport> running =
                open.stream().filter(s -> s.ready().isPresent()).findFirst();
        boolean handsFirst = running.isPresent()
                && !running.get().timed()
                && open.get(0).waits().isEmpty()
                && open.get(0).gate().isEmpty();
        if (running.isPresent() && !handsFirst) {
            Instant ready = running.get().ready().orElseThrow();
            Optional<String> gated = running.get().gate().map(g -> Show.lower(g.title()));
            String gate = gated.orElseGet(() -> after(running.get(), open));
            return Optional.of(
                    now.isBefore(ready)
                            ? RunningClock.Next.of(
                                    running.get().timed() ? "then " + gate : "until " + gate,
                                    Optional.of(ready),
                                    running.get().timed() ? Mark.IN_HAND : Mark.WET,
                                    now)
                            : RunningClock.Next.of(
                                            (gated.isPresent() ? "test now: " : "now: ") + gate,
                                            running.get().closes(),
                                            Mark.WINDOW_OPEN,
                                            now)
                                    .called("now"));
        }
        Optional<StepReport> first = open.stream().findFirst();
        Optional<RunningClock.Next> again = first.filter(s -> s.round() > 1)
                .map(s -> RunningClock.Next.of("again: " + Show.lower(s.title()), Optional.empty(), Mark.HOLD, now));
        if (again.isPresent() || !inHand) {
            return again;
        }
        return first.map(s -> RunningClock.Next.of(Show.lower(s.title()), Optional.empty(), Mark.IN_HAND, now));
    }

    /** What comes after a step that no gate closes. */
    private static String after(StepReport step, List<StepReport> open) {
        int next = open.indexOf(step) + 1;
        return Show.lower(next < open.size() ? open.get(next).title() : step.title());
    }

    /** To a test that stands on the floor: not before its time, and then within its window. */
    private static RunningClock.Next comeBack(SetOut.Test out, Instant now) {
        String what = out.rule().then() + " at " + out.place();
        if (now.isBefore(out.from())) {
            return RunningClock.Next.of("then " + what, Optional.of(out.from()), Mark.HOLD, now);
        }
        boolean late = out.until().map(u -> u.isBefore(now)).orElse(false);
        return RunningClock.Next.of(
                late ? what + " has stood too long" : what + " now",
                out.until(),
                late ? Mark.OVERDUE : Mark.WINDOW_OPEN,
                now);
    }

    private static RunningClock.Next beforeCoat(LayerReport done, LayerReport next, Instant now) {
        String coat = Show.lower(next.title());
        return switch (done.mark()) {
            case WET ->
                RunningClock.Next.of("window opens for the " + coat, done.at(Clock.RECOAT_OPENS), Mark.WET, now);
            case WINDOW_OPEN ->
                // what has no window that closes goes on when it is planned
                done.at(Clock.RECOAT_CLOSES)
                        .map(closes -> RunningClock.Next.of(
                                "window closes for the " + coat, Optional.of(closes), Mark.WINDOW_OPEN, now))
                        .orElseGet(() -> goesOn(next, now));
            default ->
                RunningClock.Next.of(
                        "window missed: abrade, then the " + coat, done.at(Clock.RECOAT_CLOSES), Mark.OVERDUE, now);
        };
    }

    private static RunningClock.Next goesOn(LayerReport layer, Instant now) {
        return RunningClock.Next.of(layer.title() + " goes on", layer.start().filter(now::isBefore), Mark.GO, now);
    }

    private static RunningClock.Next inService(LayerReport top, ServiceReport service, Instant now) {
        Optional<LayerReport.TimedClock> running = service.ladder().stream()
                .filter(c -> c.at().map(now::isBefore).orElse(false))
                .min(Comparator.comparing(c -> c.at().orElseThrow()));
        if (running.isPresent()) {
            return RunningClock.Next.of(
                            "until " + running.get().label().toLowerCase(java.util.Locale.ROOT),
                            running.get().at(),
                            top.mark(),
                            now)
                    .in(Stratum.SERVICE);
        }
        return service.reseal()
                .map(r -> RunningClock.Next.of("reseal due", Optional.of(r.due()), service.mark(), now))
                .orElseGet(() -> RunningClock.Next.rests("in service, no day to reseal known", service.mark()))
                .in(Stratum.SERVICE);
    }
}

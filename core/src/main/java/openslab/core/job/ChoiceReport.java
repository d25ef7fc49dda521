package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.choose.Asked;
import openslab.core.choose.Needs;
import openslab.core.choose.Offer;
import openslab.core.choose.Reason;
import openslab.core.choose.Weighed;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.PrepPlan;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Site;
import openslab.core.survey.Verdict;
import openslab.core.survey.judge.Survey;
import openslab.core.system.Blemish;
import openslab.core.system.BuildUp;
import openslab.core.system.Candidate;
import openslab.core.system.FloorSystem;
import openslab.core.system.LayWorks;

/**
 * Which system for this floor and these people.
 *
 * @param needs what counts, in the order it is asked
 * @param offered in order: fewest needs unmet, then what the floor says, then money, then hours
 * @param refused each with the rule that refuses it
 * @param replace what taking the floor up would mean
 */
public record ChoiceReport(List<NeedWords> needs, List<Suggested> offered, List<Suggested> refused, Replacing replace) {
    /** @param why the use or the exposure where nobody said it */
    public record NeedWords(String id, String title, String words, String why) {}

    /**
     * One system.
     *
     * @param rung how much is done to the floor; {@code money} what it costs beside the others, both in words
     * @param unmet how many of what is needed it does not meet
     * @param never what it does not hide or make good, whatever anybody does
     * @param first what has to be done before anything goes on, in order
     * @param settled what has to be agreed, because it cannot be undone cheaply
     * @param closed until people walk on it again, waiting alone
     * @param due after how long it is due again, in words
     * @param layers what it is laid of here, from the floor upward
     */
    public record Suggested(
            String id,
            String title,
            String note,
            String rung,
            String money,
            Verdict verdict,
            String summary,
            int unmet,
            List<Reason> reasons,
            List<String> hides,
            List<String> never,
            String look,
            String care,
            List<String> first,
            List<String> settled,
            Optional<Figure> closed,
            String due,
            List<LayerRole> layers) {}

    /**
     * @param money what it costs before uplift, disposal and making good, where that is known; empty otherwise
     * @param rate at which, and where it comes from; empty likewise
     */
    public record Replacing(String words, Optional<Figure> money, String rate) {}

    private static final Source WAITS =
            Source.sheet("the waits of preparation, of each step and of each coat, one after another");
    /** GBP a square metre. */
    private static final int LEAST = 50;

    private static final int MOST = 60;
    private static final double MIDDLE = (LEAST + MOST) / 2.0;
    private static final String RANGE = LEAST + " to " + MOST + " GBP a square metre";

    private static final String RATE = "GBP before that, at " + RANGE + " in one country: ask what it costs here.";

    private static final Source REPLACED = Source.commonPractice(
            RANGE + " for luxury vinyl in one country: ask a price here; uplift, disposal and making good on top");

    /** @param candidates those that stand on the shelf whole */
    public static ChoiceReport of(List<Candidate> candidates, ZoneFacts zone, UnitSystem units, Instant now) {
        List<Asked> asked = Asked.of(said(zone), zone.use(), zone.exposure());
        var floor = new Floor(zone, units, now);
        List<Met> met = candidates.stream()
                .map(c -> floor.meet(c, asked))
                .sorted(Comparator.comparing(Met::weighed, Weighed.ORDER))
                .toList();
        List<Suggested> choices = met.stream().map(floor::choice).toList();
        long offered = met.stream().filter(m -> !m.weighed.isRefused()).count();
        return new ChoiceReport(
                asked.stream()
                        .map(a -> new NeedWords(
                                a.need().id(),
                                a.need().field().label(),
                                a.need().words(a.value()),
                                a.why()))
                        .toList(),
                choices.subList(0, (int) offered),
                choices.subList((int) offered, choices.size()),
                replacing(zone, units));
    }

    /** What somebody said last of what is needed, in this cycle. */
    public static Map<String, Value> said(ZoneFacts zone) {
        return zone.newest(LogEntry.Kind.NEED, Needs.SUBJECT)
                .map(LogEntry::values)
                .orElse(Map.of());
    }

    private static Replacing replacing(ZoneFacts zone, UnitSystem units) {
        boolean known =
                switch (zone.substrate()) {
                    case VINYL_PLANK, VINYL_SHEET -> true;
                    default -> false;
                };
        String words =
                "Hides everything; costs the most: uplift, disposal, making good the floor below, and the new floor.";
        return known
                ? new Replacing(words, Optional.of(money(zone, units)), RATE)
                : new Replacing(words, Optional.empty(), "");
    }

    private static Figure money(ZoneFacts zone, UnitSystem units) {
        double areaM2 = zone.area(units).base();
        var w = new Worksheet(units);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("p", "GBP a square metre, the middle of " + LEAST + " to " + MOST, MIDDLE, Unit.ONE);
        return w.figure(
                "a new floor, in GBP, a figure of one country", "M", "A·p", areaM2 * MIDDLE, Unit.ONE, REPLACED);
    }

    /** What one system meets on the floor. */
    private record Met(Weighed weighed, Survey.Weighed judged, PrepPlan plan) {}

    /** One floor, and what every system meets on it. */
    private static final class Floor {
        private final ZoneFacts zone;
        private final UnitSystem units;
        private final Instant now;
        private final List<Finding> doubts;
        private final Set<String> stopsAll;

        Floor(ZoneFacts zone, UnitSystem units, Instant now) {
            this.zone = zone;
            this.units = units;
            this.now = now;
            this.doubts = ZoneReport.doubts(zone);
            this.stopsAll = zone.survey().weigh(site(Limits.NONE, PrepAsks.NOTHING), doubts).findings().stream()
                    .filter(f -> f.verdict() == Verdict.STOP)
                    .map(Finding::rule)
                    .collect(Collectors.toSet());
        }

        private Site site(Limits limits, PrepAsks asks) {
            return zone.judgedBy(limits, asks, units, now);
        }

        /** Judged, planned and weighed once each. */
        Met meet(Candidate candidate, List<Asked> asked) {
            Survey.Weighed judged = zone.survey()
                    .weigh(
                            site(
                                    BuildUp.limitsOf(candidate.sheets()).orElse(Limits.NONE),
                                    candidate.system().prep()),
                            doubts);
            PrepPlan plan = PrepLog.plan(
                    zone,
                    BuildUp.of(candidate.sheets(), units)
                            .profileNeed()
                            .asking(candidate.system().prep()),
                    units);
            var offer = new Offer(candidate, zone.substrate(), zone.use(), zone.exposure(), closed(candidate, plan));
            List<Finding> stops = judged.findings().stream()
                    .filter(f -> f.verdict() == Verdict.STOP && !stopsAll.contains(f.rule()))
                    .toList();
            return new Met(Weighed.of(offer, judged.verdict(), stops, asked, units), judged, plan);
        }

        private Optional<Figure> closed(Candidate candidate, PrepPlan plan) {
            if (!candidate.system().on().contains(zone.substrate())) {
                return Optional.empty();
            }
            var waits = Waiting.on(zone, now);
            double prepMin =
                    waits.steps(plan.steps().stream().map(s -> s.waits()).toList());
            double layMin = 0;
            double betweenMin = 0;
            // two coats of one sheet are one sheet: only its place tells the last coat
            int top = candidate.topAt();
            for (int i = 0; i < candidate.sheets().size(); i++) {
                layMin += waits.laid(candidate.ways().get(i), candidate.sheets().get(i));
                betweenMin += i < top ? waits.recoat(candidate.sheets().get(i)) : 0;
            }
            OptionalDouble footMin = waits.foot(candidate.top());
            if (waits.isUnsaid() || footMin.isEmpty()) {
                return Optional.empty();
            }
            double allMin = prepMin + layMin + betweenMin + footMin.getAsDouble();
            Unit unit = Unit.DAY.fromBase(allMin) < 2 ? Unit.HOUR : Unit.DAY;
            var w = new Worksheet(units);
            w.given("p", "drying while it is prepared", unit.fromBase(prepMin), unit);
            w.given("l", "waits between the steps of laying", unit.fromBase(layMin), unit);
            w.given("r", "from coat to coat", unit.fromBase(betweenMin), unit);
            w.given("f", "from the last coat to the first feet", unit.fromBase(footMin.getAsDouble()), unit);
            return Optional.of(w.figure("closed, waiting alone", "t", "p+l+r+f", unit.fromBase(allMin), unit, WAITS));
        }

        Suggested choice(Met met) {
            Weighed weighed = met.weighed;
            Candidate candidate = weighed.offer().candidate();
            FloorSystem system = candidate.system();
            return new Suggested(
                    system.id(),
                    system.title(),
                    system.note(),
                    system.rung().words(),
                    system.face().moneyWords(),
                    weighed.verdict(),
                    met.judged.summary(),
                    weighed.needsUnmet(),
                    weighed.reasons(),
                    labels(system.hides()),
                    labels(system.never()),
                    system.look(),
                    system.care(),
                    weighed.isRefused() ? List.of() : first(met),
                    candidate.ways().stream()
                            .flatMap(w -> w.steps().stream())
                            .filter(s -> s.work() == LayWorks.SETTLE)
                            .map(s -> s.title())
                            .distinct()
                            .toList(),
                    weighed.offer().closed(),
                    weighed.offer().due(),
                    candidate.sheets().stream().map(ProductSheet::role).toList());
        }

        private static List<String> first(Met met) {
            var first = new ArrayList<String>();
            met.judged.findings().stream()
                    .filter(f -> f.verdict() == Verdict.STOP)
                    .map(Finding::remedy)
                    .forEach(first::add);
            met.judged.missing().forEach(m -> first.add(m.title() + ", " + m.more() + " more"));
            met.plan
                    .method()
                    .ifPresentOrElse(
                            m -> first.add(m.title() + ": " + met.plan.steps().size() + " steps"),
                            () -> first.add("No method of preparation fits this place."));
            return first.stream().distinct().toList();
        }

        private static List<String> labels(Set<Blemish> blemishes) {
            return blemishes.stream()
                    .sorted(Comparator.naturalOrder())
                    .map(Blemish::label)
                    .toList();
        }
    }
}

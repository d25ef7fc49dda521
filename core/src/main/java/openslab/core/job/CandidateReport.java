package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Use;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Site;
import openslab.core.survey.Verdict;
import openslab.core.survey.judge.Survey;
import openslab.core.system.BuildUp;
import openslab.core.system.Candidate;

/**
 * What the same floor means for one build-up that might go on it.
 *
 * @param limits what it asks of the slab's moisture, in words
 * @param meant whether it is meant for what the floor is used for, as far as anybody said
 * @param missing the tests it still asks for, each with how many: "pull-off (3)"
 * @param without the word if every missing test came out well: what is measured already stays as it is
 */
public record CandidateReport(
        String id,
        String title,
        String note,
        Verdict verdict,
        String summary,
        String limits,
        List<String> missing,
        Verdict without,
        boolean meant) {

    /** Each candidate that sets limits, in the order given. */
    public static List<CandidateReport> of(List<Candidate> candidates, ZoneFacts zone, UnitSystem system, Instant now) {
        List<Finding> besides = ZoneReport.doubts(zone);
        return candidates.stream()
                .filter(c -> c.system().on().contains(zone.substrate()))
                .flatMap(c -> BuildUp.limitsOf(c.sheets()).stream()
                        .map(l -> zone.judgedBy(l, c.system().prep(), system, now))
                        .map(site -> of(c, zone, site, besides)))
                .toList();
    }

    private static CandidateReport of(Candidate candidate, ZoneFacts zone, Site site, List<Finding> besides) {
        Survey.Weighed judged = zone.survey().weigh(site, besides);
        List<String> missing = judged.missing().stream()
                .map(m -> Show.lower(m.title()) + " (" + m.more() + ")")
                .toList();
        List<Verdict> measured = judged.findings().stream()
                .filter(f -> !f.rule().endsWith(Survey.MISSING))
                .map(Finding::verdict)
                .toList();
        return new CandidateReport(
                candidate.system().id(),
                candidate.system().title(),
                candidate.system().note(),
                judged.verdict(),
                judged.summary(),
                words(site.limits()),
                missing,
                measured.isEmpty() ? Verdict.GO : Verdict.worst(measured),
                zone.use() == Use.UNSAID || candidate.system().uses().contains(zone.use()));
    }

    private static String words(Limits limits) {
        Optional<String> emission = Optional.of(limits.mverMaxLb())
                .filter(Double::isFinite)
                .map(m -> Bound.atMost(m, Unit.MVER).with(0).number() + " lb");
        Optional<String> humidity = Optional.of(limits.slabRhMaxPct())
                .filter(Double::isFinite)
                .map(h -> Bound.atMost(h, Unit.PERCENT).text() + " in the slab");
        return emission.map(e -> e + humidity.map(h -> ", " + h).orElse(""))
                .or(() -> humidity)
                .orElse("Lets vapour through");
    }
}

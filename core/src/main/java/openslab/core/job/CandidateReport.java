package openslab.core.job;

import java.util.List;
import java.util.Optional;
import openslab.core.buildup.BuildUp;
import openslab.core.buildup.Candidate;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Site;
import openslab.core.survey.Survey;
import openslab.core.survey.Verdict;

/**
 * What the same floor means for one build-up that might go on it.
 *
 * @param limits what it asks of the slab's moisture, in words
 * @param missing the tests it still asks for, each with how many
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
        Verdict without) {

    /** @param site what the zone is judged against, whatever its limits */
    static List<CandidateReport> of(
            List<Candidate> candidates, Survey survey, Site site, List<Finding> besides, UnitSystem system) {
        return candidates.stream()
                .flatMap(
                        c -> BuildUp.of(c.sheets(), system).limits().map(l -> of(c, l, survey, site, besides)).stream())
                .toList();
    }

    private static CandidateReport of(
            Candidate candidate, Limits limits, Survey survey, Site site, List<Finding> besides) {
        Site own = new Site(limits, site.substrate(), site.areaM2(), site.units(), site.now());
        Survey.Judgement judged = survey.judge(own, besides);
        List<String> missing = judged.tallies().stream()
                .filter(t -> t.required() && t.taken() < t.needed().value())
                .map(t -> more(t, (int) t.needed().value() - t.taken()))
                .toList();
        List<Verdict> measured = judged.findings().stream()
                .filter(f -> !f.rule().endsWith(Survey.MISSING))
                .map(Finding::verdict)
                .toList();
        return new CandidateReport(
                candidate.id(),
                candidate.title(),
                candidate.note(),
                judged.verdict(),
                judged.summary(),
                words(limits),
                missing,
                measured.isEmpty() ? Verdict.GO : Verdict.worst(measured));
    }

    private static String more(Survey.Tally tally, int n) {
        return n + " more " + Show.lower(tally.title());
    }

    private static String words(Limits limits) {
        Optional<String> emission =
                Optional.of(limits.mverMaxLb()).filter(Double::isFinite).map(m -> Show.number(m, 0) + " lb");
        Optional<String> humidity = Optional.of(limits.slabRhMaxPct())
                .filter(Double::isFinite)
                .map(h -> Show.number(h, 0) + " % in the slab");
        return emission.map(e -> e + humidity.map(h -> ", " + h).orElse(""))
                .or(() -> humidity)
                .orElse("Lets vapour through");
    }
}

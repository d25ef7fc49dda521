package openslab.server.exchange;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import openslab.core.job.CandidateReport;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.Show;
import openslab.core.survey.Finding;
import openslab.core.survey.SetOut;
import openslab.core.survey.Verdict;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.judge.Areas;
import openslab.core.survey.judge.Survey;
import openslab.server.form.JobFacts;

/** The survey of a job as a printed page: what was found where, what it means, and on request how each figure came about. */
final class SurveyReport {
    private final PrintedPage page;
    private final boolean working;

    private SurveyReport(PrintedPage page, boolean working) {
        this.page = page;
        this.working = working;
    }

    /** One zone: what follows from it, and what that means for each build-up. */
    record Surveyed(ZoneReport report, List<CandidateReport> candidates) {}

    /** @param working whether every figure shows its arithmetic */
    static String of(JobFacts job, List<Surveyed> zones, Instant now, boolean working) {
        return new SurveyReport(new PrintedPage(job, "Slab survey", now), working).written(zones);
    }

    private String written(List<Surveyed> zones) {
        if (zones.isEmpty()) {
            page.tag("p", "No zone is measured yet.");
        }
        zones.forEach(this::zone);
        page.tag(
                "p class=\"caution\"",
                "A verdict is about the places and the days on which somebody tested. Local code, the product's own sheet and "
                        + "licensed people decide; where asbestos or lead may be, nothing is abraded before a laboratory has said.");
        return page.done();
    }

    private void zone(Surveyed surveyed) {
        ZoneReport zone = surveyed.report();
        page.raw("<div class=\"zone\">");
        page.tag("h2", zone.name() + ", " + zone.area().text());
        page.raw("<p class=\"verdict " + zone.survey().verdict() + "\">");
        page.tag("b", word(zone.survey().verdict()));
        page.raw(" ");
        page.tag("span", zone.survey().summary());
        page.raw("</p>");
        page.raw("<table class=\"side\"><tr><td class=\"sketch\">" + ZoneSketch.of(zone) + "</td><td>");
        tallies(zone.survey().tallies());
        page.raw("</td></tr></table>");
        areas(zone);
        setOut(zone.testsOut());
        findings(zone.survey().findings());
        candidates(surveyed.candidates());
        readings(zone.survey().entries());
        if (working) {
            workings(zone);
        }
        page.raw("</div>");
    }

    private void tallies(List<Survey.Tally> tallies) {
        page.head("Test", "taken", "needed", "word");
        tallies.stream()
                .filter(t -> t.required() || t.taken() > 0)
                .forEach(t -> page.row(
                        t.title(),
                        String.valueOf(t.taken()),
                        t.required() ? String.valueOf((int) t.needed().value()) : "if wanted",
                        t.verdict().map(SurveyReport::word).orElse(UNJUDGED)));
        page.endTable();
    }

    private void areas(ZoneReport zone) {
        if (zone.areas().isEmpty()) {
            return;
        }
        page.tag("h3", "On the floor");
        page.head("Where", "what", "until", "stands");
        for (Areas.Judged a : zone.areas()) {
            page.row(
                    a.area().name(),
                    a.area().defect().label(),
                    a.until(),
                    a.gone().map(r -> "gone, " + page.at(r.at())).orElse("yes"));
        }
        page.endTable();
        page.tag(
                "p",
                zone.shares().stream()
                        .map(s -> s.label() + " " + s.share().text() + " of the zone")
                        .collect(Collectors.joining("; ")));
    }

    private void setOut(List<SetOut.Test> tests) {
        if (tests.isEmpty()) {
            return;
        }
        page.tag("h3", "Standing on the floor");
        page.head("Test", "place", "set out", "read from", "until");
        tests.forEach(t -> page.row(
                t.title(),
                t.place(),
                page.at(t.at()),
                page.at(t.from()),
                t.until().map(page::at).orElse("")));
        page.endTable();
    }

    private void findings(List<Finding> findings) {
        List<Finding> against =
                findings.stream().filter(f -> f.verdict() != Verdict.GO).toList();
        page.tag("h3", against.isEmpty() ? "Nothing stands against it" : "What stands against it");
        for (Finding f : against) {
            page.raw("<div class=\"finding\"><p>");
            page.tag("b class=\"" + f.verdict() + "\"", word(f.verdict()));
            page.raw(" ");
            page.tag("b", Show.capital(f.brief()));
            page.tag("span", ": " + f.measured() + ", needed " + f.needed() + ".");
            page.raw("</p>");
            page.tag("p", f.because() + " " + f.remedy());
            page.tag("p class=\"source\"", f.source().sentence());
            f.readyAt().ifPresent(at -> page.tag("p", "Ready " + page.at(at) + "."));
            page.raw("</div>");
        }
    }

    private void candidates(List<CandidateReport> candidates) {
        if (candidates.isEmpty()) {
            return;
        }
        page.tag("h3", "What could go on this floor");
        page.head("Build-up", "asks of the slab", "word", "because");
        for (CandidateReport c : candidates) {
            String missing = c.missing().isEmpty() ? "" : " Still to be taken: " + String.join(", ", c.missing()) + ".";
            page.row(c.title(), c.limits(), word(c.verdict()), c.summary() + missing);
        }
        page.endTable();
    }

    private void readings(List<Survey.Entry> entries) {
        page.tag("h3", "Readings");
        if (entries.isEmpty()) {
            page.tag("p", "None yet.");
            return;
        }
        page.head("Test", "place", "found", "word", "read", "by", "with");
        for (Survey.Entry e : entries) {
            page.row(
                    e.title(),
                    e.reading().place(),
                    e.found(),
                    e.superseded()
                            ? "read again since"
                            : e.verdict().map(SurveyReport::word).orElse(UNJUDGED),
                    page.at(e.reading().at()),
                    e.reading().by(),
                    e.reading().instrument().map(SurveyReport::papers).orElse(""));
        }
        page.endTable();
    }

    private static String papers(Instrument i) {
        return i.name() + ", calibrated " + i.calibrated();
    }

    private void workings(ZoneReport zone) {
        page.tag("h3", "How the figures came about");
        page.figure(zone.area());
        page.figure(zone.perimeter());
        for (Finding f : zone.survey().findings()) {
            f.working().ifPresent(w -> {
                page.tag("p class=\"of\"", Show.capital(f.brief()));
                page.figure(w);
            });
        }
    }

    /** Of a figure that no sheet sets a limit for. */
    private static final String UNJUDGED = "no limit asked";

    private static String word(Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT);
    }
}

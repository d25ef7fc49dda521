package openslab.server.exchange;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import openslab.core.job.CandidateReport;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Line;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Standing;
import openslab.core.survey.Survey;
import openslab.core.survey.Verdict;
import openslab.core.survey.area.Areas;
import openslab.core.survey.instrument.Instrument;
import openslab.server.job.Forms;
import openslab.server.store.Shipped;
import org.springframework.web.util.HtmlUtils;

/** The survey of a job as a printed page: what was found where, what it means, and on request how each figure came about. */
final class SurveyReport {
    private final Forms.JobFacts job;
    private final boolean working;
    private final DateTimeFormatter moment;
    private final StringBuilder out = new StringBuilder();

    private SurveyReport(Forms.JobFacts job, boolean working) {
        this.job = job;
        this.working = working;
        ZoneId where = job.timeZone();
        moment = DateTimeFormatter.ofPattern("d MMM uuuu HH:mm", Locale.ENGLISH).withZone(where);
    }

    /** One zone: what follows from it, and what that means for each build-up. */
    record Surveyed(ZoneReport report, List<CandidateReport> candidates) {}

    /** @param working whether every figure shows its arithmetic */
    static String of(Forms.JobFacts job, List<Surveyed> zones, Instant now, boolean working) {
        return new SurveyReport(job, working).written(zones, now);
    }

    private String written(List<Surveyed> zones, Instant now) {
        boolean letter = job.units() == UnitSystem.US;
        out.append("<html><head><title>")
                .append(words("Slab survey, " + job.name()))
                .append("</title><style>@page{size:")
                .append(letter ? "letter" : "A4")
                .append("}")
                .append(Shipped.text("report/survey.css"))
                .append("</style></head><body>");
        tag("h1", "Slab survey");
        tag("p class=\"job\"", String.join(", ", job.name(), job.client(), job.place()));
        tag("p", "As it stood on " + moment.format(now) + ", " + job.timeZone().getId() + ".");
        if (zones.isEmpty()) {
            tag("p", "No zone is measured yet.");
        }
        zones.forEach(this::zone);
        tag(
                "p class=\"caution\"",
                "A verdict is about the places and the days on which somebody tested. Local code, the product's own sheet and "
                        + "licensed people decide; where asbestos or lead may be, nothing is abraded before a laboratory has said.");
        return out.append("</body></html>").toString();
    }

    private void zone(Surveyed surveyed) {
        ZoneReport zone = surveyed.report();
        out.append("<div class=\"zone\">");
        tag("h2", zone.name() + ", " + zone.area().text());
        out.append("<p class=\"verdict ")
                .append(zone.survey().verdict())
                .append("\"><b>")
                .append(word(zone.survey().verdict()))
                .append("</b> ")
                .append(words(zone.survey().summary()))
                .append("</p>");
        out.append("<table class=\"side\"><tr><td class=\"sketch\">")
                .append(ZoneSketch.of(zone))
                .append("</td><td>");
        tallies(zone.survey().tallies());
        out.append("</td></tr></table>");
        areas(zone);
        standing(zone.standingTests());
        findings(zone.survey().findings());
        candidates(surveyed.candidates());
        readings(zone.survey().entries());
        if (working) {
            workings(zone);
        }
        out.append("</div>");
    }

    private void tallies(List<Survey.Tally> tallies) {
        head("Test", "taken", "needed", "word");
        tallies.stream()
                .filter(t -> t.required() || t.taken() > 0)
                .forEach(t -> row(
                        t.title(),
                        String.valueOf(t.taken()),
                        t.required() ? String.valueOf((int) t.needed().value()) : "if wanted",
                        word(t.verdict())));
        out.append("</table>");
    }

    private void areas(ZoneReport zone) {
        if (zone.areas().isEmpty()) {
            return;
        }
        tag("h3", "On the floor");
        head("Where", "what", "until", "stands");
        for (Areas.Judged a : zone.areas()) {
            row(
                    a.area().name(),
                    a.area().defect().label(),
                    a.area().defect().proofWords(),
                    a.gone().map(r -> "gone, " + moment.format(r.at())).orElse("yes"));
        }
        out.append("</table>");
        tag(
                "p",
                zone.shares().stream()
                        .map(s -> s.label() + " " + s.share().text() + " of the zone")
                        .collect(Collectors.joining("; ")));
    }

    private void standing(List<Standing.Out> tests) {
        if (tests.isEmpty()) {
            return;
        }
        tag("h3", "Standing on the floor");
        head("Test", "place", "set out", "read from", "until");
        tests.forEach(t -> row(
                t.title(),
                t.place(),
                moment.format(t.at()),
                moment.format(t.from()),
                t.until().map(moment::format).orElse("")));
        out.append("</table>");
    }

    private void findings(List<Finding> findings) {
        List<Finding> against =
                findings.stream().filter(f -> f.verdict() != Verdict.GO).toList();
        tag("h3", against.isEmpty() ? "Nothing stands against it" : "What stands against it");
        for (Finding f : against) {
            out.append("<div class=\"finding\"><p><b class=\"")
                    .append(f.verdict())
                    .append("\">")
                    .append(word(f.verdict()))
                    .append("</b> <b>")
                    .append(words(capital(f.brief())))
                    .append("</b>: ")
                    .append(words(f.measured()))
                    .append(", needed ")
                    .append(words(f.needed()))
                    .append(".</p>");
            tag("p", f.because() + " " + f.remedy());
            tag("p class=\"source\"", f.source().sentence());
            f.readyAt().ifPresent(at -> tag("p", "Ready " + moment.format(at) + "."));
            out.append("</div>");
        }
    }

    private void candidates(List<CandidateReport> candidates) {
        if (candidates.isEmpty()) {
            return;
        }
        tag("h3", "What could go on this floor");
        head("Build-up", "asks of the slab", "word", "because");
        for (CandidateReport c : candidates) {
            String missing = c.missing().isEmpty() ? "" : " Still to be taken: " + String.join(", ", c.missing()) + ".";
            row(c.title(), c.limits(), word(c.verdict()), c.summary() + missing);
        }
        out.append("</table>");
    }

    private void readings(List<Survey.Entry> entries) {
        tag("h3", "Readings");
        if (entries.isEmpty()) {
            tag("p", "None yet.");
            return;
        }
        head("Test", "place", "found", "word", "read", "by", "with");
        for (Survey.Entry e : entries) {
            row(
                    e.title(),
                    e.reading().place(),
                    e.found(),
                    e.superseded() ? "read again since" : word(e.verdict()),
                    moment.format(e.reading().at()),
                    e.reading().by(),
                    e.reading().instrument().map(SurveyReport::papers).orElse(""));
        }
        out.append("</table>");
    }

    private static String papers(Instrument i) {
        return i.name() + ", calibrated " + i.calibrated();
    }

    private void workings(ZoneReport zone) {
        tag("h3", "How the figures came about");
        figure(zone.area());
        figure(zone.perimeter());
        for (Finding f : zone.survey().findings()) {
            f.working().ifPresent(w -> {
                tag("p class=\"of\"", capital(f.brief()));
                figure(w);
            });
        }
    }

    private void figure(Figure f) {
        out.append("<table class=\"working\">");
        List<String> numbers = f.substituted();
        for (int i = 0; i < f.lines().size(); i++) {
            Line line = f.lines().get(i);
            row(line.meaning(), line.symbol(), line.formula(), i < numbers.size() ? numbers.get(i) : "", line.shown());
        }
        out.append("</table>");
        tag("p class=\"source\"", f.source().sentence());
    }

    private void head(String... cells) {
        out.append("<table><tr>");
        for (String cell : cells) {
            out.append("<th>").append(words(cell)).append("</th>");
        }
        out.append("</tr>");
    }

    private void row(String... cells) {
        out.append("<tr>");
        for (String cell : cells) {
            out.append("<td>").append(words(cell)).append("</td>");
        }
        out.append("</tr>");
    }

    /** @param opening the name, and its class */
    private void tag(String opening, String text) {
        String name = opening.split(" ")[0];
        out.append('<')
                .append(opening)
                .append('>')
                .append(words(text))
                .append("</")
                .append(name)
                .append('>');
    }

    private static String word(Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT);
    }

    private static String capital(String text) {
        return text.startsWith("pH") ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** Safe in XHTML; the thin space of thousands is one that the font has. */
    private static String words(String text) {
        return HtmlUtils.htmlEscapeDecimal(text.replace('\u202f', '\u00a0'));
    }
}

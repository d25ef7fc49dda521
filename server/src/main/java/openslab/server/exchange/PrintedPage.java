package openslab.server.exchange;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Line;
import openslab.core.quantity.UnitSystem;
import openslab.server.form.JobFacts;
import openslab.server.store.Shipped;
import org.springframework.web.util.HtmlUtils;

/** A page to be printed, written from its head down: words are made safe, moments are those of the floor's own clock. */
final class PrintedPage {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final DateTimeFormatter moment;
    private final StringBuilder out = new StringBuilder();

    /** @param title at its head and at the foot of every sheet of it */
    PrintedPage(JobFacts job, String title, Instant now) {
        moment = DateTimeFormatter.ofPattern("d MMM uuuu HH:mm", Locale.ENGLISH).withZone(job.timeZone());
        boolean letter = job.units() == UnitSystem.US;
        raw("<html><head><title>");
        out.append(words(title + ", " + job.name()));
        raw("</title><style>@page{size:" + (letter ? "letter" : "A4") + ";@bottom-left{content:\"" + title
                + "\";font:8pt Barlow,Signs;color:#5b6060}}");
        raw(Shipped.text("report/page.css"));
        raw("</style></head><body>");
        tag("h1", title);
        tag("p class=\"job\"", String.join(", ", job.name(), job.client(), job.place()));
        tag("p", "As it stood on " + at(now) + ", " + job.timeZone().getId() + ".");
    }

    String done() {
        return out.append("</body></html>").toString();
    }

    String at(Instant instant) {
        return moment.format(instant);
    }

    String day(Instant instant) {
        return DAY.format(instant.atZone(moment.getZone()));
    }

    /** Markup of our own, as it is. */
    void raw(String markup) {
        out.append(markup);
    }

    void head(String... cells) {
        raw("<table><tr>");
        for (String cell : cells) {
            tag("th", cell);
        }
        raw("</tr>");
    }

    void row(String... cells) {
        raw("<tr>");
        for (String cell : cells) {
            tag("td", cell);
        }
        raw("</tr>");
    }

    void endTable() {
        raw("</table>");
    }

    /** @param opening the name, and its class */
    void tag(String opening, String text) {
        raw("<" + opening + ">");
        out.append(words(text));
        raw("</" + opening.split(" ")[0] + ">");
    }

    void figure(Figure f) {
        raw("<table class=\"working\">");
        List<String> numbers = f.substituted();
        for (int i = 0; i < f.lines().size(); i++) {
            Line line = f.lines().get(i);
            row(line.meaning(), line.symbol(), line.formula(), i < numbers.size() ? numbers.get(i) : "", line.shown());
        }
        endTable();
        tag("p class=\"source\"", f.source().sentence());
    }

    /** Safe in XHTML; the thin space of thousands is one that the font has. */
    private static String words(String text) {
        return HtmlUtils.htmlEscapeDecimal(text.replace('\u202f', '\u00a0'));
    }
}

package openslab.server.exchange;

import java.time.Instant;
import openslab.core.job.Handover;
import openslab.core.job.ZoneReport;
import openslab.server.form.JobFacts;

/** A finished floor on paper, for whoever owns it: what lies on it, from when it may be used, and how it is looked after. */
final class HandoverPage {
    private HandoverPage() {}

    /** @param system what its zone is built as, in words; empty where nothing is chosen */
    static String of(JobFacts job, ZoneReport zone, String system, Handover handover, Instant now) {
        var page = new PrintedPage(job, "Handover", now);
        page.tag("h2", zone.name() + ", " + zone.area().text() + (system.isEmpty() ? "" : ": " + system));
        if (handover.laid().isEmpty()) {
            page.tag("p", "Nothing is on this floor yet: it is handed over when its coats are.");
            return page.done();
        }
        page.tag("h3", "What lies on it, from the floor upward");
        page.head("Layer", "product", "colour", "lot", "dry film", "laid");
        handover.laid()
                .forEach(l -> page.row(
                        l.title(),
                        l.product(),
                        orNone(l.colour()),
                        orNone(String.join(", ", l.lots())),
                        orNone(l.dry()),
                        page.at(l.on())));
        page.endTable();
        if (!handover.finished()) {
            page.tag("p class=\"hold\"", "Its last coat is not on yet: from when it may be used is not known.");
        }
        if (!handover.ladder().isEmpty()) {
            page.tag("h3", "When it may be used");
            page.head("From then on", "on");
            handover.ladder().forEach(f -> page.row(f.label(), page.at(f.at())));
            page.endTable();
        }
        handover.due()
                .ifPresent(d -> page.tag(
                        "p class=\"gate\"",
                        "Due to be resealed on " + page.day(d.due()) + ": the top coat lasts "
                                + d.interval().text() + " here."));
        page.tag("h3", "How it is looked after");
        handover.care().forEach(c -> page.tag("p", c));
        if (!handover.never().isEmpty()) {
            page.tag("h3", "What must never come near it");
            handover.never().forEach(n -> page.tag("p class=\"hold\"", n));
        }
        page.tag(
                "p class=\"caution\"",
                "Cautions here are the usual ones. The maker's sheet, local rules and licensed people decide.");
        return page.done();
    }

    private static String orNone(String words) {
        return words.isEmpty() ? "not said" : words;
    }
}

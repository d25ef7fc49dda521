package openslab.server.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import openslab.core.course.Progress;
import openslab.core.course.Staging;
import openslab.core.course.work.Effort;
import openslab.core.course.work.Item;
import openslab.core.job.PrepReport;
import openslab.core.job.PrepSheet;
import openslab.core.job.StepReport;
import openslab.core.job.ZoneReport;
import openslab.core.prep.wash.WashMix;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.server.form.JobFacts;

/** The preparation of a zone on paper, for a crew: what lies ready, each step with its mix, its caution and its gate. */
final class PrepSheetPage {
    private final PrintedPage page;
    private final Map<String, PrepSheet.StepSheet> sheets = new TreeMap<>();

    private PrepSheetPage(PrintedPage page, PrepSheet sheet) {
        this.page = page;
        sheet.steps().forEach(s -> sheets.put(s.id(), s));
    }

    static String of(JobFacts job, ZoneReport zone, PrepSheet sheet, Instant now) {
        var page = new PrintedPage(job, "Preparation sheet", now);
        return new PrepSheetPage(page, sheet).written(zone, sheet);
    }

    private String written(ZoneReport zone, PrepSheet sheet) {
        PrepReport prep = zone.prep();
        page.tag("h2", zone.name() + ", " + zone.area().text() + ": " + prep.title());
        page.tag("p", prep.because());
        if (prep.opens()) {
            page.tag("p", "Profile asked for: " + prep.need() + ".");
        }
        if (prep.steps().isEmpty()) {
            prep.refused().stream()
                    .filter(r -> !r.elsewhere())
                    .forEach(r -> page.tag("p", r.title() + ": " + String.join(" ", r.reasons())));
            return page.done();
        }
        totals(sheet);
        staging(sheet.staging());
        int n = 1;
        for (StepReport step : prep.steps()) {
            step(n++, step);
        }
        sheet.repairs().forEach(this::repair);
        page.tag(
                "p class=\"caution\"",
                "Cautions here are the usual ones. Local rules, the sheet and the label in hand and licensed people decide.");
        return page.done();
    }

    private void totals(PrepSheet sheet) {
        var all = new ArrayList<Figure>();
        sheet.hours().ifPresent(all::add);
        sheet.dust().ifPresent(all::add);
        sheet.water().ifPresent(all::add);
        all.addAll(sheet.used());
        page.head("For the whole zone", "");
        all.forEach(f -> page.row(Show.capital(f.label()), f.text()));
        page.endTable();
    }

    private void staging(List<Staging.Thing> things) {
        page.tag("h3", "At hand before a clock is started");
        page.raw("<table class=\"ticks\">");
        Map<Item.Kind, List<Staging.Thing>> byKind =
                things.stream().collect(Collectors.groupingBy(Staging.Thing::kind, TreeMap::new, Collectors.toList()));
        byKind.forEach((kind, of) -> {
            page.raw("<tr>");
            page.tag("td", kind.label());
            page.raw("<td>");
            of.forEach(t -> {
                page.raw("<span class=\"tick\"><span class=\"box\"></span>");
                page.tag("span", t.label() + (t.ticked().isPresent() ? " (ticked)" : ""));
                page.raw("</span>");
            });
            page.raw("</td></tr>");
        });
        page.endTable();
    }

    private void step(int n, StepReport step) {
        page.raw("<div class=\"step\">");
        page.tag("span class=\"n\"", String.valueOf(n));
        page.tag("h3", step.title() + (step.round() > 1 ? " (again)" : "") + state(step));
        page.tag("p", step.does() + " " + step.why());
        if (!step.caution().isEmpty()) {
            page.tag("p class=\"hold\"", "Caution. " + step.caution());
        }
        PrepSheet.StepSheet sheet = sheets.get(step.id());
        if (step.timed() || step.waits().isEmpty()) {
            effort(sheet.effort());
        }
        sheet.mix().ifPresent(this::mix);
        if (!sheet.mixWaits().isEmpty()) {
            page.tag("p", sheet.mixWaits());
        }
        step.ready()
                .filter(r -> step.progress() == Progress.RUNNING)
                .ifPresent(r -> page.tag(
                        "p", "Runs since " + page.at(step.started().orElseThrow()) + ", ready " + page.at(r) + "."));
        step.gate().ifPresent(this::gate);
        page.raw("</div>");
    }

    private static String state(StepReport step) {
        return switch (step.progress()) {
            case DONE, FAILED -> ", " + step.word();
            case PARTLY -> ", " + step.word() + (step.left().isEmpty() ? "" : ", " + step.left() + " left");
            case OPEN, WAITING, RUNNING -> "";
        };
    }

    private void effort(Effort e) {
        var words = new ArrayList<String>();
        words.add(e.time().text() + " with " + e.hands() + (e.hands() == 1 ? " hand" : " hands"));
        e.amount().ifPresent(a -> words.add(a.text()));
        add(words, e, Effort::dust);
        add(words, e, Effort::water);
        add(words, e, Effort::airflow);
        page.tag("p", String.join("; ", words) + ".");
        e.silica()
                .ifPresent(s -> page.tag(
                        "p class=\"hold\"",
                        "Silica, " + (s.indoors() ? "indoors" : "outdoors") + ", "
                                + s.shown() + " a shift: " + s.title() + ", " + s.control() + "; "
                                + s.worn() + ". " + s.source().sentence()));
    }

    private static void add(List<String> words, Effort e, Function<Effort, Optional<Figure>> which) {
        which.apply(e).ifPresent(f -> words.add(f.label() + " " + f.text()));
    }

    private void mix(WashMix mix) {
        page.tag(
                "p",
                mix.title() + ", " + mix.words() + ": " + mix.total().text() + " for the zone, "
                        + mix.section().text() + " for 10 × 10 ft. " + mix.vessels() + " × "
                        + mix.water().text()
                        + " of water first, then " + mix.concentrate().text() + also(mix.concentrate()) + ".");
    }

    private static String also(Figure f) {
        return f.also().isEmpty() ? "" : " (" + f.also() + ")";
    }

    private void gate(StepReport.GateReport gate) {
        page.raw("<p class=\"gate\"><span class=\"box\"></span>");
        page.tag("b", gate.title());
        page.tag("span", ": " + gate.needed() + ". ");
        if (gate.by().isPresent()) {
            page.tag(
                    "span",
                    gate.found() + ", " + gate.by().get().name() + ", "
                            + page.at(gate.by().get().at()) + ".");
        } else {
            page.tag(
                    "span",
                    gate.fields().stream()
                            .map(Field::label)
                            .filter(l -> !l.equals(gate.title()))
                            .collect(Collectors.joining(", ")));
            page.raw("<span class=\"blank\"></span>");
            page.tag("span", "by");
            page.raw("<span class=\"blank\"></span>");
        }
        page.raw("</p>");
    }

    private void repair(PrepSheet.RepairSheet repair) {
        page.tag("h3", "Repair: " + repair.title());
        if (!repair.figures().isEmpty()) {
            page.head("What", "how much");
            repair.figures().forEach(f -> page.row(Show.capital(f.label()), f.text()));
            page.endTable();
        }
        if (!repair.exclusion().isEmpty()) {
            page.tag("p class=\"of\"", "To be handed over in writing:");
            page.tag("p", repair.exclusion());
        }
        page.tag("p class=\"source\"", repair.source().sentence());
    }
}

package openslab.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.course.work.Work;
import openslab.core.mix.Used;
import openslab.core.product.Material;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.survey.Finding;

/** What the batches of a layer say where somebody says that it is on. */
record CoatDone(ZoneFacts zone, LayerChoice layer, LogEntry coat, UnitSystem system) {
    private static final Source BATCHES = Source.ours("what is said to be on is held against what was mixed for it");

    /** OURS: of the floor; batches that tell of more are told twice, or of another. */
    private static final double APART = 0.05;

    List<Finding> findings() {
        List<LogEntry> logged = Stream.concat(
                        zone.ofLayer(layer.id()).stream().filter(e -> !e.key().equals(coat.key())), Stream.of(coat))
                .filter(e -> !e.at().isAfter(coat.at()))
                .toList();
        double floorM2 = zone.area(system).base();
        Material material = layer.sheet().material();
        List<Used.Batch> used = LogEntry.batches(logged, material, floorM2);
        if (used.isEmpty()) {
            return List.of(unlogged());
        }
        var findings = new ArrayList<Finding>();
        areas(logged, used, floorM2).ifPresent(findings::add);
        late(logged).ifPresent(findings::add);
        return findings;
    }

    private Finding unlogged() {
        return Finding.of("coat-unlogged")
                .measured("nothing logged of what it took")
                .needed("what was used", BATCHES)
                .watch(
                        "what it took is not logged",
                        "Nobody can tell whether it lies as thick as was meant, nor what is left.",
                        "Say with the coat how much it took.");
    }

    private Optional<Finding> areas(List<LogEntry> logged, List<Used.Batch> used, double floorM2) {
        List<Value> parts = logged.stream()
                .filter(e -> e.kind() == LogEntry.Kind.COAT)
                .flatMap(e -> Optional.ofNullable(e.values().get(Work.AMOUNT)).stream())
                .toList();
        double partsM2 = parts.stream().mapToDouble(Value::base).sum();
        boolean whole = !coat.values().containsKey(Work.AMOUNT) || partsM2 >= floorM2;
        double saidM2 = whole ? floorM2 : partsM2;
        double toldM2 = used.stream().mapToDouble(Used.Batch::areaM2).sum();
        var finding = Finding.of(whole && toldM2 < saidM2 ? "coat-bare" : "coat-unlike-its-batches")
                .measured("batches over " + area(toldM2))
                .needed(area(saidM2) + (whole ? ", all of it" : ""), BATCHES);
        if (whole && Used.coveredM2(used, floorM2) < floorM2) {
            return Optional.of(finding.hold(
                    area(floorM2 - toldM2) + " in no batch",
                    "What no batch covered is bare, or a batch is missing in the record.",
                    "Look for bare places; log the batch that is missing, or say how much is on."));
        }
        if (Math.abs(toldM2 - saidM2) > APART * floorM2) {
            return Optional.of(finding.watch(
                    "the batches tell of another floor",
                    "What lies and what is left are reckoned by the batches.",
                    "Strike the one that was told twice, or log the one that is missing."));
        }
        return Optional.empty();
    }

    private String area(double m2) {
        return Show.in(system, Dimension.AREA, m2);
    }

    /** The last batch that went onto the floor: earlier ones were down before it was stirred. */
    private Optional<Finding> late(List<LogEntry> logged) {
        Optional<LogEntry> last = logged.stream()
                .filter(e -> e.kind() == LogEntry.Kind.BATCH)
                .filter(e -> LogEntry.batch(e, layer.sheet().material(), 0).lies() > 0)
                .max(Comparator.comparing(LogEntry::at));
        Optional<Instant> over = last.flatMap(e -> LayerSchedule.useBy(layer.sheet(), e.at(), zone));
        return over.filter(o -> o.isBefore(coat.at())).map(o -> Finding.of("coat-past-its-pot-life")
                .measured(hours(last.orElseThrow().at(), coat.at()) + " from stirred to done")
                .needed(
                        "at most " + hours(last.orElseThrow().at(), o),
                        layer.sheet().source())
                .hold(
                        "done after its pot life",
                        "What is spread while it sets pulls, holds air and does not wet what is below.",
                        "If it was on in time, say when. Else look for ridges and dull places, and try how it"
                                + " holds."));
    }

    private static String hours(Instant from, Instant to) {
        return Show.span(Duration.between(from, to));
    }
}

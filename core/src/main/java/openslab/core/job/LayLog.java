package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.quantity.UnitSystem;

/** How the layers of a zone were laid, as its log has it. A coat that was logged is the step that puts the material on. */
final class LayLog {
    private LayLog() {}

    /** Everything that was logged of a layer, run by its steps. */
    static Course course(ZoneFacts zone, LayerChoice layer, UnitSystem system) {
        return run(zone, layer, zone.ofLayer(layer.id()).stream(), system);
    }

    /** As far as it was logged by {@code at}. */
    static Course course(ZoneFacts zone, LayerChoice layer, Instant at, UnitSystem system) {
        return run(zone, layer, zone.ofLayer(layer.id()).stream().filter(e -> !e.at().isAfter(at)), system);
    }

    /** With one entry more. */
    static Course with(ZoneFacts zone, LayerChoice layer, LogEntry entry, UnitSystem system) {
        return run(zone, layer, Stream.concat(zone.ofLayer(layer.id()).stream(), Stream.of(entry)), system);
    }

    private static Course run(ZoneFacts zone, LayerChoice layer, Stream<LogEntry> entries, UnitSystem system) {
        List<Deed> deeds = entries.flatMap(e -> deed(e, layer)).toList();
        return Course.of(zone.steps(layer), deeds, PrepLog.extent(zone, system), zone.slab());
    }

    /** Whether it tells of a step: a batch does not. */
    static boolean isOfStep(LogEntry e) {
        return switch (e.kind()) {
            case COAT, BEGUN, DONE, GATE -> true;
            default -> false;
        };
    }

    private static Stream<Deed> deed(LogEntry e, LayerChoice layer) {
        return switch (e.kind()) {
            case COAT ->
                Stream.of(new Deed(e.key(), Deed.Kind.DONE, layer.coatStep(), e.at(), e.by(), e.note(), e.values()));
            case BEGUN, DONE, GATE -> PrepLog.deed(e);
            default -> Stream.empty();
        };
    }

    /** The turn that puts the material on. */
    static Course.Turn coat(Course course) {
        return course.turns().stream()
                .filter(t -> t.step().proves())
                .reduce((a, b) -> b)
                .orElseThrow();
    }

    /** Whether nothing of it is open that a gate asks for, before the next layer may go on. */
    static Optional<Course.Turn> openGate(Course course) {
        return course.turns().stream()
                .filter(t -> !t.isThrough() && t.step().gate().isPresent())
                .findFirst();
    }
}

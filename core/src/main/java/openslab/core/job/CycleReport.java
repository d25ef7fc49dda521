package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.area.DefectArea;

/**
 * One cycle of a zone in short, as its history tells it.
 *
 * @param began empty for a first one in which nothing was done yet
 * @param last when something was last logged in it
 * @param patch how much of the floor it takes, in words; empty where it is all of it
 * @param ring where its patch lies, metres of the zone's plan; empty where nobody drew one
 * @param empty whether nothing was ever logged in it, struck entries too: then it can be taken back
 */
public record CycleReport(
        int number,
        CycleKind kind,
        String label,
        String what,
        Optional<Instant> began,
        String by,
        String why,
        String patch,
        List<Corner> ring,
        List<Coat> coats,
        Optional<Instant> last,
        boolean empty) {
    /** So much of a patch lies on the floor: a corner that was tapped into the wall does no harm. */
    private static final double ON_FLOOR = 0.95;

    /**
     * A layer that went on.
     *
     * @param at when it was logged last
     */
    public record Coat(String layer, String title, String sheet, Instant at, String by) {}

    /**
     * What can be begun next.
     *
     * @param whyNot empty where it can
     * @param asksWhy what the reason is asked for; empty where none is
     */
    public record Begin(CycleKind kind, String label, String what, String whyNot, String asksWhy) {}

    static List<CycleReport> all(ZoneFacts zone, UnitSystem system) {
        return zone.cycles().stream().map(c -> of(zone, c, system)).toList();
    }

    private static CycleReport of(ZoneFacts zone, Cycle c, UnitSystem system) {
        List<LogEntry> own =
                zone.everStood().stream().filter(e -> e.cycle() == c.number()).toList();
        Comparator<Instant> order = Comparator.naturalOrder();
        Optional<Instant> first = own.stream().map(LogEntry::at).min(order);
        return new CycleReport(
                c.number(),
                c.kind(),
                c.kind().label(),
                c.kind().what(),
                c.number() == 1 ? first : Optional.of(c.began()),
                c.by(),
                c.why(),
                c.patch().map(p -> p.words(system)).orElse(""),
                c.patch().map(Patch::ring).orElse(List.of()),
                coats(own, c),
                own.stream().map(LogEntry::at).max(order),
                zone.log().stream().noneMatch(e -> e.cycle() == c.number()));
    }

    private static List<Coat> coats(List<LogEntry> own, Cycle c) {
        var coats = new ArrayList<Coat>();
        for (LayerChoice layer : c.layers()) {
            own.stream()
                    .filter(e -> e.kind() == LogEntry.Kind.COAT && e.subject().equals(layer.id()))
                    .reduce((a, b) -> b.at().isBefore(a.at()) ? a : b)
                    .ifPresent(e -> coats.add(
                            new Coat(layer.id(), layer.title(), layer.sheet().name(), e.at(), e.by())));
        }
        return coats;
    }

    static List<Begin> begins(ZoneFacts zone) {
        return Arrays.stream(CycleKind.values())
                .filter(k -> k != CycleKind.COAT)
                .map(k -> new Begin(k, k.label(), k.what(), whyNot(zone, k), unfinished(zone)))
                .toList();
    }

    private static void require(ZoneFacts zone, Patch patch, UnitSystem system) {
        double floorM2 = zone.shape().area(system).base();
        if (patch.m2() >= floorM2) {
            throw new InvalidInput(
                    patch.measured().isPresent() ? "patch" : "ring",
                    patch.words(system),
                    "less than the zone's " + Show.in(system, Dimension.AREA, floorM2) + "; all of it is a recoat");
        }
        if (!patch.ring().isEmpty()) {
            double drawn = DefectArea.withinM2(List.of(patch.ring()), List.of(patch.ring()));
            double onFloor = DefectArea.withinM2(zone.shape().rings(), List.of(patch.ring()));
            if (onFloor < ON_FLOOR * drawn) {
                throw new InvalidInput(
                        "ring",
                        Show.in(system, Dimension.AREA, drawn - onFloor) + " of it beside the floor",
                        "corners on the floor of the zone");
            }
        }
    }

    private static String whyNot(ZoneFacts zone, CycleKind kind) {
        return kind.needsFilm() && zone.lies().isEmpty() ? "Nothing is on this floor yet." : "";
    }

    /** The layers of this cycle that are not on, in words. */
    private static String unfinished(ZoneFacts zone) {
        List<LayerChoice> open = zone.open();
        return open.isEmpty()
                        || open.size() == zone.layers().size() && zone.cycle().kind() == CycleKind.COAT
                ? ""
                : open.stream().map(l -> Show.lower(l.title())).collect(Collectors.joining(", ")) + " not on yet";
    }

    /**
     * Whether a cycle may begin on what this one left.
     *
     * @throws InvalidInput naming the field: a kind that this floor is not ready for, a patch larger than the floor, a reason that is
     *     asked for
     */
    public static void require(ZoneFacts zone, Cycle next, UnitSystem system) {
        String whyNot = whyNot(zone, next.kind());
        if (!whyNot.isEmpty() || next.kind() == CycleKind.COAT) {
            throw new InvalidInput(
                    "kind",
                    next.kind().name(),
                    whyNot.isEmpty() ? "a cycle that follows a first one" : "CLEAN: nothing is on this floor yet");
        }
        next.patch().ifPresent(p -> require(zone, p, system));
        String open = unfinished(zone);
        if (!open.isEmpty() && next.why().isBlank()) {
            throw new InvalidInput("why", "", "the reason why this cycle ends here: " + open);
        }
    }
}

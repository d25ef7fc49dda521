package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Ground;
import openslab.core.product.Chemistry;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;
import openslab.core.survey.method.TestMethods;

/** What the cycles before this one left: the film that lies on the floor, and which of their findings still hold. */
public final class Past {
    /**
     * A layer that was laid.
     *
     * @param cycle in which
     * @param on when
     */
    public record Laid(LayerChoice layer, int cycle, Instant on) {}

    /** What no coat takes out of a floor. */
    private static final Set<Defect> STAYS = Set.of(Defect.HOLLOW, Defect.DAMP, Defect.MAT_SHADE, Defect.WORN);

    private final Cycle now;
    private final List<Laid> film;
    private final List<LogEntry> kept;
    private final Optional<Instant> coated;

    /** @param kept what stands in the log, of every cycle */
    Past(List<Cycle> cycles, List<LogEntry> kept) {
        this.now = cycles.get(cycles.size() - 1);
        this.kept = kept;
        this.film = lies(cycles.subList(0, cycles.size() - 1), kept);
        this.coated =
                film.isEmpty() ? Optional.empty() : film.stream().map(Laid::on).max(Comparator.naturalOrder());
    }

    /** What lies on a floor after these cycles, from the slab upward: a patch changes nothing of it. */
    static List<Laid> lies(List<Cycle> cycles, List<LogEntry> kept) {
        var lies = new ArrayList<Laid>();
        for (Cycle c : cycles) {
            List<Laid> laid = laid(c, kept);
            if (c.kind() == CycleKind.REPAIR || laid.isEmpty()) {
                continue;
            }
            if (c.kind() == CycleKind.RECOAT) {
                lies.clear();
            }
            lies.addAll(laid);
        }
        return List.copyOf(lies);
    }

    private static List<Laid> laid(Cycle c, List<LogEntry> kept) {
        var laid = new ArrayList<Laid>();
        for (LayerChoice layer : c.layers()) {
            kept.stream()
                    .filter(e -> e.cycle() == c.number()
                            && e.kind() == LogEntry.Kind.COAT
                            && e.subject().equals(layer.id()))
                    .map(LogEntry::at)
                    .max(Comparator.naturalOrder())
                    .ifPresent(on -> laid.add(new Laid(layer, c.number(), on)));
        }
        return laid;
    }

    /** From the slab upward, before this cycle. */
    List<Laid> film() {
        return film;
    }

    Ground ground() {
        return switch (now.kind()) {
            case COAT -> Ground.BARE;
            case REPAIR, RECOAT -> film.isEmpty() ? Ground.BARE : Ground.COMES_OFF;
            // what is not on yet goes on its own build-up
            case CLEAN -> film.isEmpty() ? Ground.BARE : now.layers().isEmpty() ? Ground.FILM_KEPT : Ground.OWN_FILM;
            case RESEAL -> !isTheSame() ? Ground.OTHER_FILM : melts() ? Ground.OWN_FILM_MELTS : Ground.OWN_FILM;
        };
    }

    /** Whether what goes on first is what lies on top, whichever edition of its sheet. */
    private boolean isTheSame() {
        Optional<String> top = film.stream()
                .map(l -> l.layer().sheet())
                .filter(s -> s.broadcast().isEmpty())
                .map(s -> s.slug())
                .reduce((a, b) -> b);
        return top.isPresent()
                && now.layers().stream().findFirst().map(l -> l.sheet().slug()).equals(top);
    }

    /** Whether what goes on melts what lies there: a solvent acrylic does that to itself. */
    private boolean melts() {
        return now.layers().get(0).sheet().traits().chemistry() == Chemistry.SOLVENT_ACRYLIC;
    }

    /** Whether a film of ours lies there that this cycle takes off. */
    boolean comesOff() {
        return now.kind() == CycleKind.RECOAT && !film.isEmpty();
    }

    /** Whether an entry is of this cycle; or whether what it found was found since the floor was last coated, or lasts. */
    boolean holds(LogEntry e) {
        boolean since = coated.map(at -> e.at().isAfter(at)).orElse(true);
        return switch (e.kind()) {
            case READING ->
                since || TestMethods.find(e.subject()).map(TestMethod::lasts).orElse(false);
            case SET -> since;
            case AREA -> since || stays(e);
            case PLACE -> true;
            default -> e.cycle() == now.number();
        };
    }

    private boolean stays(LogEntry area) {
        Defect defect = Defect.find(area.subject()).orElseThrow();
        if (defect == Defect.HOLLOW) {
            return !brokenOut(area);
        }
        return STAYS.contains(defect) && !ground().isFilm();
    }

    /** Whether the hollow places were cut out, and everything rang after it, in the cycle that found them or later. */
    private boolean brokenOut(LogEntry area) {
        return kept.stream()
                .anyMatch(e -> e.kind() == LogEntry.Kind.GATE
                        && e.subject().equals("sound")
                        && e.cycle() < now.number()
                        && !e.at().isBefore(area.at())
                        && e.values().get("sound").typed().equals("sound"));
    }
}

package openslab.core.survey.judge;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Films;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.method.TestMethods;
import openslab.core.survey.place.Placement;

/** What was drawn on a zone: which of it still stands, what each means, and how much of the floor it is. */
public final class Areas {
    private static final Source D4580 = Source.published("ASTM D4580, from memory: share of the area");

    private static final Source SHARE = Source.arithmetic("share of the area, as it was drawn");

    /**
     * @param until what its test has to show
     * @param gone the reading that proved it gone
     */
    public record Judged(DefectArea area, String until, Optional<Reading> gone) {}

    /**
     * How much of a zone has one defect, overlaps counted once.
     *
     * @param share percent of the zone, still standing
     */
    public record Share(Defect defect, String label, Figure share) {}

    private Areas() {}

    /** Whether each was proved gone: by its own test, inside it, read after it was drawn. */
    public static List<Judged> judge(
            List<DefectArea> areas, Readings read, List<Placement.Marked> places, Substrate substrate) {
        return areas.stream()
                .map(a -> new Judged(a, a.defect().proofWords(substrate), proof(a, read, places, substrate)))
                .toList();
    }

    private static Optional<Reading> proof(
            DefectArea area, Readings read, List<Placement.Marked> places, Substrate substrate) {
        String method = area.defect().proof(substrate);
        if (method.isEmpty()) {
            return Optional.empty();
        }
        // a reading is keyed in to the minute: one of the minute in which the area was drawn comes after it
        Instant from = area.at().truncatedTo(ChronoUnit.MINUTES);
        List<Reading> later = read.all(method).stream()
                .filter(r -> !r.at().isBefore(from))
                .filter(r -> TestMethods.of(method).wholeFloor() || inside(area, r, places))
                .toList();
        // the newest at each place inside it has to show it gone
        List<Reading> newest = new Readings(later).current(method);
        boolean gone =
                !newest.isEmpty() && newest.stream().allMatch(r -> area.defect().gone(r, substrate));
        return gone ? Optional.of(newest.get(newest.size() - 1)) : Optional.empty();
    }

    private static boolean inside(DefectArea area, Reading r, List<Placement.Marked> places) {
        return area.coversAll() || places.stream().anyMatch(p -> p.name().equals(r.place()) && area.holds(p.at()));
    }

    public static List<Finding> findings(List<Judged> judged, Site site) {
        return judged.stream().map(j -> finding(j, site)).toList();
    }

    /** Wax, adhesive and curing compound are what nothing is made to lie on, whatever the walk-over calls them. */
    private static boolean stays(Defect defect, Site site) {
        Films films = site.films();
        return (defect == Defect.SEALER || defect == Defect.PAINT)
                && (films.stay().contains(defect.sign())
                        || site.ground().isFilm() && films.own().contains(defect.sign()));
    }

    private static Finding finding(Judged judged, Site site) {
        DefectArea area = judged.area();
        Defect defect = area.defect();
        String what = Show.lower(defect.label());
        Figure share = share(defect, area.areaM2(), site.areaM2(), site.units());
        var finding = Finding.of("area-" + defect.name().toLowerCase(java.util.Locale.ROOT), area.name())
                .measured(Show.in(site.units(), Dimension.AREA, area.areaM2()) + ", " + share.text() + " of the zone")
                .needed(defect.proofWords(site.substrate()), defect.source())
                .working(share);
        if (judged.gone().isPresent()) {
            return finding.go(
                    what + " at " + area.name() + " proved gone",
                    TestMethods.of(defect.proof(site.substrate())).about().title() + " at "
                            + judged.gone().get().place() + " showed it.");
        }
        if (stays(defect, site)) {
            return finding.go(what + " at " + area.name() + " stays", "What goes on is made to lie on it.");
        }
        String then = defect.proof(site.substrate()).isEmpty() ? "" : ", until " + defect.proofWords(site.substrate());
        String removal = defect.removal(site.substrate(), site.shown());
        return finding.close(defect.verdict(), what + " at " + area.name(), defect.consequence(), removal + then + ".");
    }

    /** Every defect still standing, by how much of the zone has it. */
    public static List<Share> shares(List<Judged> judged, List<List<Corner>> zone, double zoneM2, UnitSystem units) {
        Map<Defect, List<List<Corner>>> rings = new EnumMap<>(Defect.class);
        judged.stream().filter(j -> j.gone().isEmpty()).map(Judged::area).forEach(a -> rings.computeIfAbsent(
                        a.defect(), d -> new ArrayList<>())
                .add(a.ring()));
        return rings.entrySet().stream()
                .map(e -> new Share(
                        e.getKey(),
                        e.getKey().label(),
                        share(e.getKey(), DefectArea.withinM2(zone, e.getValue()), zoneM2, units)))
                .toList();
    }

    private static Figure share(Defect defect, double areaM2, double zoneM2, UnitSystem units) {
        var w = new Worksheet(units);
        w.given("D", Show.lower(defect.label()), Unit.SQUARE_METRE.fromBase(areaM2), Unit.SQUARE_METRE);
        w.given("A", "area of the zone", zoneM2, Unit.SQUARE_METRE);
        return w.figure(
                Show.lower(defect.label()),
                "s",
                "100·D/A",
                100 * areaM2 / zoneM2,
                Unit.PERCENT,
                defect == Defect.HOLLOW ? D4580 : SHARE);
    }
}

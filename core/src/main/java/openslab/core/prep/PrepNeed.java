package openslab.core.prep;

import java.util.List;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/**
 * What goes on asks of the floor: the roughness, concrete surface profile 1–10, both ends included, and how its system wants it made.
 *
 * @param sanding whether a shine is sanded dull first; some sheets waive it on sound tile
 * @param priming whether worn places are primed first; some sheets waive that too
 * @param lime whether the cap has to stay as it is, because what goes on reacts with the lime in it
 * @param asks what the system says
 */
public record PrepNeed(int min, int max, boolean sanding, boolean priming, boolean lime, Source source, PrepAsks asks) {
    private static final int SMOOTHEST = 1;
    private static final int ROUGHEST = 10;

    private record Band(double upToMil, int min, int max) {}

    private static final Source ICRI = Source.published(
            "ICRI 310.2R-2013, profile by thickness of the protective system, from memory; a thickness on an edge counts as the"
                    + " thinner class, one in a gap as the thicker");

    /** Sealers, thin films, high build, self-levelling (to 1/8 in), polymer overlay (to 1/4 in), concrete overlay. */
    private static final List<Band> BANDS = List.of(
            new Band(3, 1, 2),
            new Band(10, 1, 3),
            new Band(40, 3, 5),
            new Band(125, 4, 6),
            new Band(250, 5, 9),
            new Band(Double.POSITIVE_INFINITY, 5, 10));

    /** Of a film that grips nothing that shines. */
    public PrepNeed(int min, int max, Source source) {
        this(min, max, true, true, false, source, PrepAsks.NOTHING);
    }

    /** The same, where the sheet says that nothing has to be sanded. */
    public PrepNeed unsanded() {
        return new PrepNeed(min, max, false, priming, lime, source, asks);
    }

    /** The same, where the sheet says that nothing has to be primed. */
    public PrepNeed unprimed() {
        return new PrepNeed(min, max, sanding, false, lime, source, asks);
    }

    /** The same, where the lime of the cap is what takes the colour. */
    public PrepNeed withLime() {
        return new PrepNeed(min, max, sanding, priming, true, source, asks);
    }

    /** The same, of a system that says so. */
    public PrepNeed asking(PrepAsks said) {
        return new PrepNeed(min, max, sanding, priming, lime, source, said);
    }

    /** By the thickness of everything that goes on, µm dry. */
    public static PrepNeed forFilm(double dryUm) {
        double mil = Unit.MIL.fromBase(dryUm) - 1e-9;
        Band band = BANDS.stream().filter(b -> mil <= b.upToMil).findFirst().orElseThrow();
        return new PrepNeed(band.min, band.max, ICRI);
    }

    /** How {@code method} is done here: as the system wants it, else as usual. */
    Opening opening(PrepMethod method, Condition condition) {
        return asks.opening(method.id(), condition).orElseGet(() -> Opening.usual(method.id()));
    }

    /** "CSP 3 to 5", "CSP 1"; empty where any profile will do. */
    public String text() {
        if (min <= SMOOTHEST && max >= ROUGHEST) {
            return "";
        }
        return min == max ? "CSP " + min : "CSP " + min + " to " + max;
    }
}

package openslab.core.prep;

import java.util.List;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/**
 * The roughness a film asks for, concrete surface profile 1–10, both ends included.
 *
 * @param sanding whether a shine is sanded dull first; some sheets waive it on sound tile
 * @param lime whether the cap has to stay as it is, because what goes on reacts with the lime in it
 */
public record ProfileNeed(int min, int max, boolean sanding, boolean lime, Source source) {
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
    public ProfileNeed(int min, int max, Source source) {
        this(min, max, true, false, source);
    }

    /** The same, where the sheet says that nothing has to be sanded. */
    public ProfileNeed unsanded() {
        return new ProfileNeed(min, max, false, lime, source);
    }

    /** The same, where the lime of the cap is what takes the colour. */
    public ProfileNeed withLime() {
        return new ProfileNeed(min, max, sanding, true, source);
    }

    /** By the thickness of everything that goes on, µm dry. */
    public static ProfileNeed forFilm(double dryUm) {
        double mil = Unit.MIL.fromBase(dryUm) - 1e-9;
        Band band = BANDS.stream().filter(b -> mil <= b.upToMil).findFirst().orElseThrow();
        return new ProfileNeed(band.min, band.max, ICRI);
    }

    /** "CSP 3 to 5" */
    public String text() {
        return "CSP " + min + " to " + max;
    }
}

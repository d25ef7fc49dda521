package openslab.core.choose;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.product.Suits;
import openslab.core.product.Traits;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.system.Candidate;
import openslab.core.system.Face;
import openslab.core.system.FloorSystem;

/**
 * A system as it would be on one floor.
 *
 * @param closed until people walk on it again, waiting alone; empty where a sheet does not say
 */
public record Offer(Candidate candidate, Substrate substrate, Use use, Exposure exposure, Optional<Figure> closed) {
    /** Of a year. */
    private static final double WEEKS = 365.25 / 7;

    public FloorSystem system() {
        return candidate.system();
    }

    public Face face() {
        return system().face();
    }

    public ProductSheet top() {
        return candidate.top();
    }

    /** What is said of a thing by the sheet that is walked on. */
    boolean suits(Suits what) {
        return top().traits().suits().contains(what);
    }

    /** How much of the floor is seen through everything that is laid. */
    Traits.Opacity opacity() {
        return candidate.sheets().stream()
                .map(s -> s.traits().opacity())
                .max(Enum::compareTo)
                .orElse(Traits.Opacity.UNSAID);
    }

    /** After how long it is due again here, in words: its top, and what that one saves where it is only a wax on it. */
    public String due() {
        Double years = top().resealYears().get(exposure);
        if (years == null) {
            return "not said";
        }
        return top().role() == LayerRole.FINISH
                ? saved().filter(under -> under > years)
                        .map(under -> span(years) + ", the coat under it " + span(under))
                        .orElse(span(years))
                : span(years);
    }

    /** How many years the coat lasts that the top lies on; empty where that is one of the same, or its sheet does not say. */
    private Optional<Double> saved() {
        return candidate.sheets().stream()
                .filter(s -> s.role() == LayerRole.SEALER || s.role() == LayerRole.CLEAR)
                .map(s -> s.resealYears().get(exposure))
                .filter(Objects::nonNull)
                .reduce((below, above) -> above);
    }

    private static String span(double years) {
        return years < 1
                ? Show.number(years * WEEKS, 0) + " weeks"
                : Show.number(years, years == Math.rint(years) ? 0 : 1) + (years == 1 ? " year" : " years");
    }

    /** Those whose sheets say that they smell so. */
    List<String> smelling(Traits.Odour odour) {
        return candidate.sheets().stream()
                .filter(s -> s.broadcast().isEmpty() && s.traits().odour() == odour)
                .map(ProductSheet::name)
                .distinct()
                .toList();
    }
}

package openslab.core.prep.wash;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.course.Mix;
import openslab.core.course.Step;
import openslab.core.quantity.InvalidInput.Fault;
import openslab.core.quantity.Value;

/**
 * What a step is done with: one of these, the first unless a test patch says another.
 *
 * @param any chemicals that do it
 * @param spreadM2PerL how far a litre of the mix goes; OURS, the label beats it
 * @param tried whether the strength is found by a test patch, weakest first
 * @param strength what is mixed where nobody tried; empty for the label's usual
 */
public record Dose(List<Chemical> any, double spreadM2PerL, boolean tried, Optional<Ratio> strength) implements Mix {
    /** CP: neat it is brushed thin, 250 to 300 ft²/gal, m²/L. */
    private static final double NEAT_SPREAD = 6.75;

    /** CP: baking soda over a floor that acid was on, to a wet look; about 160 ft²/gal, OURS. */
    public static final Dose NEUTRALISER = of(4, Chemical.BAKING_SODA);

    public Dose {
        any = List.copyOf(any);
    }

    public static Dose of(double spreadM2PerL, Chemical... any) {
        return new Dose(List.of(any), spreadM2PerL, false, Optional.empty());
    }

    /** What {@code step} is done with; empty where nothing is mixed for it. */
    public static Optional<Dose> of(Step step) {
        return step.mix().filter(Dose.class::isInstance).map(Dose.class::cast);
    }

    @Override
    public String thing() {
        return any.get(0).thing();
    }

    @Override
    public String label() {
        String usual = any.get(0).label();
        return any.size() == 1 ? usual : usual + " or what was tried";
    }

    /** A chemical that does not do this, or a strength that its label does not know. */
    @Override
    public Optional<Fault> misfit(Map<String, Value> square) {
        String named = square.get("chemical").typed();
        Value water = square.get("water");
        Optional<Chemical> tried =
                any.stream().filter(c -> c.id().equals(named)).findFirst();
        if (tried.isEmpty()) {
            String known = String.join(", ", any.stream().map(Chemical::id).toList());
            return Optional.of(new Fault("values.chemical", named, "one of " + known));
        }
        Chemical c = tried.get();
        return c.isOnLabel(water.base())
                ? Optional.empty()
                : Optional.of(new Fault(
                        "values.water",
                        water.typed(),
                        "parts of water from " + c.strongest().words() + " to "
                                + c.weakest().words()));
    }

    public Dose weakestFirst() {
        return new Dose(any, spreadM2PerL, true, strength);
    }

    /** As the label says, whatever a test patch would. */
    public Dose byLabel() {
        return new Dose(any, spreadM2PerL, false, strength);
    }

    /** @param typed as a label has it: "4 fl oz/gal" */
    public Dose at(String typed) {
        return new Dose(any, spreadM2PerL, tried, Optional.of(Ratio.parse("strength", typed)));
    }

    /** How strong {@code chemical} is mixed where nobody tried. */
    public Ratio usual(Chemical chemical) {
        return strength.orElseGet(chemical::usual);
    }

    /** How far a litre of it goes at that strength, m². */
    public double spreadM2PerL(Ratio ratio) {
        return ratio.isBags() || ratio.water() > 0 ? spreadM2PerL : NEAT_SPREAD;
    }
}

package openslab.core.prep.wash;

import java.util.List;
import java.util.Optional;

/**
 * What a step is done with: one of these, the first unless a test patch says another.
 *
 * @param any chemicals that do it
 * @param spreadM2PerL how far a litre of the mix goes; OURS, the label beats it
 * @param tried whether the strength is found by a test patch, weakest first
 * @param strength what is mixed where nobody tried; empty for the label's usual
 */
public record Dose(List<Chemical> any, double spreadM2PerL, boolean tried, Optional<Ratio> strength) {
    /** CP: neat it is brushed thin, 250 to 300 ft²/gal, m²/L. */
    private static final double NEAT_SPREAD = 6.75;

    public Dose {
        any = List.copyOf(any);
    }

    public static Dose of(double spreadM2PerL, Chemical... any) {
        return new Dose(List.of(any), spreadM2PerL, false, Optional.empty());
    }

    public Dose weakestFirst() {
        return new Dose(any, spreadM2PerL, true, strength);
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

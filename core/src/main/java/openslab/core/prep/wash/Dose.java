package openslab.core.prep.wash;

import java.util.List;

/**
 * What a step is done with: one of these, the first unless a test patch says another.
 *
 * @param any chemicals that do it
 * @param spreadM2PerL how far a litre of the mix goes; OURS, the label beats it
 * @param tried whether the strength is found by a test patch, weakest first
 */
public record Dose(List<Chemical> any, double spreadM2PerL, boolean tried) {
    public Dose {
        any = List.copyOf(any);
    }

    public static Dose of(double spreadM2PerL, Chemical... any) {
        return new Dose(List.of(any), spreadM2PerL, false);
    }

    public Dose weakestFirst() {
        return new Dose(any, spreadM2PerL, true);
    }
}

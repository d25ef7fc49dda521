package openslab.core.prep.wash;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.prep.wash.Chemical.Family;

/** Pairs that make gas, heat or fire: not in one bucket, and not one on the other's residue. */
final class NeverTogether {
    private record Pair(Family one, Family other, String why) {
        boolean joins(Family a, Family b) {
            return one == a && other == b || one == b && other == a;
        }
    }

    /** From memory of the cautions on their labels; the labels in hand beat this. */
    private static final List<Pair> PAIRS = List.of(
            new Pair(Family.BLEACH, Family.AMMONIA, "Bleach and ammonia give off chloramine: it chokes."),
            new Pair(Family.BLEACH, Family.ACID, "Bleach and acid give off chlorine: it kills in a closed room."),
            new Pair(
                    Family.BLEACH,
                    Family.STRIPPER,
                    "Strippers hold ammonia or amines: with bleach they give off chloramine."),
            new Pair(Family.BLEACH, Family.STAIN, "Acid stain holds acid: with bleach it gives off chlorine."),
            new Pair(Family.STAIN, Family.STRIPPER, "Acid and stripper boil up, spit and spoil one another."),
            new Pair(Family.ACID, Family.STRIPPER, "Acid and stripper boil up, spit and spoil one another."),
            new Pair(Family.ACID, Family.AMMONIA, "Acid and ammonia boil up and smoke; residue of acid is enough."),
            new Pair(Family.ACID, Family.ALKALI, "Acid and an alkaline cleaner boil up and spit."));

    private NeverTogether() {}

    /** Every family that {@code one} must not meet. */
    static List<Family> with(Family one) {
        return PAIRS.stream()
                .flatMap(p -> p.one == one ? Stream.of(p.other) : p.other == one ? Stream.of(p.one) : Stream.empty())
                .toList();
    }

    static Optional<String> why(Family a, Family b) {
        return PAIRS.stream().filter(p -> p.joins(a, b)).map(Pair::why).findFirst();
    }
}

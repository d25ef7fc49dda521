package openslab.core.prep.patch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Ratio;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/**
 * The strengths of one chemical from far below its label up to it, and what each did.
 *
 * @param id the chemical's, as a choice names it
 * @param rungs weakest first; what was tried between two of them stands between them
 * @param winner the weakest that works; {@code winnerMin} how long it stood; {@code next} what to try where there is none yet. Neither where the ladder is at its end
 * @param word what to do now
 */
public record Ladder(
        String id,
        String title,
        List<Rung> rungs,
        Optional<Ratio> next,
        Optional<Ratio> winner,
        double winnerMin,
        String word) {
    /** What a square showed. */
    public enum Result {
        UNTRIED,
        WEAK,
        WORKS,
        HARMS;

        /** As its choice is keyed in: "works". */
        public static Result of(String typed) {
            return valueOf(typed.toUpperCase(Locale.ROOT));
        }
    }

    /** @param words the ratio, said so that nobody takes one for the other */
    public record Rung(Ratio ratio, String words, Result result) {}

    /**
     * A square that was tried.
     *
     * @param water parts of it to one
     * @param dwellMin minutes that it stood
     */
    public record Square(Chemical chemical, double water, double dwellMin, Result result) {
        /** Whether its strength is one that the label knows. */
        public boolean isOnLabel() {
            return chemical.isOnLabel(water);
        }
    }

    /** Each rung is twice as strong as the one before it. */
    public static final Source SOURCE = Source.commonPractice(
            "weakest first: a label may say 1:1 where 4 parts of water to 1 are enough; that each rung is twice as strong is ours");

    private static final double STEP = 2;
    private static final double SAME = 1e-6;

    /** @param tried oldest first; those of other chemicals are left out */
    public static Ladder of(Chemical chemical, List<Square> tried) {
        var results = new TreeMap<Double, Result>(Comparator.reverseOrder());
        double strongest = chemical.strongest().water();
        for (double water = chemical.weakest().water(); water > strongest + SAME && water >= 1 - SAME; water /= STEP) {
            results.put(water, Result.UNTRIED);
        }
        results.put(strongest, Result.UNTRIED);
        var minutes = new TreeMap<Double, Double>();
        tried.stream().filter(s -> s.chemical() == chemical && s.isOnLabel()).forEach(s -> {
            double rung = nearest(results, s.water());
            results.put(rung, s.result());
            minutes.put(rung, s.dwellMin());
        });
        var rungs = new ArrayList<Rung>();
        results.forEach(
                (water, result) -> rungs.add(new Rung(ratio(water), ratio(water).words(), result)));
        Optional<Ratio> winner = rungs.stream()
                .filter(r -> r.result() == Result.WORKS)
                .map(Rung::ratio)
                .findFirst();
        Optional<Ratio> next = winner.isPresent() ? Optional.empty() : next(rungs);
        double winnerMin = winner.map(r -> minutes.get(r.water())).orElse(0.0);
        return new Ladder(
                chemical.id(),
                chemical.label(),
                List.copyOf(rungs),
                next,
                winner,
                winnerMin,
                word(chemical, rungs, next, winner, winnerMin));
    }

    /** The ladder of the first of {@code any} that has a strength that works; empty where none has. */
    public static Optional<Ladder> winner(List<Chemical> any, List<Square> tried) {
        return any.stream()
                .map(c -> of(c, tried))
                .filter(l -> l.winner().isPresent())
                .findFirst();
    }

    private static double nearest(TreeMap<Double, Result> results, double water) {
        return results.keySet().stream()
                .filter(w -> Math.abs(w - water) < SAME)
                .findFirst()
                .orElse(water);
    }

    /** "1:n", as a label has it. */
    private static Ratio ratio(double water) {
        return new Ratio(water, water == 0 ? "neat" : "1:" + Show.number(water, water == Math.rint(water) ? 0 : 1));
    }

    /** The weakest that is stronger than every one that was too weak, and weaker than every one that harmed. */
    private static Optional<Ratio> next(List<Rung> rungs) {
        double tooWeak = rungs.stream()
                .filter(r -> r.result() == Result.WEAK)
                .mapToDouble(r -> r.ratio().water())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        double harms = rungs.stream()
                .filter(r -> r.result() == Result.HARMS)
                .mapToDouble(r -> r.ratio().water())
                .max()
                .orElse(-1);
        return rungs.stream()
                .map(Rung::ratio)
                .filter(r -> r.water() < tooWeak && r.water() > harms)
                .findFirst();
    }

    private static String word(
            Chemical chemical, List<Rung> rungs, Optional<Ratio> next, Optional<Ratio> winner, double winnerMin) {
        if (winner.isPresent()) {
            boolean weakerLeft = rungs.get(0).result() == Result.UNTRIED;
            String stands = winnerMin > 0 ? ", " + Show.in(Unit.MINUTE, winnerMin) + " as the square stood" : "";
            return "Everywhere: " + winner.get().words() + stands + "."
                    + (weakerLeft ? " Weaker ones were not tried." : "");
        }
        if (next.isPresent()) {
            return "Now try " + next.get().words() + ".";
        }
        return rungs.stream().anyMatch(r -> r.result() == Result.HARMS)
                ? "What is strong enough harms the floor: take another chemical, or another method."
                : "Even as strong as the label goes, " + Show.lower(chemical.label())
                        + " does not work here: something else is on the floor. Test again.";
    }
}

package openslab.core.choose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Verdict;

/**
 * What speaks for a system on a floor, and what against it.
 *
 * @param verdict what the survey says of the floor for it
 */
public record Weighed(Offer offer, Verdict verdict, List<Reason> reasons) {
    private static final String STOPPED = "floor.";

    /**
     * The order of offers: those that nothing refuses first; then those that are made for the floor and meant for the use; then by how much stands against
     * them, by what the floor says, by what it costs, by how long it closes the floor.
     */
    public static final Comparator<Weighed> ORDER = Comparator.comparing(Weighed::isRefused)
            .thenComparing(w -> !w.isMadeForIt())
            .thenComparing(Weighed::unmet)
            .thenComparing(Weighed::verdict)
            .thenComparing(w -> w.offer.face().money())
            .thenComparing(w -> w.offer.closed().map(c -> c.base()).orElse(Double.MAX_VALUE));

    public Weighed {
        reasons = List.copyOf(reasons);
    }

    /** @param stops what was found on the floor that stops this system and not every other */
    public static Weighed of(Offer offer, Verdict verdict, List<Finding> stops, List<Asked> asked, UnitSystem units) {
        var reasons = new ArrayList<>(FloorRules.of(offer));
        if (reasons.stream().noneMatch(r -> r.stance() == Reason.Stance.REFUSES)) {
            stops.stream()
                    .map(f -> new Reason(
                            STOPPED + f.rule(), Reason.Stance.REFUSES, f.because() + " " + f.remedy(), f.source()))
                    .distinct()
                    .forEach(reasons::add);
        }
        asked.forEach(a -> reasons.add(a.need().judge().of(offer, a.value(), units)));
        return new Weighed(offer, verdict, reasons);
    }

    public List<Reason> of(Reason.Stance stance) {
        return reasons.stream().filter(r -> r.stance() == stance).toList();
    }

    private boolean isMadeForIt() {
        return reasons.stream()
                .noneMatch(r -> r.rule().equals(FloorRules.USE) || r.rule().equals(FloorRules.BESIDES));
    }

    public boolean isRefused() {
        return !of(Reason.Stance.REFUSES).isEmpty();
    }

    /** How many of what is needed it does not meet. */
    public int needsUnmet() {
        return (int) reasons.stream()
                .filter(r ->
                        r.stance() != Reason.Stance.FOR && Needs.find(r.rule()).isPresent())
                .count();
    }

    /** How much stands against it, what it is meant for included. */
    public int unmet() {
        return of(Reason.Stance.AGAINST).size() + of(Reason.Stance.REFUSES).size();
    }
}

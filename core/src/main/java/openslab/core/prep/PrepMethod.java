package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.Opening.Manner;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.survey.Site;
import openslab.core.survey.area.Defect;

/** A way of preparing a floor. A new one is one new class and one line in {@link PrepMethods}. */
public interface PrepMethod {
    /**
     * What a method is.
     *
     * @param substrates what it is for
     * @param removes what it takes off, and proves gone by its gates
     * @param profileFrom the roughness it leaves, concrete surface profile; {@code profileTo} likewise. 0 where it leaves the
     *     surface as rough as it was
     * @param demands what it asks of the place
     */
    record About(
            String id,
            String title,
            Set<Substrate> substrates,
            Set<Defect> removes,
            int profileFrom,
            int profileTo,
            Set<Demand> demands,
            Source source) {}

    About about();

    default String id() {
        return about().id();
    }

    default String title() {
        return about().title();
    }

    /** Every reason why it cannot be used here; empty when it can. */
    default List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        About about = about();
        var reasons = new ArrayList<String>();
        if (elsewhere(condition, need).isPresent()) {
            reasons.add(elsewhere(condition, need).get());
            return reasons;
        }
        notAsked(condition, need).ifPresent(reasons::add);
        if (!condition.known(need)) {
            reasons.add("It is not known what is on the floor" + unknown() + ".");
        }
        reasons.addAll(inTheWay(condition, need));
        if (about.profileTo() > 0 && need.min() > about.profileTo()) {
            reasons.add("It opens concrete to about CSP " + about.profileTo() + "; this build-up asks for "
                    + need.text() + ".");
        }
        if (about.profileTo() > 0 && need.max() < about.profileFrom()) {
            reasons.add("It leaves CSP " + about.profileFrom() + " or rougher; this build-up asks for " + need.text()
                    + " and would not bury it.");
        }
        if (takesTheCap() && condition.substrate() == Substrate.STAMPED && !Site.buries(need.min(), need.max())) {
            reasons.add("It takes the stamp away, which a film this thin is meant to show.");
        }
        if (condition.beads().orElse(false)) {
            closed().ifPresent(reasons::add);
        }
        if (condition.green()) {
            young().ifPresent(reasons::add);
        }
        if (need.lime() && takesTheLime()) {
            reasons.add("It takes off the lime that the stain reacts with: what is left colours weakly or not at all.");
        }
        reasons.addAll(site.against(about.demands()));
        return reasons;
    }

    /** Why it does nothing where water beads; empty where that is no hindrance. */
    default Optional<String> closed() {
        return Optional.empty();
    }

    /** Why it harms concrete that was placed within the month; empty where it does not. */
    default Optional<String> young() {
        return Optional.empty();
    }

    /** What lies on the floor that it neither takes off nor leaves on purpose. */
    default List<String> inTheWay(Condition condition, PrepNeed need) {
        return condition.found().stream()
                .sorted()
                .filter(d -> !about().removes().contains(d)
                        && !LEFT.contains(d)
                        && !left(condition, need).contains(d))
                .map(d -> d.label() + " is on the floor; " + cannot(d) + ".")
                .toList();
    }

    /** Why it is for other floors altogether; empty where it is for this one. */
    default Optional<String> elsewhere(Condition condition, PrepNeed need) {
        if (!isForFloor(condition.substrate(), need)) {
            return Optional.of(
                    "It is not for " + Show.lower(condition.substrate().label()) + ".");
        }
        if (!isForGround(condition, need)) {
            return Optional.of(
                    condition.ground().isFilm()
                            ? "The film stays on in this cycle; this is for a floor without one."
                            : "No film stays on this floor.");
        }
        if (isOnlyAsked() && need.asks().opening(id(), condition).isEmpty()) {
            return Optional.of("It is for systems that ask for it.");
        }
        return Optional.empty();
    }

    /** Whether it is for what the floor is made of. */
    default boolean isForFloor(Substrate substrate, PrepNeed need) {
        return about().substrates().contains(substrate)
                || need.asks().openings().stream().anyMatch(o -> o.method().equals(id()) && o.on().contains(substrate));
    }

    /** Whether it is meant for what the work stands on. */
    default boolean isForGround(Condition condition, PrepNeed need) {
        return !condition.ground().isFilm();
    }

    /** Whether only systems that name it are prepared by it. */
    default boolean isOnlyAsked() {
        return false;
    }

    /** Why the system does not take it here; empty where it does, and where it says nothing of such floors. */
    private Optional<String> notAsked(Condition condition, PrepNeed need) {
        if (looksAgain()) {
            return Optional.empty();
        }
        Optional<Opening> asked = need.asks().opening(id(), condition);
        if (asked.isPresent()) {
            return asked.get().is(Manner.FILM_ONLY) && !condition.film()
                    ? Optional.of("There is no film that has to come off: what goes on wants the face as it is.")
                    : Optional.empty();
        }
        List<String> titles = PrepMethods.asked(condition, need).stream()
                .map(m -> Show.lower(m.title()))
                .toList();
        return titles.isEmpty()
                ? Optional.empty()
                : Optional.of("What goes on here asks for another way: " + String.join(", or ", titles) + ".");
    }

    /** What no preparation takes off: it is told, repaired or left to show. */
    Set<Defect> LEFT = Set.of(Defect.DAMP, Defect.MAT_SHADE, Defect.WORN);

    /** What else it leaves on the floor, because what goes on is meant to lie on it. */
    default Set<Defect> left(Condition condition, PrepNeed need) {
        Opening opening = need.opening(this, condition);
        if (opening.is(Manner.KEEPS_SEALER)) {
            return Set.of(Defect.SEALER, Defect.OLD_COAT);
        }
        return opening.is(Manner.KEEPS_COAT) ? Set.of(Defect.PAINT, Defect.OLD_COAT) : Set.of();
    }

    /** Whether it takes the surface off all over, and a stamp with it. */
    default boolean takesTheCap() {
        return false;
    }

    /** Whether little is left afterwards of what a reactive stain reacts with. */
    default boolean takesTheLime() {
        return takesTheCap();
    }

    /** Why that matters to this method, after "what is on the floor". */
    default String unknown() {
        return "";
    }

    /** Why this method does nothing against {@code defect}. */
    default String cannot(Defect defect) {
        return "this does not take it off";
    }

    /** Whether it ends with looking at the floor anew, and another method is chosen from what is found then. */
    default boolean looksAgain() {
        return false;
    }

    /** Why it fits, when nothing refuses it. */
    String because(Condition condition, PrepNeed need);

    List<Step> steps(Condition condition, PrepNeed need);
}

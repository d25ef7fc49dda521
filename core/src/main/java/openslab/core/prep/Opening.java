package openslab.core.prep;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.prep.wash.Dose;

/**
 * A way of preparing that a system takes, and how it wants it done.
 *
 * @param method the id of a method of {@link PrepMethods}
 * @param on the floors on which it is taken; empty for every floor that the method is for
 * @param why the system takes it; a sentence
 * @param dose what is mixed for it; empty for what the method usually takes
 * @param washPsi how hard the floor is washed in it or after it, psi; 0 where nobody says
 * @param manners how it is done otherwise than usual
 */
public record Opening(
        String method, Set<Substrate> on, String why, Optional<Dose> dose, double washPsi, Set<Manner> manners) {
    /** In which way a method is done otherwise than usual. */
    public enum Manner {
        /** Only where a film has to come off, and no deeper than the film. */
        FILM_ONLY,
        /** On through the cream until stone shows, over the whole floor. */
        TO_STONE,
        /** What goes on first wants the floor damp: it is not dried for a day. */
        STAYS_DAMP,
        /** Wax and finish are taken off in any case. */
        STRIPPED,
        /** An old coat stays where it holds. */
        KEEPS_COAT,
        /** An old sealer stays: what goes on melts into it. */
        KEEPS_SEALER
    }

    public Opening {
        on = on.isEmpty() ? Set.of() : EnumSet.copyOf(on);
        manners = manners.isEmpty() ? Set.of() : EnumSet.copyOf(manners);
    }

    /** A method as it is usually done. */
    static Opening usual(String method) {
        return new Opening(method, Set.of(), "", Optional.empty(), 0, Set.of());
    }

    boolean is(Manner manner) {
        return manners.contains(manner);
    }

    boolean isOn(Substrate substrate) {
        return on.isEmpty() || on.contains(substrate);
    }
}

package openslab.core.prep;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Substrate;

/** Substrates that are prepared alike. */
final class Kinds {
    static final Set<Substrate> CONCRETE = of(Substrate.Family.CEMENT);
    static final Set<Substrate> TILE = of(Substrate.Family.TILE);
    static final Set<Substrate> RESILIENT = of(Substrate.Family.RESILIENT);
    static final Set<Substrate> ANY = Set.copyOf(EnumSet.allOf(Substrate.class));

    /** A build-up that asks for this profile buries a stamp anyway. */
    private static final int BURIES = 3;

    private Kinds() {}

    /** Why what takes the cap off cannot be used on a stamp that is meant to show. */
    static Optional<String> stampGone(Condition condition, ProfileNeed need) {
        return condition.substrate() == Substrate.STAMPED && need.min() < BURIES
                ? Optional.of("It takes the stamp away, which a film this thin is meant to show.")
                : Optional.empty();
    }

    private static Set<Substrate> of(Substrate.Family family) {
        Set<Substrate> all = EnumSet.noneOf(Substrate.class);
        for (Substrate s : Substrate.values()) {
            if (s.family() == family) {
                all.add(s);
            }
        }
        return Set.copyOf(all);
    }
}

package openslab.core.prep;

import java.util.EnumSet;
import java.util.Set;
import openslab.core.floor.Substrate;

/** Substrates that are prepared alike. */
final class Kinds {
    static final Set<Substrate> CONCRETE = of(Substrate.Family.CEMENT);
    static final Set<Substrate> TILE = of(Substrate.Family.TILE);
    static final Set<Substrate> RESILIENT = of(Substrate.Family.RESILIENT);
    static final Set<Substrate> ANY = Set.copyOf(EnumSet.allOf(Substrate.class));

    private Kinds() {}

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

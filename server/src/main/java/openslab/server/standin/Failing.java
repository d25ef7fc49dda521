package openslab.server.standin;

import java.util.Set;

/** What can go wrong with an instrument, and the checks that may catch it. */
enum Failing {
    FLAT_BATTERY(Set.of("battery")),
    STUCK(Set.of("stuck")),
    /** The number of another unit under the old name, as after somebody pressed a key. */
    WRONG_UNIT(Set.of("range", "leap")),
    /** A unit that measures something else. */
    FOREIGN_UNIT(Set.of("unit")),
    NO_VALUE(Set.of("no-value")),
    /** Knocked, or wet. */
    KNOCKED(Set.of("leap")),
    CLOCK_BACK(Set.of("clock"));

    private final Set<String> caughtBy;

    Failing(Set<String> caughtBy) {
        this.caughtBy = caughtBy;
    }

    Set<String> caughtBy() {
        return caughtBy;
    }
}

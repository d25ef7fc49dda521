package openslab.core.prep;

/** What a way of preparing asks of the place it is done in. */
public enum Demand {
    /** Dust, even with shroud and vacuum. */
    DUST("makes dust"),
    NOISE("is loud"),
    WASH_WATER("needs wash water, and somewhere for it to go"),
    FUMES("fills the air with fumes"),
    THREE_PHASE("runs on three-phase power"),
    ACID("is acid"),
    /** Steel, shot or picks on the slab. */
    IMPACT("strikes the slab"),
    /** Diamonds or paper on the surface. */
    ABRASION("abrades the surface"),
    /** Grit or spray that leaves the floor. */
    FLYING("throws grit or spray about");

    private final String words;

    Demand(String words) {
        this.words = words;
    }

    /** "makes dust", after the method's name. */
    public String words() {
        return words;
    }
}

package openslab.core.prep;

import java.util.Set;

/** What a place does not allow, and why; with dust and wash water, what decides between ways of preparing. */
public enum SiteLimit {
    QUIET("Quiet hours all day", Set.of(Demand.NOISE), "it is quiet hours here"),
    OCCUPIED("People in the building", Set.of(Demand.FUMES), "there are people in the building"),
    NO_THREE_PHASE("No three-phase power", Set.of(Demand.THREE_PHASE), "there is no three-phase power here"),
    POST_TENSIONED(
            "Post-tensioned slab",
            Set.of(Demand.ACID, Demand.IMPACT),
            "the slab is post-tensioned, and acid or picks that reach a tendon can bring it down"),
    METALLIC("Metallic-hardened top", Set.of(Demand.ACID), "the top is hardened with metal, which acid rusts"),
    GREEN(
            "Concrete placed in the last days",
            Set.of(Demand.ACID, Demand.IMPACT, Demand.ABRASION),
            "the concrete is green: it is washed gently and nothing more"),
    FROST("Frost", Set.of(Demand.WASH_WATER, Demand.ACID), "water freezes here before it can be picked up"),
    NEIGHBOURS("Cars, windows or plants beside it", Set.of(Demand.FLYING), "what stands beside it must not be hit");

    private final String label;
    private final Set<Demand> forbids;
    private final String because;

    SiteLimit(String label, Set<Demand> forbids, String because) {
        this.label = label;
        this.forbids = forbids;
        this.because = because;
    }

    public String label() {
        return label;
    }

    public Set<Demand> forbids() {
        return forbids;
    }

    public String because() {
        return because;
    }
}

package openslab.core.job;

/** Why a zone is worked on. */
public enum CycleKind {
    COAT("Coat", "Everything goes on, from the slab up."),
    CLEAN(
            "Clean",
            "Washed and walked again. What is on stays; what of the build-up is not on yet goes on after, and where all of it is, nothing does."),
    RESEAL("Reseal", "The film stays: it is washed and dulled, and its top coat goes on again."),
    REPAIR("Repair a patch", "A piece is taken down to the floor and built up again; what is beside it stays."),
    RECOAT("Recoat", "The old film comes off, and everything goes on anew.");

    private final String label;
    private final String what;

    CycleKind(String label, String what) {
        this.label = label;
        this.what = what;
    }

    public String label() {
        return label;
    }

    /** What it does to the floor, in a sentence. */
    public String what() {
        return what;
    }

    /** Whether it can only begin where a film is on. */
    public boolean needsFilm() {
        return this == RESEAL || this == REPAIR || this == RECOAT;
    }
}

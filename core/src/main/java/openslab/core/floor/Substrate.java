package openslab.core.floor;

/** What a zone is made of, before anything of ours goes on it. */
public enum Substrate {
    BARE_CONCRETE("Bare concrete", Family.CEMENT),
    COATED_CONCRETE("Coated concrete", Family.CEMENT),
    STAMPED("Stamped concrete", Family.CEMENT),
    OVERLAY("Cement overlay", Family.CEMENT),
    CERAMIC("Ceramic tile", Family.TILE),
    STONE("Stone", Family.TILE),
    QUARRY("Quarry tile", Family.TILE),
    TERRAZZO("Terrazzo", Family.TILE),
    MOSAIC("Mosaic", Family.TILE),
    PAVERS("Pavers", Family.TILE),
    VINYL_SHEET("Vinyl sheet", Family.RESILIENT),
    VINYL_PLANK("Vinyl plank", Family.RESILIENT),
    VCT("Vinyl composition tile", Family.RESILIENT),
    LINOLEUM("Linoleum", Family.RESILIENT),
    RUBBER("Rubber", Family.RESILIENT),
    LAMINATE("Laminate", Family.RESILIENT),
    STATIC_DISSIPATIVE("Static-dissipative floor", Family.RESILIENT),
    TIMBER("Timber", Family.OTHER),
    METAL("Metal", Family.OTHER),
    COMPOSITE("Composite", Family.OTHER);

    /** Substrates that are tested and prepared alike. */
    public enum Family {
        CEMENT,
        TILE,
        RESILIENT,
        OTHER
    }

    private final String label;
    private final Family family;

    Substrate(String label, Family family) {
        this.label = label;
        this.family = family;
    }

    public String label() {
        return label;
    }

    public Family family() {
        return family;
    }
}

package openslab.core.product;

/** What a film or a colour is made of, as far as the next coat has to know it. */
public enum Chemistry {
    EPOXY("epoxy"),
    POLYASPARTIC("polyaspartic"),
    URETHANE("urethane"),
    SOLVENT_ACRYLIC("solvent acrylic"),
    WATER_ACRYLIC("water-based acrylic"),
    PENETRATING("penetrating sealer"),
    WAX("wax or polish"),
    STATIC_FINISH("static-dissipative finish"),
    ACID_STAIN("acid stain"),
    WATER_STAIN("water-based stain"),
    SOLID_STAIN("solid-colour stain"),
    SOLVENT_DYE("acetone dye"),
    ANTIQUE("antique"),
    CEMENT("cement"),
    MINERAL("sand, flake or aggregate"),
    UNSAID("a film whose sheet does not say what it is");

    private final String label;

    Chemistry(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}

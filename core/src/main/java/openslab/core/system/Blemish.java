package openslab.core.system;

/** Something on a floor that somebody does not want to see any more, or that no coat makes good. */
public enum Blemish {
    FADED("a faded, dull look"),
    STARK("stark white, chalky or blotchy colour"),
    COLOUR("a dated or wrong colour"),
    STAINS("stains"),
    RUST("rust and blanket marks"),
    PATCHES("patches and glue lines"),
    GROUT("grimy grout"),
    SCRATCHES("scratches and scuffs"),
    PITS("pits and spalls"),
    TEXTURE("worn texture"),
    HUMPS("humps and dips"),
    CRACKS("cracks"),
    MOVING("moving cracks and joints"),
    LIPPAGE("steps between tiles or boards"),
    JOINTS("the pattern of joints"),
    SEAMS("open seams and a lost print"),
    DENTS("dents"),
    LOOSE("loose or hollow places"),
    PONDING("standing water"),
    MAT_SHADE("the shade of rubber-backed mats"),
    OLD_COAT("an old coat that holds"),
    WET_SLAB("a slab that stays wet");

    private final String label;

    Blemish(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}

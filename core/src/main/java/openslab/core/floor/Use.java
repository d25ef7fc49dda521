package openslab.core.floor;

/** What a floor is for. */
public enum Use {
    UNSAID("Not said yet"),
    GARAGE("Garage or workshop"),
    PLANT("Plant or store, wheeled loads"),
    SHOP("Shop or café"),
    SCHOOL("School or office"),
    KITCHEN("Kitchen or food"),
    WET_ROOM("Bathroom or wet room"),
    LABORATORY("Laboratory or static-sensitive"),
    HOME("Living rooms"),
    PATIO("Patio, deck or walk"),
    RAMP("Ramp or steps");

    private final String label;

    Use(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}

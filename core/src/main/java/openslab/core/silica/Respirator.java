package openslab.core.silica;

/** What is worn over the face, by its assigned protection factor (29 CFR 1910.134, from memory). */
public enum Respirator {
    NONE("no respirator asked for"),
    APF_10("respirator, APF 10: half mask or filtering facepiece"),
    APF_25("respirator, APF 25: loose-fitting hood with a blower");

    private final String words;

    Respirator(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

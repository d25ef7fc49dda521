package openslab.core.survey;

/** What a test asks about, as an installer looks for it. */
public enum TestGroup {
    WALK("First look"),
    MOISTURE("Moisture and alkali"),
    FILM("What is on the floor"),
    SOUND("How sound and how even"),
    USE("In use"),
    AIR("Age and air");

    private final String label;

    TestGroup(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}

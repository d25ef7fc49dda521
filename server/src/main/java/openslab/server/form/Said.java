package openslab.server.form;

/** Whether a person wrote anything there. */
public final class Said {
    private Said() {}

    public static boolean is(String text) {
        return text != null && !text.isBlank();
    }
}

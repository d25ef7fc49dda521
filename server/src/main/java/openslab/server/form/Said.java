package openslab.server.form;

/** Whether a person wrote anything there. */
final class Said {
    private Said() {}

    static boolean is(String text) {
        return text != null && !text.isBlank();
    }
}

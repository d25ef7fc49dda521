package openslab.server.web;

/** Somebody asked for a thing that does not exist. */
public final class NotHere extends Declined {
    private final String field;
    private final String value;

    /** @param field as in the path: {@code jobId} */
    public NotHere(String field, Object value) {
        super("There is no " + field.replace("Id", "") + " " + value + ".");
        this.field = field;
        this.value = String.valueOf(value);
    }

    String field() {
        return field;
    }

    String value() {
        return value;
    }
}

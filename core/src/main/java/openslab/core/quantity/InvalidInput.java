package openslab.core.quantity;

import java.util.List;
import java.util.stream.Collectors;

/** What somebody typed cannot be used: every fault names its field, the value, and what is accepted. */
public final class InvalidInput extends RuntimeException {
    /**
     * @param field dotted path as the sender knows it, such as {@code values.gain}
     * @param value what was sent, shortened
     * @param accepted the accepted range or form, in words
     */
    public record Fault(String field, String value, String accepted) {
        private static final int LONGEST = 80;

        public Fault {
            value = value == null ? "nothing" : value.length() > LONGEST ? value.substring(0, LONGEST) + "…" : value;
        }

        /** The fault as one sentence. */
        public String sentence() {
            return field + ": " + accepted + "; got " + value + ".";
        }
    }

    private final transient List<Fault> faults;

    public InvalidInput(List<Fault> faults) {
        super(faults.stream().map(Fault::sentence).collect(Collectors.joining(" ")));
        this.faults = List.copyOf(faults);
    }

    public InvalidInput(String field, Object value, String accepted) {
        this(List.of(new Fault(field, value == null ? null : value.toString(), accepted)));
    }

    public List<Fault> faults() {
        return faults;
    }
}

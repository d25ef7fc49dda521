package openslab.core.quantity;

import java.util.List;
import java.util.stream.Collectors;

/** What somebody typed cannot be used: every fault names its field, the value, and what is accepted. */
public final class InvalidInput extends RuntimeException {
    /** More faults than this nobody reads; the rest is counted. */
    public static final int TOLD = 20;

    /**
     * @param field dotted path as the sender knows it, such as {@code values.gain}
     * @param value what was sent, shortened
     * @param accepted the accepted range or form, in words
     */
    public record Fault(String field, String value, String accepted) {
        private static final int LONGEST = 80;
        private static final int LONGEST_FIELD = 120;
        private static final int LONGEST_ACCEPTED = 600;

        public Fault {
            field = Text.shortened(field, LONGEST_FIELD);
            value = value == null ? "nothing" : Text.shortened(value, LONGEST);
            accepted = Text.shortened(accepted, LONGEST_ACCEPTED);
        }

        /** The fault as one sentence. */
        public String sentence() {
            return field + ": " + accepted + "; got " + value + ".";
        }
    }

    private final transient List<Fault> faults;
    private final int more;

    public InvalidInput(List<Fault> faults) {
        this(faults, 0);
    }

    /** @param more how many there are besides */
    public InvalidInput(List<Fault> faults, int more) {
        super(sentences(faults, more));
        this.faults = List.copyOf(faults.subList(0, Math.min(TOLD, faults.size())));
        this.more = more + Math.max(0, faults.size() - TOLD);
    }

    public InvalidInput(String field, Object value, String accepted) {
        this(List.of(new Fault(field, value == null ? null : value.toString(), accepted)));
    }

    private static String sentences(List<Fault> faults, int more) {
        int rest = more + Math.max(0, faults.size() - TOLD);
        String told = faults.stream().limit(TOLD).map(Fault::sentence).collect(Collectors.joining(" "));
        return rest == 0 ? told : told + " And " + rest + " more.";
    }

    /** The first of them. */
    public List<Fault> faults() {
        return faults;
    }

    /** How many more there are. */
    public int more() {
        return more;
    }
}

package openslab.core.quantity;

/** A clear request that we decline: a stable code, the fact, and what to do instead. */
public final class Refusal extends RuntimeException {
    private final String code;
    private final String remedy;

    public Refusal(String code, String fact, String remedy) {
        super(fact);
        this.code = code;
        this.remedy = remedy;
    }

    public String code() {
        return code;
    }

    /** The fact and what to do instead, where it is told and nothing is refused. */
    public String told() {
        return getMessage() + " " + remedy;
    }

    public String remedy() {
        return remedy;
    }
}

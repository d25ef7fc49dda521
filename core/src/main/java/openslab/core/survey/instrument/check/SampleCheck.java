package openslab.core.survey.instrument.check;

/** Why a sample may not be trusted. A new one is one new class and one line in {@link Screening}. */
public interface SampleCheck {
    /** Its word in the store and the API. */
    String id();

    /** A few words: "flat battery". */
    String title();

    /** Why it is set aside, and what to do about it. */
    String because();

    /** Whether the newest sample of {@code channel} may not be trusted. */
    boolean objects(Channel channel);
}

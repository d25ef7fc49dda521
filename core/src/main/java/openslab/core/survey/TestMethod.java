package openslab.core.survey;

import java.util.List;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;

/** A way of testing a floor. A new one is one new class in {@code survey.method} and one line in {@link TestMethods}. */
public interface TestMethod {
    /** The method's word in the store and the API. */
    String id();

    String title();

    /** How it is done, in one or two sentences, for the person about to do it. */
    String how();

    Source source();

    List<Field> fields();

    TestCount count();

    /** False where the test is taken only when somebody wants it. */
    default boolean required() {
        return true;
    }

    /** True where one reading speaks for the whole zone, so that nobody is asked for a place. */
    default boolean wholeFloor() {
        return false;
    }

    /** Whether the reading was taken as the method asks, and so counts. */
    default boolean valid(Reading reading, Site site) {
        return true;
    }

    /** What {@code reading} means; never empty. */
    List<Finding> judge(Reading reading, Site site);

    /** The reading in a few words: "2.90 lb". */
    String found(Reading reading, Site site);
}

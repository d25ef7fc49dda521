package openslab.core.prep;

import java.util.List;

/** A way of preparing concrete. A new one is one new class and one line in {@link PrepMethods}. */
public interface PrepMethod {
    String id();

    String title();

    /** Every reason why it cannot be used here; empty when it can. */
    List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site);

    /** Why it fits, when nothing refuses it. */
    String because(Condition condition, ProfileNeed need);

    List<Step> steps(Condition condition, ProfileNeed need);
}

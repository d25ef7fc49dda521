package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What the place allows.
 *
 * @param dust grinding with shroud and vacuum is allowed
 * @param washWater wash water can be used, collected and disposed of by local rule
 * @param also what else it does not allow
 */
public record SiteLimits(boolean dust, boolean washWater, Set<SiteLimit> also) {
    /** A place that allows everything. */
    static final SiteLimits NONE = new SiteLimits(true, true);

    public SiteLimits {
        also = Set.copyOf(also);
    }

    public SiteLimits(boolean dust, boolean washWater) {
        this(dust, washWater, Set.of());
    }

    /** Why something that demands this cannot be done here; empty where it can. */
    List<String> against(Set<Demand> demands) {
        var reasons = new ArrayList<String>();
        if (!dust && demands.contains(Demand.DUST)) {
            reasons.add("The place does not allow it: dust or noise.");
        }
        if (!washWater && demands.contains(Demand.WASH_WATER)) {
            reasons.add("The place does not allow wash water, and this has to be rinsed.");
        }
        also.stream().sorted().forEach(limit -> demands.stream()
                .filter(limit.forbids()::contains)
                .sorted()
                .forEach(d -> reasons.add("It " + d.words() + ", and " + limit.because() + ".")));
        return reasons;
    }
}

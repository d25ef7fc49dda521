package openslab.server.form;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.floor.Shapes;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.PlanZone;
import openslab.core.prep.SiteLimit;
import openslab.core.product.Exposure;
import openslab.core.quantity.Value;

/** A zone form that was read; {@code values} holds sides and settings together. */
public record ZoneChoice(
        String name,
        String shape,
        Substrate substrate,
        Use use,
        Exposure exposure,
        boolean dust,
        boolean washWater,
        Set<SiteLimit> limits,
        Map<String, Value> values) {
    /** The same zone, its floor given by the plan instead of by typed sides. */
    public ZoneChoice onPlan() {
        Map<String, Value> settings = new TreeMap<>(values);
        Shapes.fields(shape).forEach(side -> settings.remove(side.id()));
        return new ZoneChoice(name, PlanZone.KIND, substrate, use, exposure, dust, washWater, limits, settings);
    }

    /** Whether the plan gives its floor. */
    public boolean isOnPlan() {
        return shape.equals(PlanZone.KIND);
    }
}

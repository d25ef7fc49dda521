package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import openslab.core.course.Extent;
import openslab.core.course.Staging;
import openslab.core.course.Step;
import openslab.core.course.work.Effort;
import openslab.core.course.work.Paces;
import openslab.core.product.Exposure;
import openslab.core.quantity.UnitSystem;

/**
 * What laying one layer takes, step by step.
 *
 * @param steps of its way, each once
 * @param staging what lies ready before the first clock is started
 */
public record LaySheet(List<PrepSheet.StepSheet> steps, List<Staging.Thing> staging) {
    /** @param now ticks older than a day do not count */
    public static LaySheet of(ZoneFacts zone, LayerChoice layer, Paces paces, UnitSystem system, Instant now) {
        List<Step> steps = zone.steps(layer);
        Staging staging = Staging.of(steps, PrepLog.ticks(zone), now);
        Extent extent = PrepLog.extent(zone, system);
        boolean indoors = zone.exposure() == Exposure.INDOORS;
        List<Effort> efforts = Effort.inOneShift(
                steps.stream()
                        .map(s -> Effort.of(s.work(), s.amount(extent), indoors, paces, system))
                        .toList(),
                system);
        var sheets = new ArrayList<PrepSheet.StepSheet>();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            sheets.add(new PrepSheet.StepSheet(
                    step.id(),
                    efforts.get(i),
                    PrepLog.wash(zone, step, system),
                    "",
                    List.of(),
                    staging.missing(step),
                    step.work().doneFields(),
                    PrepSheet.Otherwise.of(zone, step)));
        }
        return new LaySheet(List.copyOf(sheets), staging.things());
    }
}

package openslab.server.job;

import java.util.UUID;
import openslab.core.floor.plan.PlanReport;
import openslab.core.job.ZoneFacts;
import openslab.core.quantity.UnitSystem;

/** What a job knows of its plan, where the floors of its zones are drawn. */
public interface DrawnFloors {
    /** What follows from the plan that stands. */
    PlanReport report(UUID jobId, UnitSystem units);

    /** What the plan that stands says of a zone beside its shape. */
    ZoneFacts.PlanFacts facts(UUID jobId, String zoneId, UnitSystem units);
}

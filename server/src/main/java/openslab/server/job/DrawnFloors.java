package openslab.server.job;

import java.util.UUID;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.PlanReport;
import openslab.core.quantity.UnitSystem;

/** What a job knows of its plan, where the floors of its zones are drawn. */
public interface DrawnFloors {
    /** What follows from the plan that stands. */
    PlanReport report(UUID jobId, UnitSystem units);

    /** What a zone's part of the plan that stands has to be made good. */
    Flaws flaws(UUID jobId, String zoneId, UnitSystem units);
}

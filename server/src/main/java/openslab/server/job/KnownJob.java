package openslab.server.job;

import java.time.Instant;
import java.util.List;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.UnitSystem;

/** A job and all its zones, in order, as they were known at one moment. */
public record KnownJob(JobStore.StoredJob stored, List<KnownZone> zones, Instant now) {
    public UnitSystem units() {
        return stored.facts().units();
    }

    public List<ZoneReport> reports() {
        return zones.stream().map(KnownZone::report).toList();
    }
}

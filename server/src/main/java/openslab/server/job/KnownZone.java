package openslab.server.job;

import java.time.Instant;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.UnitSystem;

/** A zone of a job as it is stored, as it is known, and what followed from that at one moment. */
public final class KnownZone {
    private final JobStore.StoredJob job;
    private final ZoneStore.StoredZone stored;
    private final ZoneFacts facts;
    private final Instant now;
    private ZoneReport report;

    KnownZone(JobStore.StoredJob job, ZoneStore.StoredZone stored, ZoneFacts facts, Instant now) {
        this.job = job;
        this.stored = stored;
        this.facts = facts;
        this.now = now;
    }

    public JobStore.StoredJob job() {
        return job;
    }

    public UnitSystem units() {
        return job.facts().units();
    }

    public ZoneStore.StoredZone stored() {
        return stored;
    }

    public ZoneFacts facts() {
        return facts;
    }

    /** When it was read. */
    public Instant now() {
        return now;
    }

    /** What follows; worked out when it is first asked for. */
    public synchronized ZoneReport report() {
        if (report == null) {
            report = ZoneReport.of(facts, units(), job.facts().where(), now);
        }
        return report;
    }
}

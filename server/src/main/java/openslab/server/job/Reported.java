package openslab.server.job;

import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneReport;

/** A zone as it is stored, as it is known, and what follows. */
record Reported(ZoneStore.StoredZone stored, ZoneFacts facts, ZoneReport report) {}

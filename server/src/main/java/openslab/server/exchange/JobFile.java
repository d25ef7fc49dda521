package openslab.server.exchange;

import java.util.List;
import java.util.Map;
import openslab.server.floor.PlanForm;
import openslab.server.job.Forms;
import openslab.server.product.SheetForm;

/**
 * A whole job as one JSON document; docs/formats/job-file.md describes it, docs/formats/open-slab-job.schema.json is its
 * schema. It holds facts only, as they were keyed in: whoever reads it computes the rest.
 *
 * @param format always {@code open-slab-job}
 * @param formatVersion 3
 * @param revision the job's version when it was written
 * @param sheets every sheet the zones use, by digest
 */
record JobFile(
        String format,
        int formatVersion,
        String id,
        int revision,
        Forms.JobForm job,
        List<ZonePart> zones,
        PlanForm plan,
        Map<String, SheetForm> sheets) {
    static final String FORMAT = "open-slab-job";
    static final int VERSION = 4;
    /** Files from before there was a plan, or instruments, areas and photos, or steps, are still read. */
    static final int OLDEST = 1;

    record ZonePart(String id, Forms.ZoneForm facts, List<LayerPart> layers, List<EntryPart> log) {}

    record LayerPart(String id, String sheet, String plannedStart) {}

    /** @param photos JPEG or PNG as base64, each read only when it is written; absent where there are none */
    record EntryPart(String key, Forms.LogForm entry, List<String> photos) {}
}

package openslab.server.exchange;

import java.util.List;
import java.util.Map;
import openslab.server.floor.PlanForm;
import openslab.server.form.JobForm;
import openslab.server.form.LogForm;
import openslab.server.form.ZoneForm;
import openslab.server.product.SheetForm;

/**
 * A whole job as one JSON document; docs/formats/job-file.md describes it, docs/formats/open-slab-job.schema.json is its
 * schema. It holds facts only, as they were keyed in: whoever reads it computes the rest.
 *
 * @param format always {@code open-slab-job}
 * @param formatVersion {@link #VERSION}
 * @param revision the job's version when it was written
 * @param sheets every sheet the zones use, by digest
 */
record JobFile(
        String format,
        int formatVersion,
        String id,
        int revision,
        JobForm job,
        List<ZonePart> zones,
        PlanForm plan,
        Map<String, SheetForm> sheets) {
    static final String FORMAT = "open-slab-job";
    static final int VERSION = 8;
    /** The first version with cycles. */
    static final int CYCLES = 5;
    /** The first version that says which system a cycle's layers were chosen from. */
    static final int SYSTEMS = 6;
    /** Files from before there was a plan, or instruments, areas and photos, or steps, or cycles, or systems, or needs, or practices, are still read. */
    static final int OLDEST = 1;

    /**
     * @param layers of a file from before there were cycles: what goes on in the one there was; absent since
     * @param cycles oldest first
     */
    record ZonePart(String id, ZoneForm facts, List<LayerPart> layers, List<CyclePart> cycles, List<EntryPart> log) {}

    /**
     * One time that the zone is worked on; its number is its place in the list.
     *
     * @param at when it began; absent where that is not known, as of a first one
     * @param patch as typed, of a repair
     * @param system the id of the system that its layers were chosen from
     */
    record CyclePart(
            String kind, String at, String by, String why, String patch, String system, List<LayerPart> layers) {}

    /**
     * A layer; what a file from before there were systems does not say is as the sheet has it.
     *
     * @param rate as typed, where it is not laid at the sheet's; {@code reserve} likewise, held back
     */
    record LayerPart(
            String id,
            String title,
            String role,
            String sheet,
            String way,
            String rate,
            String reserve,
            String plannedStart) {}

    /** @param photos JPEG or PNG as base64, each read only when it is written; absent where there are none */
    record EntryPart(String key, LogForm entry, List<String> photos) {}
}

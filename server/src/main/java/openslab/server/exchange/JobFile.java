package openslab.server.exchange;

import java.util.List;
import java.util.Map;
import openslab.core.floor.Outline.Corner;
import openslab.server.floor.PlanForm;
import openslab.server.form.JobForm;
import openslab.server.form.LogForm;
import openslab.server.form.ZoneForm;
import openslab.server.lay.PlankForm;
import openslab.server.lay.StampForm;
import openslab.server.product.SheetForm;

/**
 * A whole job as one JSON document; docs/formats/job-file.md describes it, docs/formats/open-slab-job.schema.json is its
 * schema. It holds facts only, as they were keyed in: whoever reads it computes the rest.
 *
 * @param format always {@code open-slab-job}
 * @param formatVersion {@link #VERSION}
 * @param revision the job's version when it was written
 * @param sheets every sheet the zones use, by digest
 * @param orders what went out to suppliers for it, oldest first; {@code deliveries} what came. Absent where there are none; nothing
 *     that was struck
 * @param documents that are kept with it, oldest first; absent where there are none; nothing that was put away
 */
record JobFile(
        String format,
        int formatVersion,
        String id,
        int revision,
        JobForm job,
        List<ZonePart> zones,
        PlanForm plan,
        Map<String, SheetForm> sheets,
        List<OrderPart> orders,
        List<DeliveryPart> deliveries,
        List<DocumentPart> documents) {
    static final String FORMAT = "open-slab-job";
    static final int VERSION = 10;
    /** The first version with cycles. */
    static final int CYCLES = 5;
    /** The first version that says which system a cycle's layers were chosen from. */
    static final int SYSTEMS = 6;
    /** Files from before there was a plan, or instruments, areas and photos, or steps, or cycles, or systems, or needs, or practices, or orders, or documents, are still read. */
    static final int OLDEST = 1;

    /**
     * @param layers of a file from before there were cycles: what goes on in the one there was; absent since
     * @param cycles oldest first
     * @param layouts how layers of it are laid out; absent where nobody did that
     */
    record ZonePart(
            String id,
            ZoneForm facts,
            List<LayerPart> layers,
            List<CyclePart> cycles,
            List<LayoutPart> layouts,
            List<EntryPart> log) {}

    /** A layer in planks or in mats. @param cycle its number, from 1 */
    record LayoutPart(int cycle, String layer, PlankForm planks, StampForm stamps) {}

    /** An order as it went out. @param supplier absent where nobody noted one */
    record OrderPart(String id, String supplier, String at, String by, String note, List<OrderLinePart> lines) {}

    /**
     * @param what a sheet by its slug, or something small by its id
     * @param size litres or kilograms of a pack; 0 where it is bought one by one
     * @param eachCents what one was to cost, in hundredths
     */
    record OrderLinePart(
            String what, String title, String colour, String pack, double size, int number, long eachCents) {}

    /** What came. @param size litres or kilograms of a pack */
    record DeliveryPart(
            String id,
            String at,
            String by,
            String sheet,
            String title,
            boolean liquid,
            String pack,
            double size,
            int number,
            String maker,
            String ordered,
            String colour,
            String lot,
            String bestBefore,
            List<String> faults,
            boolean boxed,
            String note) {}

    /**
     * One time that the zone is worked on; its number is its place in the list.
     *
     * @param at when it began; absent where that is not known, as of a first one
     * @param patch as typed, of a repair; {@code ring} where it lies, metres of the zone's plan. One of the two is there
     * @param system the id of the system that its layers were chosen from
     */
    record CyclePart(
            String kind,
            String at,
            String by,
            String why,
            String patch,
            List<Corner> ring,
            String system,
            List<LayerPart> layers) {}

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

    /** A PDF, JPEG or PNG. @param bytes as base64, read only when it is written */
    record DocumentPart(String name, String at, String bytes) {}
}

package openslab.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.course.Course;
import openslab.core.cure.CureTime;
import openslab.core.mix.Used;
import openslab.core.product.Clock;
import openslab.core.product.LayerRole;
import openslab.core.product.Material;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.system.BuildUp;

/**
 * One layer: its film, its mix and its clocks.
 *
 * @param asked how far a litre goes, or how much lies on the floor, as the sheet has it
 * @param amount litres or kilograms that this zone takes, allowance and reserve included
 * @param mixing how it is mixed, as its sheet has it
 * @param start when it went on, or when it is to; {@code started} says which
 * @param findings about when it is to begin
 * @param against what stands against putting it on now, where it is the next to go on; {@code asksReason} says whether a reason
 *     is asked for, {@code readsAir} whether air and slab are to be read before it
 * @param used what was used so far, against the plan; empty where nothing was logged
 * @param steps as they were done, and what a failed gate made anybody do again; what is left at the end
 * @param batchFields what is keyed in with a batch of it; {@code weighFields} beside that, by part, where it was weighed
 * @param colours what came for it, newest first
 */
public record LayerReport(
        String id,
        String title,
        LayerRole role,
        ProductSheet sheet,
        Optional<Figure> wet,
        Optional<Figure> dry,
        String asked,
        Figure amount,
        String mixing,
        Started started,
        Optional<Instant> start,
        List<TimedClock> clocks,
        List<Finding> findings,
        List<Finding> against,
        boolean asksReason,
        boolean readsAir,
        int batchesLogged,
        Optional<Used> used,
        List<StepReport> steps,
        List<Field> batchFields,
        Map<String, Field> weighFields,
        List<Field> coatFields,
        List<Colour> colours,
        Mark mark) {

    /** How the start is known. */
    public enum Started {
        /** Logged. */
        COATED,
        /** Somebody set it. */
        PLANNED,
        /** The earliest the layer below allows. */
        RECKONED,
        UNKNOWN
    }

    /**
     * A clock with its date.
     *
     * @param at empty when the start or the time is not known; {@code time} says why
     */
    public record TimedClock(Clock clock, String label, CureTime time, Optional<Instant> at) {}

    /** What came for a layer. @param key of the log entry; {@code odd} whether it is another shade than was ordered */
    public record Colour(
            String key,
            Instant at,
            String by,
            String name,
            String maker,
            String lot,
            String ordered,
            String received,
            boolean odd) {
        static Colour of(LogEntry e) {
            String ordered = said(e, "ordered");
            String received = said(e, "received");
            return new Colour(
                    e.key(),
                    e.at(),
                    e.by(),
                    said(e, "name"),
                    said(e, "maker"),
                    said(e, "lot"),
                    ordered,
                    received,
                    !ordered.isEmpty() && !received.isEmpty() && !ordered.equalsIgnoreCase(received));
        }

        private static String said(LogEntry e, String field) {
            return e.values().containsKey(field) ? e.values().get(field).typed() : "";
        }
    }

    /** When {@code clock} runs out, if that is known. */
    public Optional<Instant> at(Clock clock) {
        return clocks.stream().filter(c -> c.clock() == clock).findFirst().flatMap(TimedClock::at);
    }

    boolean coated() {
        return started == Started.COATED;
    }

    boolean isBroadcast() {
        return sheet.broadcast().isPresent();
    }

    /** What nobody has finished of it, the next first. */
    List<StepReport> open() {
        return steps.stream().filter(s -> !s.isThrough()).toList();
    }

    /** The step that a failed gate makes somebody do again. */
    Optional<StepReport> repeating() {
        return open().stream().findFirst().filter(s -> s.round() > 1);
    }

    /** The step whose clock runs. */
    Optional<StepReport> running() {
        return open().stream().filter(s -> s.started().isPresent()).findFirst();
    }

    /** Whether anybody has begun to lay it. */
    boolean begun() {
        return steps.stream()
                .anyMatch(s ->
                        s.isThrough() || s.started().isPresent() || s.done().isPresent());
    }

    /** What is to be done after it is on, before the next layer: the first gate that is open. */
    Optional<StepReport> openGate() {
        return open().stream().filter(s -> s.gate().isPresent()).findFirst();
    }

    LayerReport marked(Mark word, List<Finding> about, List<Finding> standing) {
        return new LayerReport(
                id,
                title,
                role,
                sheet,
                wet,
                dry,
                asked,
                amount,
                mixing,
                started,
                start,
                clocks,
                about,
                standing,
                Conduct.asksReason(standing),
                Conduct.readsAir(standing),
                batchesLogged,
                used,
                steps,
                batchFields,
                weighFields,
                coatFields,
                colours,
                word);
    }

    /** Film and mix of {@code layer}; start, clocks and mark come with {@link LayerSchedule}, findings with {@link LayerStack}. */
    static LayerReport of(
            LayerChoice choice,
            BuildUp.Layer layer,
            Figure amount,
            LayerSchedule.Slot slot,
            Course course,
            ZoneFacts zone,
            UnitSystem system) {
        Material material = choice.sheet().material();
        return new LayerReport(
                choice.id(),
                choice.title(),
                choice.role(),
                choice.sheet(),
                layer.wet(),
                layer.dry(),
                Used.asked(material, system),
                amount,
                choice.sheet().mixing(),
                slot.started(),
                slot.start(),
                slot.clocks(),
                List.of(),
                List.of(),
                false,
                false,
                zone.unstruck(LogEntry.Kind.BATCH, choice.id()).size(),
                zone.used(choice, zone.mixing(choice).allowance(), amount, system),
                course.turns().stream().map(t -> StepReport.of(t, system)).toList(),
                LogEntry.batchFields(material),
                LogEntry.weighFields(material),
                LogEntry.coatFields(material),
                zone.unstruck(LogEntry.Kind.COLOUR, choice.id()).stream()
                        .map(Colour::of)
                        .sorted(Comparator.comparing(Colour::at).reversed())
                        .toList(),
                Mark.NOT_STARTED);
    }
}

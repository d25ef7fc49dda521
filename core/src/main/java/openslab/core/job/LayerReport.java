package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.buildup.BuildUp;
import openslab.core.cure.CureTime;
import openslab.core.mix.Batching;
import openslab.core.mix.FlakeSplit;
import openslab.core.mix.Used;
import openslab.core.product.Clock;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;

/**
 * One layer: its film, its mix and its clocks.
 *
 * @param amount litres or kilograms that this zone takes, allowance included
 * @param mixing how it is mixed, as its sheet has it
 * @param batching empty for a broadcast and where the pot life is not known; {@code whyNoBatches} then says why
 * @param start when it went on, or when it is to; {@code started} says which
 * @param findings about when it is to begin
 * @param against what stands against putting it on now, where it is the next to go on; {@code asksReason} says whether a reason
 *     is asked for
 * @param used what was mixed so far, against the plan; empty where nothing was logged, and of what is not mixed
 */
public record LayerReport(
        String id,
        ProductSheet sheet,
        Optional<Figure> wet,
        Optional<Figure> dry,
        Figure amount,
        String mixing,
        Optional<Batching> batching,
        String whyNoBatches,
        Optional<FlakeSplit> split,
        Started started,
        Optional<Instant> start,
        List<TimedClock> clocks,
        List<Finding> findings,
        List<Finding> against,
        boolean asksReason,
        int batchesLogged,
        Optional<Used> used,
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

    LayerReport marked(Mark word, List<Finding> about, List<Finding> standing) {
        return new LayerReport(
                id,
                sheet,
                wet,
                dry,
                amount,
                mixing,
                batching,
                whyNoBatches,
                split,
                started,
                start,
                clocks,
                about,
                standing,
                Conduct.asksReason(standing),
                batchesLogged,
                used,
                word);
    }

    /** Film and mix of {@code layer}; start, clocks and mark come with {@link LayerSchedule}, findings with {@link LayerStack}. */
    static LayerReport of(
            LayerChoice choice,
            BuildUp.Layer layer,
            Figure amount,
            MixReport mix,
            LayerSchedule.Slot slot,
            ZoneFacts zone,
            double areaM2,
            UnitSystem system) {
        List<LogEntry> batches = zone.unstruck(LogEntry.Kind.BATCH, choice.id());
        return new LayerReport(
                choice.id(),
                choice.sheet(),
                layer.wet(),
                layer.dry(),
                amount,
                choice.sheet().mixing(),
                mix.batching(),
                mix.whyNot(),
                mix.split(),
                slot.started(),
                slot.start(),
                slot.clocks(),
                List.of(),
                List.of(),
                false,
                batches.size(),
                choice.sheet()
                        .liquid()
                        .flatMap(liquid -> Used.of(
                                batches.stream().map(LayerReport::batch).toList(), amount, areaM2, liquid, system)),
                Mark.NOT_STARTED);
    }

    private static Used.Batch batch(LogEntry e) {
        return new Used.Batch(
                e.values().get("volume").base(), e.values().get("area").base());
    }

    /** How one layer is mixed, or why that is not known. */
    record MixReport(Optional<Batching> batching, String whyNot, Optional<FlakeSplit> split) {}
}

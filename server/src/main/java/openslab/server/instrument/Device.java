package openslab.server.instrument;

import java.time.Instant;
import java.util.List;

/**
 * What an instrument says over HTTP, whoever made it; docs/formats/instrument.md describes it. A real device, or a small
 * program beside it, answers two requests: {@code GET address} with {@link Description}, and
 * {@code GET address/samples?after=N&most=M} with {@link Page}.
 */
public final class Device {
    public static final String FORMAT = "open-slab-instrument";

    private Device() {}

    /**
     * @param kind one of {@link openslab.core.survey.instrument.InstrumentKind}
     * @param calibrated the day of its certificate; {@code due} the last day on which that holds
     */
    public record Description(
            String format,
            String name,
            String serial,
            String kind,
            String calibrated,
            String due,
            List<ChannelPart> channels) {}

    /** @param quantity one of {@link openslab.core.survey.instrument.Quantity} */
    public record ChannelPart(String id, String quantity) {}

    /** @param more whether there are newer samples than these */
    public record Page(List<SamplePart> samples, boolean more) {}

    /**
     * @param n the instrument's own running number, rising by one
     * @param at as the instrument's clock has it
     * @param value absent where it has none
     * @param battery volts; absent where it does not say
     */
    public record SamplePart(long n, Instant at, String channel, Double value, String unit, Double battery) {}
}

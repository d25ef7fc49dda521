package openslab.core.survey.instrument.check;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Unit;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;

/**
 * Takes the samples of one channel in the order they were written, and sets aside with a reason what cannot be trusted:
 * nothing is dropped, and nothing set aside is ever counted or averaged. What it cannot see is a slow drift: that is what
 * certificates are for.
 */
public final class Screening {
    /** Every check there is; the first that objects gives the reason. A new one is one class and one line here. */
    public static final List<SampleCheck> CHECKS = List.of(
            new NoValue(),
            new UnknownUnit(),
            new ClockAstray(),
            new CertificateGone(),
            new FlatBattery(),
            new OutOfRange(),
            new Leap(),
            new Stuck(),
            new Settling());

    /**
     * What became of a sample.
     *
     * @param value in the quantity's unit; as it was given where it cannot be converted
     * @param fault id of the check that objected; empty for a sample that counts
     */
    public record Screened(Instant at, double value, String fault) {
        public boolean counts() {
            return fault.isEmpty();
        }
    }

    private final Channel channel;
    /** An instrument seldom changes its unit, and a log has a million rows. */
    private String spelt = "";

    private Optional<Unit> unit;

    /** @param latest nothing was written later than this */
    public Screening(Quantity quantity, Optional<Instrument> papers, Instant latest) {
        this(quantity, papers, latest, Optional.empty());
    }

    /** @param began when its first sample was written, where this goes on from earlier ones */
    public Screening(Quantity quantity, Optional<Instrument> papers, Instant latest, Optional<Instant> began) {
        this.channel = new Channel(quantity, papers, latest, began);
        this.unit = quantity.spelt(spelt);
    }

    /** Its value in the quantity's unit; as it was given where it cannot be converted. */
    public double value(Sample sample) {
        if (!sample.unit().equals(spelt)) {
            spelt = sample.unit();
            unit = channel.quantity().spelt(spelt);
        }
        return unit.map(u -> channel.quantity().unit().fromBase(u.toBase(sample.value())))
                .orElse(sample.value());
    }

    public Screened put(Sample sample) {
        double value = value(sample);
        channel.next(sample, value, unit.isPresent());
        String fault = "";
        for (SampleCheck check : CHECKS) {
            if (check.objects(channel)) {
                fault = check.id();
                break;
            }
        }
        channel.taken(fault.isEmpty());
        return new Screened(sample.at(), value, fault);
    }

    /** What a check says of the samples that it set aside. */
    public static SampleCheck check(String id) {
        return CHECKS.stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no check " + id));
    }
}

package openslab.core.survey.instrument.check;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;

/** One channel as it stands while its samples come in: the newest of them, and what is remembered of those before. */
public final class Channel {
    /** Samples closer in time than this are judged as if this far apart, hours: probes settle in a new place (OURS). */
    private static final double SETTLES_H = 0.5;

    private final Quantity quantity;
    private final Optional<Instrument> papers;
    private final Instant latest;

    private Sample sample;
    private double value;
    private Instant began;
    private Instant before = Instant.MIN;
    private Instant countedAt;
    private double counted;
    private double last = Double.NaN;
    private int same;
    private Instant sameSince;
    private int leaps;
    private boolean clockBack;
    private boolean unitKnown;

    Channel(Quantity quantity, Optional<Instrument> papers, Instant latest, Optional<Instant> began) {
        this.began = began.orElse(null);
        this.quantity = quantity;
        this.papers = papers;
        this.latest = latest;
    }

    void next(Sample newest, double inUnit, boolean known) {
        unitKnown = known;
        sample = newest;
        clockBack = !newest.at().isAfter(before);
        if (began == null) {
            began = newest.at();
        }
        boolean again = inUnit == last;
        same = again ? same + 1 : 1;
        sameSince = again ? sameSince : newest.at();
        boolean leapt = countedAt != null && outpaces(counted, countedAt, inUnit, newest.at());
        boolean stayed = leapt && leaps > 0 && !outpaces(last, before, inUnit, newest.at());
        leaps = leapt ? (stayed ? leaps + 1 : 1) : 0;
        last = inUnit;
        value = inUnit;
    }

    void taken(boolean counts) {
        if (sample.at().isAfter(before)) {
            before = sample.at();
        }
        if (counts) {
            countedAt = sample.at();
            counted = value;
            leaps = 0;
        }
    }

    private boolean outpaces(double from, Instant at, double to, Instant then) {
        if (Double.isInfinite(quantity.mostPerHour()) || Double.isNaN(from) || at == Instant.MIN) {
            return false;
        }
        double hours = Duration.between(at, then).toSeconds() / 3600.0;
        return Math.abs(to - from) > quantity.mostPerHour() * Math.max(SETTLES_H, hours);
    }

    public Quantity quantity() {
        return quantity;
    }

    public Optional<Instrument> papers() {
        return papers;
    }

    /** Nothing was written later than this. */
    public Instant latest() {
        return latest;
    }

    public Sample sample() {
        return sample;
    }

    /** The newest value, in the quantity's unit. */
    public double value() {
        return value;
    }

    /** Whether its unit measures the quantity. */
    public boolean unitKnown() {
        return unitKnown;
    }

    /** Whether its time is not after that of the sample before it. */
    public boolean clockBack() {
        return clockBack;
    }

    /** Since the first sample. */
    public Duration running() {
        return Duration.between(began, sample.at());
    }

    /** How many samples in a row have been the very same, this one included. */
    public int same() {
        return same;
    }

    /** For how long they have been. */
    public Duration sameFor() {
        return Duration.between(sameSince, sample.at());
    }

    /** How many samples in a row are further from the last that counted than it could have gone, and near to one another. */
    public int leaps() {
        return leaps;
    }
}

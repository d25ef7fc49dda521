package openslab.server.standin;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import openslab.core.survey.instrument.InstrumentKind;
import openslab.core.survey.instrument.Quantity;
import openslab.server.instrument.Device;

/**
 * A simulated instrument: the truth it stands in, and on top of it settling, drift, noise and whatever goes wrong. The same
 * number always gives the same sample. Invented, for demo and tests.
 *
 * @param calibratedDaysAgo before it began; {@code goodForDays} likewise
 */
record StandIn(
        String id,
        String name,
        InstrumentKind kind,
        int calibratedDaysAgo,
        int goodForDays,
        Duration interval,
        Instant began,
        List<Channel> channels,
        List<Injected> injected) {
    /**
     * @param truth over hours since it began
     * @param noise standard deviation; {@code driftPerDay} likewise in the channel's unit
     * @param settling how far off it begins, and {@code settlingH} after how many hours a third of that is left
     * @param digits it shows after the point
     */
    record Channel(
            String id,
            Quantity quantity,
            String unit,
            DoubleUnaryOperator truth,
            double noise,
            double driftPerDay,
            double settling,
            double settlingH,
            int digits) {}

    /** @param channel empty where it is the whole instrument's */
    record Injected(Failing failing, String channel, double fromH, double toH) {
        boolean covers(String other, double hours) {
            return hours >= fromH && hours < toH && (channel.isEmpty() || channel.equals(other));
        }
    }

    private static final double FULL_V = 3.2;
    private static final double FLAT_V = 2.4;

    Device.Description description() {
        var day = began.atOffset(java.time.ZoneOffset.UTC).toLocalDate().minusDays(calibratedDaysAgo);
        return new Device.Description(
                Device.FORMAT,
                name,
                id,
                kind.name(),
                day.toString(),
                day.plusDays(goodForDays).toString(),
                channels.stream()
                        .map(c -> new Device.ChannelPart(c.id, c.quantity.name()))
                        .toList());
    }

    /** How many samples it has written by {@code now}. */
    long count(Instant now) {
        long steps = now.isBefore(began) ? 0 : Duration.between(began, now).dividedBy(interval) + 1;
        return steps * channels.size();
    }

    Device.Page samples(long after, int most, Instant now) {
        long last = count(now);
        long to = Math.min(last, after + most);
        var page = new ArrayList<Device.SamplePart>();
        for (long n = after + 1; n <= to; n++) {
            page.add(sample(n));
        }
        return new Device.Page(page, to < last);
    }

    Device.SamplePart sample(long n) {
        long step = (n - 1) / channels.size();
        Channel channel = channels.get((int) ((n - 1) % channels.size()));
        double hours = step * interval.toSeconds() / 3600.0;
        List<Failing> now = injected.stream()
                .filter(f -> f.covers(channel.id, hours))
                .map(Injected::failing)
                .toList();
        double at = now.contains(Failing.STUCK) ? stuckSince(channel, hours) : hours;
        Double value = value(channel, at, now.contains(Failing.STUCK) ? Math.round(at * 3600) : n);
        String unit = channel.unit;
        if (now.contains(Failing.WRONG_UNIT)) {
            value = value * 1.8 + 32;
        }
        if (now.contains(Failing.KNOCKED)) {
            value = channel.quantity.most() - 0.5;
        }
        if (now.contains(Failing.FOREIGN_UNIT)) {
            unit = "g/m³";
        }
        if (now.contains(Failing.NO_VALUE)) {
            value = null;
        }
        Instant when = began.plus(interval.multipliedBy(step));
        if (now.contains(Failing.CLOCK_BACK)) {
            when = when.minus(Duration.ofDays(400));
        }
        double battery = now.contains(Failing.FLAT_BATTERY) ? FLAT_V : FULL_V - 0.0005 * hours;
        return new Device.SamplePart(n, when, channel.id, value, unit, Math.round(battery * 1000) / 1000.0);
    }

    private double stuckSince(Channel channel, double hours) {
        return injected.stream()
                .filter(f -> f.failing == Failing.STUCK && f.covers(channel.id, hours))
                .mapToDouble(Injected::fromH)
                .findFirst()
                .orElse(hours);
    }

    private double value(Channel c, double hours, long seed) {
        double noise = c.noise * new Random(31 * seed + id.hashCode() + 7L * c.id.hashCode()).nextGaussian();
        double settling = c.settlingH == 0 ? 0 : c.settling * Math.exp(-hours / c.settlingH);
        double value = c.truth.applyAsDouble(hours) + settling + c.driftPerDay * hours / 24 + noise;
        double scale = Math.pow(10, c.digits);
        return Math.round(value * scale) / scale;
    }
}

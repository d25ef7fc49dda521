package openslab.server.standin;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import openslab.core.survey.instrument.check.Screening;
import openslab.server.instrument.Device;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A week of every stand-in, whatever went wrong in it: each bad sample is set aside with the right reason, and no good one. */
public class StandInWeekTest {
    private static final Instant BEGAN = Instant.parse("2026-04-27T12:00:00Z");
    private static final Instant NOW = BEGAN.plus(Duration.ofDays(7));
    /** A stuck sensor is believed for half a day. */
    private static final Duration BELIEVED = Duration.ofHours(12);

    @DataProvider
    Object[][] standIns() {
        return StandIns.all(BEGAN).stream().map(s -> new Object[] {s}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "standIns")
    public void what_goes_wrong_is_set_aside_and_nothing_else(StandIn standIn) {
        Device.Description said = standIn.description();
        var papers = new Instrument(said.name(), LocalDate.parse(said.calibrated()), LocalDate.parse(said.due()));
        Map<String, Screening> screenings = new HashMap<>();
        Map<String, Integer> reasons = new TreeMap<>();
        Map<String, String> before = new HashMap<>();
        Map<String, Double> values = new HashMap<>();
        long n = 0;
        for (boolean more = true; more; ) {
            Device.Page page = standIn.samples(n, 100, NOW);
            for (Device.SamplePart part : page.samples()) {
                assertEquals(part.n(), ++n, "none is left out");
                var screening = screenings.computeIfAbsent(
                        part.channel(),
                        c -> new Screening(quantity(said, c), Optional.of(papers), NOW.plusSeconds(600)));
                String fault = screening
                        .put(new Sample(
                                part.at(),
                                part.value() == null ? Double.NaN : part.value(),
                                part.unit(),
                                part.battery()))
                        .fault();
                Instant written = BEGAN.plus(standIn.interval()
                        .multipliedBy((n - 1) / standIn.channels().size()));
                // by chance a freed sensor may read on where it was stuck
                boolean on = "stuck".equals(before.get(part.channel()))
                        && part.value() != null
                        && part.value().equals(values.get(part.channel()));
                before.put(part.channel(), fault);
                values.put(part.channel(), part.value());
                Set<String> expected =
                        on ? Set.of("stuck") : expected(standIn, part, papers, quantity(said, part.channel()), written);
                assertTrue(
                        expected.contains(fault),
                        standIn.name() + " " + part + " was called '" + fault + "', not one of " + expected);
                reasons.merge(fault, 1, Integer::sum);
            }
            more = page.more();
        }
        assertEquals(n, standIn.count(NOW));
        System.out.println(standIn.name() + ", a week: " + n + " samples, " + reasons);
    }

    private static Quantity quantity(Device.Description said, String channel) {
        return said.channels().stream()
                .filter(c -> c.id().equals(channel))
                .map(c -> Quantity.valueOf(c.quantity()))
                .findFirst()
                .orElseThrow();
    }

    /** What a sample may be called: one word, but for the first half day of a stuck sensor and the end of a leap. */
    private static Set<String> expected(
            StandIn standIn, Device.SamplePart part, Instrument papers, Quantity quantity, Instant written) {
        double hours = Duration.between(BEGAN, written).toSeconds() / 3600.0;
        if (papers.lapsed(part.at())) {
            return Set.of("certificate", "clock");
        }
        List<StandIn.Injected> now = standIn.injected().stream()
                .filter(i -> i.covers(part.channel(), hours))
                .toList();
        if (!now.isEmpty()) {
            StandIn.Injected injected = now.get(0);
            boolean believed = injected.failing() == Failing.STUCK
                    && hours - injected.fromH() <= BELIEVED.toMinutes() / 60.0 + 0.5;
            return believed ? Set.of("", "stuck") : injected.failing().caughtBy();
        }
        return quantity.settles() && hours < 24 ? Set.of("settling") : Set.of("");
    }

    @Test
    public void every_failing_happens_in_the_week() {
        Set<Failing> seen = EnumSet.noneOf(Failing.class);
        StandIns.all(BEGAN).forEach(s -> s.injected().forEach(i -> seen.add(i.failing())));
        assertEquals(seen, EnumSet.allOf(Failing.class));
    }
}

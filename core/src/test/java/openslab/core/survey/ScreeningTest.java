package openslab.core.survey;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import openslab.core.survey.instrument.check.SampleCheck;
import openslab.core.survey.instrument.check.Screening;
import openslab.core.survey.instrument.check.Screening.Screened;
import openslab.core.survey.method.TestMethods;
import org.testng.annotations.Test;

/** Samples of one channel: what counts, and what is set aside with which reason. */
public class ScreeningTest {
    private static final Instant START = Instant.parse("2026-05-04T00:00:00Z");
    private static final double FULL_V = 3.1;

    private final List<Screened> screened = new ArrayList<>();
    private Screening screening;
    private Random random;

    private void channel(Quantity quantity, Instrument... papers) {
        screened.clear();
        random = new Random(4);
        screening = new Screening(
                quantity, Optional.of(papers).filter(p -> p.length > 0).map(p -> p[0]), at(24 * 30));
    }

    private static Instant at(double hours) {
        return START.plus(Duration.ofSeconds(Math.round(hours * 3600)));
    }

    private String put(double hours, double value, String unit, double volts) {
        Screened taken = screening.put(new Sample(at(hours), value, unit, volts));
        screened.add(taken);
        return taken.fault();
    }

    /** A live sensor, every quarter of an hour: near {@code value}, trembling. */
    private void live(double from, double to, double value, String unit) {
        for (double h = from; h < to - 1e-9; h += 0.25) {
            put(h, value + 0.3 * random.nextGaussian(), unit, FULL_V);
        }
    }

    private List<String> faults() {
        return screened.stream()
                .map(Screened::fault)
                .filter(f -> !f.isEmpty())
                .distinct()
                .toList();
    }

    @Test
    public void a_live_sensor_counts_whole() {
        channel(Quantity.AIR_TEMPERATURE);
        live(0, 48, 17, "°C");
        assertEquals(faults(), List.of());
        assertEquals(screened.size(), 192);
    }

    @Test
    public void a_hole_settles_for_a_day() {
        channel(Quantity.SLAB_RH);
        live(0, 48, 81, "% RH");
        assertEquals(faults(), List.of("settling"));
        assertEquals(screened.stream().filter(s -> !s.counts()).count(), 96);
        assertTrue(screened.get(96).counts());
    }

    @Test
    public void another_unit_is_converted_where_it_is_said_and_set_aside_where_it_is_not() {
        channel(Quantity.SLAB_TEMPERATURE);
        live(0, 4, 63, "°F");
        assertEquals(faults(), List.of());
        assertEquals(screened.get(0).value(), 17, 1);
        assertEquals(put(5, 63, "°C", FULL_V), "leap");
        assertEquals(put(5.25, 63, "g/m³", FULL_V), "unit");
        assertEquals(put(5.5, 180, "°C", FULL_V), "range");
        assertEquals(put(5.75, 17.2, "°C", FULL_V), "");
    }

    @Test
    public void a_stuck_sensor_is_believed_for_half_a_day_and_no_longer() {
        channel(Quantity.AIR_RH);
        for (double h = 0; h < 20; h += 0.5) {
            assertEquals(put(h, 55.5, "%", FULL_V), h < 12 ? "" : "stuck", "at " + h);
        }
        assertEquals(put(20, 55.6, "%", FULL_V), "");
    }

    @Test
    public void a_flat_battery_a_gap_and_a_clock_are_told_apart() {
        channel(Quantity.AIR_RH);
        live(0, 2, 50, "%");
        assertEquals(put(2, 50, "%", 2.69), "battery");
        assertEquals(put(2.25, Double.NaN, "%", FULL_V), "no-value");
        assertEquals(put(2.25, 50.2, "%", FULL_V), "clock");
        assertEquals(put(1, 50.3, "%", FULL_V), "clock");
        assertEquals(put(24 * 31, 50.4, "%", FULL_V), "clock");
        channel(Quantity.AIR_RH);
        assertEquals(put(0, 50, "%", Double.NaN), "", "one that does not say");
    }

    @Test
    public void a_leap_counts_once_it_stays() {
        channel(Quantity.SLAB_RH);
        live(0, 30, 80, "%");
        assertEquals(put(30, 99, "%", FULL_V), "leap");
        assertEquals(put(30.25, 80, "%", FULL_V), "");
        for (int i = 0; i < 5; i++) {
            assertEquals(put(30.5 + i * 0.25, 96 + 0.1 * i, "%", FULL_V), "leap");
        }
        assertEquals(put(31.75, 96.6, "%", FULL_V), "");
        assertEquals(put(32, 96.5, "%", FULL_V), "");
    }

    @Test
    public void nothing_counts_without_a_certificate() {
        LocalDate day = LocalDate.of(2026, 5, 4);
        channel(Quantity.AIR_RH, new Instrument("TH-1", day.minusYears(1), day));
        live(0, 48, 50, "%");
        assertEquals(faults(), List.of("certificate"));
        assertTrue(screened.get(95).counts());
        assertFalse(screened.get(96).counts());
    }

    @Test
    public void every_check_says_why_and_what_to_do() {
        for (SampleCheck check : Screening.CHECKS) {
            assertEquals(Screening.check(check.id()), check);
            assertTrue(check.because().length() > 30 && !check.title().isBlank(), check.id());
        }
        assertEquals(Screening.CHECKS.stream().map(SampleCheck::id).distinct().count(), Screening.CHECKS.size());
        for (Quantity q : Quantity.values()) {
            assertTrue(TestMethods.of(q.method()).fields().stream().anyMatch(f -> f.id().equals(q.field())), q.name());
        }
    }
}

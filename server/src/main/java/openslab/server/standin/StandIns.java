package openslab.server.standin;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import openslab.core.survey.instrument.InstrumentKind;
import openslab.core.survey.instrument.Quantity;

/** Every instrument that ships simulated, each with a week behind it and something that went wrong in it. */
final class StandIns {
    private StandIns() {}

    static List<StandIn> all(Instant began) {
        return List.of(logger(began), hygrometer(began), meter(began), ohmmeter(began), pullOff(began));
    }

    private static double day(double hours) {
        return Math.sin(2 * Math.PI * (hours - 9) / 24);
    }

    private static StandIn.Channel probe(String id, double rh, double perDay) {
        return new StandIn.Channel(id, Quantity.SLAB_RH, "% RH", h -> rh + perDay * h / 24, 0.15, 0.01, 6, 6, 1);
    }

    /** Four probes in one slab: the first sound, the second knocked and stuck, the third lost its unit, the fourth its battery. */
    private static StandIn logger(Instant began) {
        return new StandIn(
                "logger-4",
                "Logger 4",
                InstrumentKind.RH_PROBE,
                120,
                365,
                Duration.ofMinutes(15),
                began,
                List.of(
                        probe("A", 83.4, -0.12),
                        probe("B", 84.7, -0.1),
                        probe("C", 83.3, -0.12),
                        probe("D", 81.2, -0.08)),
                List.of(
                        new StandIn.Injected(Failing.KNOCKED, "B", 40, 40.75),
                        new StandIn.Injected(Failing.STUCK, "B", 90, 130),
                        new StandIn.Injected(Failing.FOREIGN_UNIT, "C", 60, 70),
                        new StandIn.Injected(Failing.NO_VALUE, "C", 100, 103),
                        new StandIn.Injected(Failing.FLAT_BATTERY, "D", 140, 10_000),
                        new StandIn.Injected(Failing.CLOCK_BACK, "A", 50, 50.5)));
    }

    private static StandIn hygrometer(Instant began) {
        return new StandIn(
                "hygro-2",
                "Thermo-hygrometer 2",
                InstrumentKind.THERMO_HYGROMETER,
                200,
                365,
                Duration.ofMinutes(10),
                began,
                List.of(
                        new StandIn.Channel(
                                "air", Quantity.AIR_TEMPERATURE, "°C", h -> 17.5 + 2 * day(h), 0.1, 0, -3, 0.3, 1),
                        new StandIn.Channel("rh", Quantity.AIR_RH, "% RH", h -> 53 - 5 * day(h), 0.4, 0, 8, 0.5, 1),
                        new StandIn.Channel(
                                "surface",
                                Quantity.SLAB_TEMPERATURE,
                                "°C",
                                h -> 16.6 + 0.8 * day(h - 3),
                                0.05,
                                0,
                                2,
                                0.2,
                                1)),
                List.of(
                        new StandIn.Injected(Failing.WRONG_UNIT, "air", 70, 70.8),
                        new StandIn.Injected(Failing.NO_VALUE, "surface", 20, 21)));
    }

    /** A meter that is walked about three times a day. */
    private static StandIn meter(Instant began) {
        return hand(
                "meter-1",
                "Meter 1",
                InstrumentKind.MOISTURE_METER,
                90,
                began,
                new StandIn.Channel("scale", Quantity.METER, "", h -> 42 + 6 * Math.sin(h), 1.5, 0.05, 0, 0, 0));
    }

    private static StandIn ohmmeter(Instant began) {
        return hand(
                "ohm-1",
                "Ohmmeter 1",
                InstrumentKind.RESISTANCE_METER,
                30,
                began,
                new StandIn.Channel("1", Quantity.RESISTANCE, "MΩ", h -> 42 + 0.05 * h, 2, 0, 0, 0, 1));
    }

    /** Its certificate ran out in the middle of the week. */
    private static StandIn pullOff(Instant began) {
        return hand(
                "pull-3",
                "Pull-off gauge 3",
                InstrumentKind.PULL_OFF_GAUGE,
                362,
                began,
                new StandIn.Channel("1", Quantity.FORCE, "N", h -> 3600 + 200 * Math.cos(h), 90, 0, 0, 0, 0));
    }

    private static StandIn hand(
            String id,
            String name,
            InstrumentKind kind,
            int calibratedDaysAgo,
            Instant began,
            StandIn.Channel channel) {
        return new StandIn(
                id, name, kind, calibratedDaysAgo, 365, Duration.ofHours(8), began, List.of(channel), List.of());
    }
}

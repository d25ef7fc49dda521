package openslab.core.survey.instrument;

import java.time.LocalDate;
import openslab.core.quantity.Source;

/** What an instrument measures, and for how long its calibration is taken to hold where its paper does not say. */
public enum InstrumentKind {
    SCALE("Scale", 12, Source.ours("a year between checks of a scale")),
    RH_PROBE("In-slab probe", 12, Source.published("ASTM F2170, from memory and doubtful: calibrated within a year")),
    MOISTURE_METER("Moisture meter", 12, Source.ours("a year between checks of a meter")),
    PH_METER("pH meter", 1, Source.ours("a glass electrode drifts: buffered every month at least")),
    THERMO_HYGROMETER("Thermo-hygrometer", 12, Source.ours("a year between checks of a hygrometer")),
    PULL_OFF_GAUGE("Pull-off gauge", 12, Source.ours("a year between checks of a force gauge")),
    RESISTANCE_METER("Resistance meter", 12, Source.ours("a year between checks of a resistance meter")),
    FRICTION_METER("Friction meter", 12, Source.ours("a year between checks of a friction meter"));

    private final String label;
    private final int months;
    private final Source source;

    InstrumentKind(String label, int months, Source source) {
        this.label = label;
        this.months = months;
        this.source = source;
    }

    public String label() {
        return label;
    }

    /** How long a calibration holds where its paper says nothing. */
    public int months() {
        return months;
    }

    /** Until when a calibration holds where its paper says nothing. */
    public LocalDate until(LocalDate calibrated) {
        return calibrated.plusMonths(months);
    }

    public Source source() {
        return source;
    }
}

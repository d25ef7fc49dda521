package openslab.core.survey.instrument;

import java.util.Locale;
import java.util.Optional;
import openslab.core.quantity.Unit;

/**
 * What a channel of an instrument measures: the range it can possibly lie in, how fast it can possibly change (both OURS,
 * wide), and which field of which test it answers.
 */
public enum Quantity {
    SLAB_RH("In-slab humidity", Unit.PERCENT, 1, 100, 10, true, "in-slab-rh", "rh"),
    AIR_RH("Humidity of the air", Unit.PERCENT, 1, 100, 120, false, "climate", "rh"),
    AIR_TEMPERATURE("Air", Unit.CELSIUS, -40, 55, 30, false, "climate", "air"),
    SLAB_TEMPERATURE("Slab surface", Unit.CELSIUS, -40, 75, 30, false, "climate", "slab"),
    METER("Shown by the meter", Unit.ONE, 0, 1000, Double.POSITIVE_INFINITY, false, "moisture-meter", "shown"),
    RESISTANCE("Surface resistance", Unit.OHM, 1, 1e15, Double.POSITIVE_INFINITY, false, "resistance", "ohms"),
    FORCE("Force when it gave", Unit.NEWTON, 0, 50_000, Double.POSITIVE_INFINITY, false, "pull-off", "force");

    private final String label;
    private final Unit unit;
    private final double least;
    private final double most;
    private final double mostPerHour;
    private final boolean settles;
    private final String method;
    private final String field;

    Quantity(
            String label,
            Unit unit,
            double least,
            double most,
            double mostPerHour,
            boolean settles,
            String method,
            String field) {
        this.label = label;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.mostPerHour = mostPerHour;
        this.settles = settles;
        this.method = method;
        this.field = field;
    }

    public String label() {
        return label;
    }

    /** The unit its values are kept in. */
    public Unit unit() {
        return unit;
    }

    public double least() {
        return least;
    }

    public double most() {
        return most;
    }

    /** The fastest it can change, units per hour; infinite where one value says nothing of the next. */
    public double mostPerHour() {
        return mostPerHour;
    }

    /** Whether it is measured in a hole that has to settle, for a day. */
    public boolean settles() {
        return settles;
    }

    /** The test method it answers a {@link #field} of. */
    public String method() {
        return method;
    }

    public String field() {
        return field;
    }

    /** The unit that an instrument spells so; empty where that measures something else. */
    public Optional<Unit> spelt(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT).replace("rh", "").strip();
        if (plain.isEmpty()) {
            return unit == Unit.ONE ? Optional.of(unit) : Optional.empty();
        }
        return Optional.ofNullable(Unit.spelt(plain, unit.dimension()));
    }
}

package openslab.core.care;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import openslab.core.product.Exposure;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** When the top layer is due again: so many years after it went on, by exposure. */
public record Reseal(Figure interval, Instant due) {
    private static final int MONTHS_PER_YEAR = 12;

    /**
     * Empty when the sheet gives no interval for this exposure. Whole months are counted by the calendar where the floor is,
     * anything else in days.
     */
    public static Optional<Reseal> of(
            ProductSheet top, Exposure exposure, Instant applied, ZoneId zone, UnitSystem system) {
        return Optional.ofNullable(top.resealYears().get(exposure)).map(years -> {
            var w = new Worksheet(system);
            w.given("y", exposure.label().toLowerCase(java.util.Locale.ROOT), years, Unit.YEAR);
            Figure interval = w.figure("lasts", "i", "y", years, Unit.YEAR, top.source());
            double months = years * MONTHS_PER_YEAR;
            boolean whole = Math.abs(months - Math.rint(months)) < 1e-6;
            var start = applied.atZone(zone);
            var due = whole
                    ? start.plusMonths(Math.round(months))
                    : start.plusDays(Math.round(Unit.DAY.fromBase(Unit.YEAR.toBase(years))));
            return new Reseal(interval, due.toInstant());
        });
    }
}

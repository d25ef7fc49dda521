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

    /** Empty when the sheet gives no interval for this exposure. Counted in calendar months where the floor is. */
    public static Optional<Reseal> of(
            ProductSheet top, Exposure exposure, Instant applied, ZoneId zone, UnitSystem system) {
        return Optional.ofNullable(top.resealYears().get(exposure)).map(years -> {
            var w = new Worksheet(system);
            w.given("y", exposure.label().toLowerCase(java.util.Locale.ROOT), years, Unit.YEAR);
            Figure interval = w.figure("lasts", "i", "y", years, Unit.YEAR, top.source());
            Instant due = applied.atZone(zone)
                    .plusMonths(Math.round(years * MONTHS_PER_YEAR))
                    .toInstant();
            return new Reseal(interval, due);
        });
    }
}

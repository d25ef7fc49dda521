package openslab.core.air;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.air.Location.Position;

/**
 * A spell in which the sun is up. One that goes on over midnight, as in a northern June, is two of them, one on each day.
 *
 * @param rise when it begins; {@code set} when it ends
 */
public record Daylight(Instant rise, Instant set) {
    private static final int DAYS_BEFORE = 1;
    private static final int DAYS_AFTER = 2;

    /** From the day before {@code now} to the day after the next one; none where nobody said where the floor is. */
    public static List<Daylight> around(Location place, Instant now) {
        var spells = new ArrayList<Daylight>();
        LocalDate today = now.atZone(place.zone()).toLocalDate();
        place.position().ifPresent(at -> {
            for (int day = -DAYS_BEFORE; day <= DAYS_AFTER; day++) {
                add(spells, at, place, today.plusDays(day));
            }
        });
        return spells;
    }

    private static void add(List<Daylight> spells, Position at, Location place, LocalDate day) {
        SunDay sun = SunDay.of(at, place.zone(), day);
        Instant begins = day.atStartOfDay(place.zone()).toInstant();
        Instant ends = day.plusDays(1).atStartOfDay(place.zone()).toInstant();
        Optional<Instant> early =
                sun.set().filter(s -> sun.rise().map(r -> s.isBefore(r)).orElse(true));
        early.ifPresent(s -> spells.add(new Daylight(begins, s)));
        sun.rise()
                .ifPresent(r -> spells.add(
                        new Daylight(r, sun.set().filter(s -> s.isAfter(r)).orElse(ends))));
    }
}

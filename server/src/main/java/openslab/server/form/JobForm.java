package openslab.server.form;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import openslab.core.air.Location;
import openslab.core.practice.Practices;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.jspecify.annotations.Nullable;

/**
 * What a person sends about a job.
 *
 * @param latitude degrees north; {@code longitude} degrees east; both empty where nobody says
 * @param practices a school's id by the question's, where the job does not follow the shop
 */
public record JobForm(
        String name,
        String client,
        String place,
        String latitude,
        String longitude,
        String timeZone,
        @Schema(implementation = UnitSystem.class) String units,
        @Schema(implementation = Setting.class) String setting,
        boolean archived,
        @Nullable Map<String, String> practices) {
    /** What was keyed in, as it would be keyed in again. */
    public static JobForm of(JobFacts f) {
        return new JobForm(
                f.name(),
                f.client(),
                f.place(),
                f.position().map(p -> Double.toString(p.latitude())).orElse(""),
                f.position().map(p -> Double.toString(p.longitude())).orElse(""),
                f.timeZone().getId(),
                f.units().name(),
                f.setting().name(),
                f.archived(),
                f.practices().names().isEmpty() ? null : f.practices().names());
    }

    /** @throws openslab.core.quantity.InvalidInput with every fault at once */
    public JobFacts read() {
        var faults = new Faults();
        String readName = faults.line("name", name, 1, 120);
        String readClient = faults.line("client", client, 0, 120);
        String readPlace = faults.line("place", place, 0, 120);
        boolean placed = Said.is(latitude) || Said.is(longitude);
        Double north = placed ? degrees(faults, "latitude", latitude, 90) : null;
        Double east = placed ? degrees(faults, "longitude", longitude, 180) : null;
        ZoneId zone = faults.timeZone("timeZone", timeZone);
        UnitSystem system = faults.oneOf("units", units, UnitSystem.class);
        Setting readSetting = faults.oneOf("setting", setting, Setting.class);
        Practices read = faults.read(() -> Practices.read("practices", practices == null ? Map.of() : practices));
        faults.check();
        Optional<Location.Position> position =
                placed ? Optional.of(new Location.Position(north, east)) : Optional.empty();
        return new JobFacts(readName, readClient, readPlace, position, zone, system, readSetting, archived, read);
    }

    private static Double degrees(Faults faults, String field, String text, double most) {
        Field range = Field.quantity(field, field, Unit.ONE, -most, most, "");
        Value value = faults.read(() -> range.parse(field, text, UnitSystem.METRIC));
        return value == null ? null : value.base();
    }
}

package openslab.server.form;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.floor.Shapes;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.PlanZone;
import openslab.core.job.ZoneFields;
import openslab.core.prep.SiteLimit;
import openslab.core.product.Exposure;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/**
 * What a person sends about a zone.
 *
 * @param sides as typed, by the shape's side ids
 * @param substrate bare concrete where it is left out; {@code use} likewise not said, {@code exposure} as the job's
 *     setting has it
 * @param limits what else the place does not allow; none where it is left out
 * @param settings as typed: pace, share, allowance, and slab where one temperature is to be planned with
 */
public record ZoneForm(
        String name,
        String shape,
        Map<String, String> sides,
        @Schema(implementation = Substrate.class) String substrate,
        @Schema(implementation = Use.class) String use,
        @Schema(implementation = Exposure.class) String exposure,
        boolean dust,
        boolean washWater,
        @ArraySchema(schema = @Schema(implementation = SiteLimit.class)) List<String> limits,
        Map<String, String> settings) {
    public ZoneForm {
        limits = limits == null ? List.of() : List.copyOf(limits);
        substrate = substrate == null ? Substrate.BARE_CONCRETE.name() : substrate;
        use = use == null ? Use.UNSAID.name() : use;
    }

    /** What was keyed in, as it would be keyed in again. */
    public static ZoneForm of(ZoneChoice c) {
        Map<String, String> sides = new TreeMap<>();
        Map<String, String> settings = new TreeMap<>();
        c.values().forEach((field, value) -> (ZoneFields.has(field) ? settings : sides).put(field, value.typed()));
        return new ZoneForm(
                c.name(),
                c.shape(),
                sides,
                c.substrate().name(),
                c.use().name(),
                c.exposure().name(),
                c.dust(),
                c.washWater(),
                c.limits().stream().map(Enum::name).sorted().toList(),
                settings);
    }

    /**
     * A form that says nothing of the weather is read as the job's setting has it.
     *
     * @throws openslab.core.quantity.InvalidInput with every fault at once
     */
    public ZoneChoice read(JobFacts job) {
        Exposure usual = job.setting() == Setting.OUTDOORS ? Exposure.SUN : Exposure.INDOORS;
        UnitSystem units = job.units();
        var faults = new Faults();
        String readName = faults.line("name", name, 1, 120);
        Substrate readSubstrate = faults.oneOf("substrate", substrate, Substrate.class);
        Use readUse = faults.oneOf("use", use, Use.class);
        Exposure readExposure = Said.is(exposure) ? faults.oneOf("exposure", exposure, Exposure.class) : usual;
        Set<SiteLimit> readLimits = EnumSet.noneOf(SiteLimit.class);
        for (int i = 0; i < limits.size(); i++) {
            SiteLimit limit = faults.oneOf("limits[" + i + "]", limits.get(i), SiteLimit.class);
            if (limit != null) {
                readLimits.add(limit);
            }
        }
        Map<String, Value> values = new TreeMap<>();
        if (!PlanZone.KIND.equals(shape)) {
            values.putAll(readSides(faults, units));
        }
        Map<String, Value> readSettings = faults.read(
                () -> Field.parseAll("settings", ZoneFields.ALL, settings == null ? Map.of() : settings, units));
        faults.check();
        values.putAll(readSettings);
        return new ZoneChoice(
                readName, shape, readSubstrate, readUse, readExposure, dust, washWater, readLimits, values);
    }

    private Map<String, Value> readSides(Faults faults, UnitSystem units) {
        List<Field> fields = faults.read(() -> Shapes.fields(shape));
        if (fields == null) {
            return Map.of();
        }
        Map<String, Value> read =
                faults.read(() -> Field.parseAll("sides", fields, sides == null ? Map.of() : sides, units));
        if (read == null) {
            return Map.of();
        }
        faults.read(() -> Shapes.of(shape, Value.bases(read)));
        return read;
    }
}

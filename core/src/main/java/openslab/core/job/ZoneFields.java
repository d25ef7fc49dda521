package openslab.core.job;

import java.util.List;
import java.util.Map;
import openslab.core.mix.Crew;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;

/** What is keyed in about how a zone is worked, beside its shape. */
public final class ZoneFields {
    public static final List<Field> CREW = List.of(
            Field.quantity(
                    "pace",
                    "Pace of the crew",
                    Unit.SQUARE_FOOT_PER_MINUTE,
                    Unit.SQUARE_METRE_PER_MINUTE,
                    0.01,
                    50,
                    "500 ft² in 45 min is about 11 ft²/min"),
            Field.quantity("share", "Pot life used", Unit.PERCENT, 5, 100, "80 % leaves time for the last wall"),
            Field.quantity("allowance", "Allowance", Unit.PERCENT, 0, 100, "mixed and bought on top"));

    /** Left out where the newest reading is to be planned with. */
    public static final Field SLAB = Field.quantity(
            "slab", "Plan at slab temperature", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 75, "empty: the newest reading");

    private ZoneFields() {}

    public static Crew crew(Map<String, Value> values) {
        return new Crew(
                values.get("pace").base(),
                values.get("share").base() / 100,
                values.get("allowance").base() / 100);
    }
}

package openslab.server.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.silica.Shift;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was measured in the air of a shift, averaged; nothing is stored. */
@RestController
@RequestMapping("/api/silica-shifts")
class SilicaController {
    /** @param spells parts of the shift, each with what was in the air and for how long, as typed */
    record ShiftForm(List<Map<String, String>> spells, String units) {}

    private static final int MOST = 12;

    private static final List<Field> FIELDS = List.of(
            Field.quantity(
                    "air", "Silica in the air", Unit.MICROGRAM_PER_CUBIC_METRE, 0, 100_000, "from the laboratory"),
            Field.quantity("hours", "For", Unit.HOUR, 0.05, 24, ""));

    @GetMapping
    List<Field> fields() {
        return FIELDS;
    }

    @PostMapping
    Shift average(@RequestBody ShiftForm form) {
        var faults = new Faults();
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        faults.check();
        List<Map<String, String>> typed = form.spells() == null ? List.of() : form.spells();
        if (typed.isEmpty() || typed.size() > MOST) {
            throw new InvalidInput("spells", typed.size(), "1 to " + MOST + " parts of a shift");
        }
        var spells = new ArrayList<Shift.Spell>();
        for (int i = 0; i < typed.size(); i++) {
            String path = "spells[" + i + "]";
            Map<String, String> one = typed.get(i);
            Map<String, Value> read = faults.read(() -> Field.parseAll(path, FIELDS, one, units));
            if (read != null) {
                spells.add(new Shift.Spell(
                        read.get("air").base(),
                        Unit.HOUR.fromBase(read.get("hours").base())));
            }
        }
        faults.check();
        return Shift.of(spells, units);
    }
}

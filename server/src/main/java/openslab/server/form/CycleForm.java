package openslab.server.form;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.CycleKind;
import openslab.core.job.Patch;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.jspecify.annotations.Nullable;

/**
 * What a person sends about the next cycle of a zone.
 *
 * @param at when it begins; now where it is left out
 * @param patch how much of the floor a repair takes, as typed; nothing for any other kind, and where it is as large as it is drawn
 * @param ring where on the floor, corners in metres of the zone's plan; left out where nobody drew it
 */
public record CycleForm(
        @Schema(implementation = CycleKind.class) String kind,
        @Nullable String at,
        String by,
        @Nullable String why,
        @Nullable String patch,
        @Nullable List<Corner> ring) {
    private static final String ONLY_A_REPAIR = "nothing: only a repair takes a piece of the floor";

    /** @param latest it did not begin later than this */
    public CycleChoice read(UnitSystem units, Instant now, Instant latest) {
        return read(1, units, now, latest);
    }

    /** From a file. @param first nobody begins a zone's first cycle: it has no name, and is a coat */
    public CycleChoice readKept(boolean first, UnitSystem units, Instant latest) {
        CycleChoice choice = read(first ? 0 : 1, units, latest, first ? Instant.MAX : latest);
        if (first != (choice.kind() == CycleKind.COAT)) {
            throw new InvalidInput("kind", kind, first ? CycleKind.COAT.name() : "a cycle that follows a first one");
        }
        return choice;
    }

    private CycleChoice read(int leastName, UnitSystem units, Instant now, Instant latest) {
        var faults = new Faults();
        CycleKind readKind = faults.oneOf("kind", kind, CycleKind.class);
        Instant began = Said.is(at) ? faults.moment("at", at, latest) : now;
        String readBy = faults.line("by", by, leastName, 60);
        String readWhy = faults.prose("why", why, 2000);
        Optional<Patch> readPatch = Optional.empty();
        if (readKind == CycleKind.REPAIR) {
            readPatch = patch(faults, units);
        } else if (Said.is(patch)) {
            faults.add("patch", patch, ONLY_A_REPAIR);
        } else if (Said.is(ring)) {
            faults.add("ring", ring.size() + " corners", ONLY_A_REPAIR);
        }
        faults.check();
        return new CycleChoice(readKind, began, readBy, readWhy, readPatch);
    }

    private Optional<Patch> patch(Faults faults, UnitSystem units) {
        List<Corner> drawn = Rings.read(faults, "ring", ring);
        Optional<Value> measured = Said.is(ring) && !Said.is(patch)
                ? Optional.empty()
                : Optional.ofNullable(faults.read(() -> Patch.SIZE.parse("patch", patch, units)));
        return measured.isEmpty() && drawn.isEmpty() ? Optional.empty() : Optional.of(new Patch(measured, drawn));
    }
}

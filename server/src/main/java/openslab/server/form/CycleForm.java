package openslab.server.form;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.Optional;
import openslab.core.job.Cycle;
import openslab.core.job.CycleKind;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.jspecify.annotations.Nullable;

/**
 * What a person sends about the next cycle of a zone.
 *
 * @param at when it begins; now where it is left out
 * @param patch how much of the floor a repair takes, as typed; nothing for any other kind
 */
public record CycleForm(
        @Schema(implementation = CycleKind.class) String kind,
        @Nullable String at,
        String by,
        @Nullable String why,
        @Nullable String patch) {
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
        Value readPatch = null;
        if (readKind == CycleKind.REPAIR) {
            readPatch = faults.read(() -> Cycle.PATCH.parse("patch", patch, units));
        } else if (Said.is(patch)) {
            faults.add("patch", patch, "nothing: only a repair takes a piece of the floor");
        }
        faults.check();
        return new CycleChoice(readKind, began, readBy, readWhy, Optional.ofNullable(readPatch));
    }
}

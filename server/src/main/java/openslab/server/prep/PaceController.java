package openslab.server.prep;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.course.work.Paces;
import openslab.core.course.work.Work;
import openslab.core.job.KnownWorks;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.server.store.Writes;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How fast each kind of work goes, and where that is known from. */
@RestController
@RequestMapping("/api/paces")
class PaceController {
    /**
     * @param typed as somebody set it; empty where nobody did
     * @param pace the one that is used, with where it comes from
     * @param floors on how many it was logged
     */
    record PaceView(String id, String title, Field field, String typed, Figure pace, int floors) {}

    /** @param enough floors after which the crew's own numbers are used */
    record PacesView(List<PaceView> works, int enough) {}

    /** @param pace as typed; empty to take it back */
    record PaceForm(String pace, String units) {}

    private final PaceStore store;
    private final Writes writes;

    PaceController(PaceStore store, Writes writes) {
        this.store = store;
        this.writes = writes;
    }

    @GetMapping
    PacesView paces(@RequestParam(defaultValue = "US") String units) {
        var faults = new Faults();
        UnitSystem system = faults.oneOf("units", units, UnitSystem.class);
        faults.check();
        return view(system);
    }

    private PacesView view(UnitSystem system) {
        Paces paces = store.all();
        Map<String, Value> typed = store.typed();
        return new PacesView(
                KnownWorks.ALL.stream()
                        .map(w -> new PaceView(
                                w.id(),
                                w.title(),
                                w.paceField(),
                                typed.containsKey(w.id()) ? typed.get(w.id()).typed() : "",
                                paces.of(w, system),
                                paces.floors(w)))
                        .toList(),
                Paces.FLOORS_ENOUGH);
    }

    /** A pace has no version: the last who says so is right. */
    @PutMapping("/{work}")
    PacesView set(@PathVariable String work, @RequestHeader("Idempotency-Key") UUID key, @RequestBody PaceForm form) {
        var faults = new Faults();
        UnitSystem system = faults.oneOf("units", form.units(), UnitSystem.class);
        faults.check();
        Work known = KnownWorks.of("work", work);
        writes.once(key, List.of("pace", work, form), () -> {
            if (form.pace() == null || form.pace().isBlank()) {
                store.clear(work);
            } else {
                store.set(work, known.paceField().parse("pace", form.pace(), system));
            }
            return work;
        });
        return view(system);
    }
}

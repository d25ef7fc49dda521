package openslab.core.practice;

import java.util.ArrayList;
import java.util.List;
import openslab.core.course.Step;
import openslab.core.prep.Works;
import openslab.core.product.LayerRole;
import openslab.core.system.FloorSystem;

/** Whether a patch and a resurfacer are primed. */
public enum PrimingPatch implements School {
    OLD_OR_THIRSTY("Where it is old or thirsty", "Concrete of more than a year, or that takes a drop at once."),
    NEVER("Only where the label asks for it", "The product holds by itself; a primer is one more skin."),
    ALWAYS("Always", "Bonding primer costs little, and a patch that lifts costs a floor.");

    public static final Practice PRACTICE = Practice.of(
            "priming-patch",
            "Is concrete primed below a patch or a resurfacer?",
            OLD_OR_THIRSTY,
            "Old or thirsty concrete drinks the water out of the mix before it has set; a young, tight slab does not.",
            values());

    private final String label;
    private final String reason;

    PrimingPatch(String label, String reason) {
        this.label = label;
        this.reason = reason;
    }

    @Override
    public String label() {
        return label;
    }

    @Override
    public String reason() {
        return reason;
    }

    /** Common practice: 1 part to 2 of water, some go richer; the label beats it. */
    private static final Step PRIME = Step.of(
            Works.PRIME_PATCH,
            "Prime where it is patched",
            "Bonding primer 1:2 water, brushed in and left tacky, into the sides too.",
            "Thirsty concrete drinks the water out of the patch, and it lets go.");

    @Override
    public List<Step> prepared(List<Step> steps, Place place) {
        if (!primes(place)) {
            return steps;
        }
        var primed = new ArrayList<Step>();
        boolean done = false;
        for (Step s : steps) {
            if (!done && (s.work() == Works.PATCH || s.work() == Works.LEVEL)) {
                primed.add(PRIME);
                done = true;
            }
            primed.add(s);
        }
        return List.copyOf(primed);
    }

    @Override
    public boolean lays(FloorSystem.Layer layer, FloorSystem system, Place place) {
        return layer.role() == LayerRole.PRIMER && onCement(system) && primes(place);
    }

    /** Whether what is primed is a coat of cement. */
    static boolean onCement(FloorSystem system) {
        return system.usual().stream().anyMatch(l -> l.role() == LayerRole.OVERLAY);
    }

    private boolean primes(Place place) {
        return this == ALWAYS || this == OLD_OR_THIRSTY && (place.old() || place.thirsty());
    }
}

package openslab.core.practice;

import openslab.core.course.Step;
import openslab.core.product.Dye;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;

/** Whether a stain goes on dry or damp concrete. */
public enum StainOn implements School {
    CARD("As its card says; damp in sun", "What dries before it has reacted leaves marks of the spray."),
    DRY("Dry", "The deepest colour, and no water that thins it."),
    DAMP("Damp", "It runs together, and no lap shows.");

    public static final Practice PRACTICE = Practice.of(
            "stain-on",
            "Does a stain go on dry or damp concrete?",
            CARD,
            "Its card knows; outdoors in sun a dry slab drinks it before it has run together, so there it is damped.",
            values());

    private final String label;
    private final String reason;

    StainOn(String label, String reason) {
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

    private static final String DRY_WORDS = " On a dry slab.";
    private static final String DAMP_WORDS = " On a slab wetted first and picked up: damp, no puddle.";

    @Override
    public Step laid(Step step, ProductSheet sheet, Place place) {
        if (!step.proves() || sheet.role() != LayerRole.STAIN || sheet.material() instanceof Dye) {
            return step;
        }
        return switch (this) {
            case CARD -> place.exposure() == Exposure.SUN ? step.adding(DAMP_WORDS) : step;
            case DRY -> step.adding(DRY_WORDS);
            case DAMP -> step.adding(DAMP_WORDS);
        };
    }
}

package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Value;
import openslab.core.system.LayUp;
import openslab.core.system.Way;
import openslab.core.system.Ways;

/**
 * One layer of the build-up chosen for a zone.
 *
 * @param id stays the same when the sheet is changed for another
 * @param title what it is called here
 * @param way how it is laid
 * @param rate at which it is laid where that is not the sheet's: m² a litre, kg on a m², metres deep
 * @param reserve held back for touching up, 0–1 of what the floor takes
 * @param plannedStart when the crew means to begin it, if anybody said
 */
public record LayerChoice(
        String id,
        String title,
        LayerRole role,
        ProductSheet sheet,
        Way way,
        Optional<Value> rate,
        Optional<Value> reserve,
        Optional<Instant> plannedStart) {

    /** A layer as its sheet has it, laid as such a material usually is. */
    public static LayerChoice of(String id, ProductSheet sheet, Optional<Instant> plannedStart) {
        return new LayerChoice(
                id,
                sheet.role().label(),
                sheet.role(),
                sheet,
                Ways.usual(sheet),
                Optional.empty(),
                Optional.empty(),
                plannedStart);
    }

    /** The sheet at the rate at which it is laid here. */
    public ProductSheet laid() {
        return rate.map(r -> sheet.at(r.base())).orElse(sheet);
    }

    /** 0–1 of what the floor takes. */
    double reserveShare() {
        return reserve.map(r -> r.base() / 100).orElse(0.0);
    }

    /** Its steps, as those of its zone. */
    List<Step> steps() {
        return LayUp.steps(id, way, sheet);
    }

    /** The id of the step that puts the material on the floor, as one of its zone. */
    String coatStep() {
        return LayUp.prefix(id) + way.coat().id();
    }

    public boolean isBroadcast() {
        return sheet.broadcast().isPresent();
    }
}

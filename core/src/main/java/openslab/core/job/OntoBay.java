package openslab.core.job;

import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.course.work.Work;
import openslab.core.layout.bay.Bays;
import openslab.core.product.Liquid;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.LayWorks;

/**
 * How a layer gets onto a bay of the floor.
 *
 * @param poured how it is poured out, in words; empty for what keeps, and for what is sprayed, rolled out of a tray or mopped
 * @param cutIn whether its edge is cut in by brush
 */
public record OntoBay(String poured, boolean cutIn) {
    private static final List<Work> POURED = List.of(LayWorks.ROLL, LayWorks.POUR, LayWorks.SPREAD);

    /** @param layerId of a layer of {@code zone} */
    public static OntoBay of(ZoneFacts zone, String layerId, UnitSystem system) {
        return zone.layers().stream()
                .filter(l -> l.id().equals(layerId))
                .findFirst()
                .map(l -> of(zone.taken(l).liquid(), zone.steps(l), system))
                .orElse(new OntoBay("", false));
    }

    static OntoBay of(Optional<Liquid> liquid, List<Step> steps, UnitSystem system) {
        boolean poured =
                liquid.filter(Liquid::isTwoPart).isPresent() && POURED.stream().anyMatch(w -> has(steps, w));
        return new OntoBay(poured ? Bays.ribbonWords(system) : "", has(steps, LayWorks.CUT_IN));
    }

    private static boolean has(List<Step> steps, Work work) {
        return steps.stream().anyMatch(s -> s.work().is(work));
    }
}

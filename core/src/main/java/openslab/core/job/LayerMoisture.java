package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;
import openslab.core.survey.Verdict;
import openslab.core.survey.method.TestMethods;
import openslab.core.system.LayerChecks.LayerCheck;

/**
 * What was measured of the slab's moisture and alkali, against each layer by itself: the survey judges the strictest of all, and this says
 * whose limit it is. What lies over a sheet that shields meets nothing of it.
 */
public final class LayerMoisture {
    private LayerMoisture() {}

    public static List<LayerCheck> of(ZoneFacts zone, UnitSystem units, Instant now) {
        var checks = new ArrayList<LayerCheck>();
        for (LayerChoice layer : zone.layers()) {
            ProductSheet sheet = zone.taken(layer);
            Optional<Limits> limits = sheet.limits();
            limits.map(l -> zone.judgedBy(l, units, now)).ifPresent(site -> against(zone, layer, site, checks));
            if (limits.map(Limits::shields).orElse(false)) {
                break;
            }
        }
        return List.copyOf(checks);
    }

    private static void against(ZoneFacts zone, LayerChoice layer, Site site, List<LayerCheck> checks) {
        zone.survey().weigh(site, List.of()).findings().stream()
                .filter(f -> f.verdict() == Verdict.STOP && isMoisture(f))
                .forEach(f -> checks.add(new LayerCheck(
                        layer.id(),
                        f.rule(),
                        f.verdict(),
                        layer.title() + " is not for this slab: " + f.brief() + ", " + f.measured()
                                + "; its sheet takes " + f.needed() + ".",
                        f.source())));
    }

    private static boolean isMoisture(Finding finding) {
        return TestMethods.find(finding.rule())
                .map(m -> m.about().group() == TestGroup.MOISTURE)
                .orElse(false);
    }
}

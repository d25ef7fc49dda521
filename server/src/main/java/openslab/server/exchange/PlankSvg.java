package openslab.server.exchange;

import java.util.List;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.layout.plank.Planks;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.server.lay.LayerPlanks;

/** A plank pattern, printed to scale for taping: every butt with its way from the beginning of its run. */
final class PlankSvg {
    private static final double BUTT_MM = 1.7;

    private PlankSvg() {}

    /** @param scale the n of 1:n */
    static String of(LayerPlanks planks, String name, UnitSystem system, int scale) {
        List<Corner> all =
                planks.floor().stream().flatMap(part -> part.get(0).stream()).toList();
        var svg = new ScaledSvg(Box.round(all), scale, name);
        svg.write("<g fill=\"none\" stroke=\"#1c1f1f\" stroke-width=\"0.2\">%n");
        planks.planks().forEach(p -> p.rings().forEach(r -> svg.path(r, true, "")));
        planks.frames().forEach(f -> f.forEach(r -> svg.path(r, true, "stroke-width=\"0.35\"")));
        planks.joints().forEach(j -> svg.path(j, false, "stroke-dasharray=\"3 1 0.6 1\" stroke-width=\"0.35\""));
        planks.floor().forEach(part -> part.forEach(r -> svg.path(r, true, "stroke-width=\"0.7\"")));
        svg.write("</g>%n<g font-family=\"sans-serif\" font-size=\"%.1f\" text-anchor=\"middle\">%n", BUTT_MM);
        for (Planks.Butt b : planks.ends()) {
            svg.text(
                    (b.low().x() + b.high().x()) / 2,
                    (b.low().y() + b.high().y()) / 2,
                    Show.in(Unit.small(system), b.alongM()));
        }
        svg.write("</g>%n");
        svg.bar();
        return svg.done();
    }
}

package openslab.server.exchange;

import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.RoomPlan;

/** One room, printed to scale. */
final class PlanSvg {
    private PlanSvg() {}

    /** @param scale the n of 1:n @param north degrees that north lies to the right of up */
    static String of(RoomPlan room, int scale, double north) {
        var svg = new ScaledSvg(Box.round(room.outline().corners()), scale, room.name());
        svg.write("<g fill=\"none\" stroke=\"#1c1f1f\" stroke-width=\"0.25\">%n");
        room.openings().forEach(o -> svg.path(o.ring(), true, "stroke-width=\"0.35\""));
        for (DrawnLine line : room.lines()) {
            boolean crack = line.kind() == DrawnLine.Kind.CRACK || line.kind() == DrawnLine.Kind.MOVING_CRACK;
            svg.path(line.points(), false, crack ? "stroke=\"#a92f1c\"" : "stroke-dasharray=\"3 1 0.6 1\"");
        }
        room.walls().forEach(w -> svg.path(w.points(), false, "stroke-width=\"0.7\""));
        svg.write(
                "</g>%n<g font-family=\"sans-serif\" font-size=\"%.1f\" text-anchor=\"middle\">%n", ScaledSvg.TEXT_MM);
        for (RoomPlan.Wall wall : room.walls()) {
            Corner a = wall.points().get(0);
            Corner b = wall.points().get(wall.points().size() - 1);
            svg.text((a.x() + b.x()) / 2, (a.y() + b.y()) / 2, wall.text());
        }
        svg.write("</g>%n");
        svg.bar();
        north(svg, svg.wide - ScaledSvg.MARGIN_MM, svg.high - ScaledSvg.MARGIN_MM, north);
        return svg.done();
    }

    private static void north(ScaledSvg svg, double x, double y, double degrees) {
        svg.write(
                "<g transform=\"translate(%.3f %.3f) rotate(%.2f)\"><path d=\"M0 4V-6l-1.6 3.2M0 -6l1.6 3.2\" fill=\"none\""
                        + " stroke=\"#1c1f1f\" stroke-width=\"0.35\"/><text y=\"-7\" text-anchor=\"middle\""
                        + " font-family=\"sans-serif\" font-size=\"%.1f\">N</text></g>%n",
                x, y, degrees, ScaledSvg.TEXT_MM);
    }
}

package openslab.server.exchange;

import java.util.List;
import java.util.Locale;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.RoomPlan;
import org.springframework.web.util.HtmlUtils;

/** One room as SVG that prints to scale: its width and height are millimetres of paper. */
final class PlanSvg {
    private static final double MARGIN_MM = 12;
    private static final double TEXT_MM = 3.2;

    private final StringBuilder out = new StringBuilder();
    private final double mmPerM;
    private final double x0;
    private final double y1;

    private PlanSvg(double mmPerM, double x0, double y1) {
        this.mmPerM = mmPerM;
        this.x0 = x0;
        this.y1 = y1;
    }

    /** @param scale the n of 1:n @param north degrees that north lies to the right of up */
    static String of(RoomPlan room, int scale, double north) {
        List<Corner> ring = room.outline().corners();
        Box box = Box.round(ring);
        var svg = new PlanSvg(1000.0 / scale, box.low().x(), box.high().y());
        double wide = box.width() * svg.mmPerM + 2 * MARGIN_MM;
        double high = box.height() * svg.mmPerM + 3 * MARGIN_MM;
        svg.write(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.3fmm\" height=\"%.3fmm\" viewBox=\"0 0 %.3f %.3f\">%n",
                wide, high, wide, high);
        svg.write("<title>%s, 1:%d</title>%n", HtmlUtils.htmlEscapeDecimal(room.name()), scale);
        svg.write("<g fill=\"none\" stroke=\"#1c1f1f\" stroke-width=\"0.25\">%n");
        room.openings().forEach(o -> svg.path(o.ring(), true, "stroke-width=\"0.35\""));
        for (DrawnLine line : room.lines()) {
            boolean crack = line.kind() == DrawnLine.Kind.CRACK || line.kind() == DrawnLine.Kind.MOVING_CRACK;
            svg.path(line.points(), false, crack ? "stroke=\"#a92f1c\"" : "stroke-dasharray=\"3 1 0.6 1\"");
        }
        room.walls().forEach(w -> svg.path(w.points(), false, "stroke-width=\"0.7\""));
        svg.write("</g>%n<g font-family=\"sans-serif\" font-size=\"%.1f\" text-anchor=\"middle\">%n", TEXT_MM);
        for (RoomPlan.Wall wall : room.walls()) {
            Corner a = wall.points().get(0);
            Corner b = wall.points().get(wall.points().size() - 1);
            svg.text((a.x() + b.x()) / 2, (a.y() + b.y()) / 2, wall.text());
        }
        svg.write("</g>%n");
        svg.bar(high - MARGIN_MM, scale);
        svg.north(wide - MARGIN_MM, high - MARGIN_MM, north);
        return svg.write("</svg>%n").toString();
    }

    private StringBuilder write(String template, Object... values) {
        return out.append(String.format(Locale.ROOT, template, values));
    }

    private double px(double x) {
        return MARGIN_MM + (x - x0) * mmPerM;
    }

    private double py(double y) {
        return MARGIN_MM + (y1 - y) * mmPerM;
    }

    private void path(List<Corner> points, boolean closed, String more) {
        out.append("<path d=\"");
        for (int i = 0; i < points.size(); i++) {
            write(
                    "%s%.3f %.3f",
                    i == 0 ? "M" : "L", px(points.get(i).x()), py(points.get(i).y()));
        }
        write("%s\" %s/>%n", closed ? "Z" : "", more);
    }

    private void text(double x, double y, String words) {
        write("<text x=\"%.3f\" y=\"%.3f\">%s</text>%n", px(x), py(y) - 1, HtmlUtils.htmlEscapeDecimal(words));
    }

    /** Two metres of the floor, to hold a rule against. */
    private void bar(double y, int scale) {
        write(
                "<path d=\"M%.3f %.3fv2h%.3fv-2\" fill=\"none\" stroke=\"#1c1f1f\" stroke-width=\"0.35\"/>%n",
                MARGIN_MM, y, 2 * mmPerM);
        write(
                "<text x=\"%.3f\" y=\"%.3f\" font-family=\"sans-serif\" font-size=\"%.1f\">2 m, 1:%d</text>%n",
                MARGIN_MM + 2 * mmPerM + 2, y + 2, TEXT_MM, scale);
    }

    private void north(double x, double y, double degrees) {
        write(
                "<g transform=\"translate(%.3f %.3f) rotate(%.2f)\"><path d=\"M0 4V-6l-1.6 3.2M0 -6l1.6 3.2\" fill=\"none\""
                        + " stroke=\"#1c1f1f\" stroke-width=\"0.35\"/><text y=\"-7\" text-anchor=\"middle\""
                        + " font-family=\"sans-serif\" font-size=\"%.1f\">N</text></g>%n",
                x, y, degrees, TEXT_MM);
    }
}

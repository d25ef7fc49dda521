package openslab.server.exchange;

import java.util.List;
import java.util.Locale;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.ZoneReport;
import openslab.core.survey.judge.Areas;
import openslab.core.survey.place.Placement;
import org.springframework.web.util.HtmlUtils;

/** A zone's outline with what was drawn on it and where it was tested, as SVG for a printed page. */
final class ZoneSketch {
    private static final double WIDE_MM = 86;
    private static final double HIGH_MM = 74;
    private static final double MARGIN_MM = 5;
    private static final double PLACE_MM = 2.6;

    private final StringBuilder out = new StringBuilder();
    private final double mmPerM;
    private final double x0;
    private final double y1;

    private ZoneSketch(Box box) {
        mmPerM = Math.min((WIDE_MM - 2 * MARGIN_MM) / box.width(), (HIGH_MM - 2 * MARGIN_MM) / box.height());
        x0 = box.low().x();
        y1 = box.high().y();
    }

    static String of(ZoneReport zone) {
        List<Corner> outline = zone.outline().corners();
        Box box = Box.round(outline);
        var svg = new ZoneSketch(box);
        double wide = box.width() * svg.mmPerM + 2 * MARGIN_MM;
        double high = box.height() * svg.mmPerM + 2 * MARGIN_MM;
        svg.write(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.2fmm\" height=\"%.2fmm\" viewBox=\"0 0 %.2f %.2f\">",
                wide, high, wide, high);
        svg.path(outline, "fill=\"#ffffff\" stroke=\"#1c1f1f\" stroke-width=\"0.7\"");
        List<Corner> patch = zone.cycles().get(zone.cycles().size() - 1).ring();
        if (!patch.isEmpty()) {
            svg.path(patch, "fill=\"#e3e9f1\" stroke=\"#1c1f1f\" stroke-width=\"0.5\"");
        }
        for (Areas.Judged area : zone.areas()) {
            boolean gone = area.gone().isPresent();
            svg.path(
                    area.area().ring(),
                    gone
                            ? "fill=\"none\" stroke=\"#1e6b3a\" stroke-width=\"0.35\" stroke-dasharray=\"1.4 0.8\""
                            : "fill=\"#f2d9d4\" stroke=\"#a92f1c\" stroke-width=\"0.35\" stroke-dasharray=\"1.4 0.8\"");
        }
        for (Placement.Marked place : zone.places()) {
            svg.place(place);
        }
        return svg.write("</svg>").toString();
    }

    private StringBuilder write(String template, Object... values) {
        return out.append(String.format(Locale.ROOT, template, values));
    }

    private double px(Corner c) {
        return MARGIN_MM + (c.x() - x0) * mmPerM;
    }

    private double py(Corner c) {
        return MARGIN_MM + (y1 - c.y()) * mmPerM;
    }

    private void path(List<Corner> ring, String how) {
        out.append("<path d=\"");
        for (int i = 0; i < ring.size(); i++) {
            write("%s%.2f %.2f", i == 0 ? "M" : "L", px(ring.get(i)), py(ring.get(i)));
        }
        write("Z\" %s/>", how);
    }

    private void place(Placement.Marked place) {
        Corner at = place.at();
        write("<circle cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\" fill=\"#1a549c\"/>", px(at), py(at), PLACE_MM);
        String name = place.name();
        boolean fits = name.length() <= 2;
        write(
                "<text x=\"%.2f\" y=\"%.2f\" font-family=\"Barlow\" font-size=\"3.2\" text-anchor=\"middle\" fill=\"%s\">%s</text>",
                px(at),
                fits ? py(at) + 1.1 : py(at) + 5.6,
                fits ? "#ffffff" : "#1a549c",
                HtmlUtils.htmlEscapeDecimal(name));
    }
}

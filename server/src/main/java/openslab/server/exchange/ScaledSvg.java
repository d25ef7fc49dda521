package openslab.server.exchange;

import java.util.List;
import java.util.Locale;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import org.springframework.web.util.HtmlUtils;

/** A drawing as SVG that prints to scale: its width and height are millimetres of paper. */
final class ScaledSvg {
    static final double MARGIN_MM = 12;
    static final double TEXT_MM = 3.2;

    private final StringBuilder out = new StringBuilder();
    private final double mmPerM;
    private final double x0;
    private final double y1;
    private final int scale;
    final double wide;
    final double high;

    /** @param scale the n of 1:n */
    ScaledSvg(Box box, int scale, String title) {
        this.scale = scale;
        mmPerM = 1000.0 / scale;
        x0 = box.low().x();
        y1 = box.high().y();
        wide = box.width() * mmPerM + 2 * MARGIN_MM;
        high = box.height() * mmPerM + 3 * MARGIN_MM;
        write(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.3fmm\" height=\"%.3fmm\" viewBox=\"0 0 %.3f %.3f\">%n",
                wide, high, wide, high);
        write("<title>%s, 1:%d</title>%n", HtmlUtils.htmlEscapeDecimal(title), scale);
    }

    ScaledSvg write(String template, Object... values) {
        out.append(String.format(Locale.ROOT, template, values));
        return this;
    }

    private double px(double x) {
        return MARGIN_MM + (x - x0) * mmPerM;
    }

    private double py(double y) {
        return MARGIN_MM + (y1 - y) * mmPerM;
    }

    /** @param more attributes of it; lengths in them are millimetres of paper */
    void path(List<Corner> points, boolean closed, String more) {
        out.append("<path d=\"");
        for (int i = 0; i < points.size(); i++) {
            write(
                    "%s%.3f %.3f",
                    i == 0 ? "M" : "L", px(points.get(i).x()), py(points.get(i).y()));
        }
        write("%s\" %s/>%n", closed ? "Z" : "", more);
    }

    void text(double x, double y, String words) {
        write("<text x=\"%.3f\" y=\"%.3f\">%s</text>%n", px(x), py(y) - 1, HtmlUtils.htmlEscapeDecimal(words));
    }

    /** Two metres of the floor, to hold a rule against. */
    void bar() {
        double y = high - MARGIN_MM;
        write(
                "<path d=\"M%.3f %.3fv2h%.3fv-2\" fill=\"none\" stroke=\"#1c1f1f\" stroke-width=\"0.35\"/>%n",
                MARGIN_MM, y, 2 * mmPerM);
        write(
                "<text x=\"%.3f\" y=\"%.3f\" font-family=\"sans-serif\" font-size=\"%.1f\">2 m, 1:%d</text>%n",
                MARGIN_MM + 2 * mmPerM + 2, y + 2, TEXT_MM, scale);
    }

    String done() {
        return write("</svg>%n").out.toString();
    }
}

package openslab.core.layout.stamp;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Require;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * A floor in mats.
 *
 * @param mats in the order in which they are laid
 * @param strips in the order in which they are placed: rows that are stamped while their window is open
 * @param rows how many; {@code pressed} how many times a mat is laid, {@code textured} how many of those reach past an edge and are
 *     made up by hand with a skin
 * @param tooLong whether a single row takes longer to stamp than its window lasts
 */
public record Stamps(
        List<Mat> mats, List<Strip> strips, Figure rows, Figure pressed, Figure textured, boolean tooLong) {
    /**
     * One press.
     *
     * @param order from 1; {@code row} from 0, the first to be placed
     * @param whole whether none of it lies past an edge
     * @param rings of what it stamps, its outer ring first
     */
    public record Mat(int order, int row, boolean whole, List<List<Corner>> rings, Corner label) {}

    /** @param from its first row, {@code to} the one past its last; {@code minutes} to stamp it */
    public record Strip(int number, int from, int to, Figure area, Figure minutes) {}

    private static final double ROUNDING = 1e-9;

    /** OURS: a mat that stamps less than this of itself is left to the hand. */
    private static final double SLIVER = 0.02;

    /** OURS: more than this nobody lays on one floor, and nobody could read them. */
    private static final int MOST_MATS = 10_000;
    /** How many times more may lie over the box round a crooked floor. */
    private static final int MOST_EMPTY = 20;

    private static final Source COUNTED = Source.arithmetic("counted as drawn");
    private static final Source OURS =
            Source.ours("as many rows to a strip as are stamped from the moment its window opens until it closes");

    public Stamps {
        mats = List.copyOf(mats);
        strips = List.copyOf(strips);
    }

    /**
     * @param parts of the floor, each its outer ring first
     * @param out the way out: the row farthest from it is placed first
     * @param most how much is stamped while a window is open; empty where nobody knows, and all of it is one strip
     * @param paceM2PerMin how fast it is stamped
     * @throws Refusal where it would be more mats than anybody lays
     */
    public static Stamps of(
            List<List<List<Corner>>> parts,
            Corner out,
            StampRules rules,
            Optional<Figure> most,
            double paceM2PerMin,
            UnitSystem system) {
        Require.positive(paceM2PerMin, "pace");
        return new Laying(rules, most, paceM2PerMin, system).of(parts, out);
    }

    /** Of a floor that is not drawn. */
    public static Stamps none(UnitSystem system) {
        var laying = new Laying(StampRules.USUAL, Optional.empty(), 1, system);
        return new Stamps(
                List.of(),
                List.of(),
                laying.counted("rows", 0),
                laying.counted("mats pressed", 0),
                laying.counted("of them past an edge", 0),
                false);
    }

    /** A row before it is numbered. */
    private record Row(double areaM2, List<Press> presses) {}

    private record Press(Polygon piece, boolean whole) {}

    private record Laying(StampRules rules, Optional<Figure> most, double pace, UnitSystem system) {
        Stamps of(List<List<List<Corner>>> parts, Corner out) {
            AffineTransformation lay = AffineTransformation.rotationInstance(-rules.grain());
            Geometry floor = parts.stream()
                    .map(part -> lay.transform(Shapes2D.polygon(part, 0)))
                    .reduce((a, b) -> OverlayNGRobust.overlay(a, b, OverlayNG.UNION))
                    .orElseThrow();
            Coordinate door = lay.transform(new Coordinate(out.x(), out.y()), new Coordinate());
            Envelope box = floor.getEnvelopeInternal();
            requireFew(floor.getArea(), box);
            boolean upward = door.y > (box.getMinY() + box.getMaxY()) / 2;
            boolean rightward = door.x > (box.getMinX() + box.getMaxX()) / 2;
            List<Row> rows = rows(floor, box, upward);
            var mats = new ArrayList<Mat>();
            AffineTransformation back = AffineTransformation.rotationInstance(rules.grain());
            for (int r = 0; r < rows.size(); r++) {
                var presses = new ArrayList<>(rows.get(r).presses());
                presses.sort(Comparator.comparingDouble(
                        p -> p.piece().getEnvelopeInternal().getMinX()));
                // there and back again, the last row towards the door
                boolean towards = (rows.size() - 1 - r) % 2 == 0;
                if (towards != rightward) {
                    Collections.reverse(presses);
                }
                for (Press p : presses) {
                    Polygon lies = (Polygon) back.transform(p.piece());
                    mats.add(new Mat(mats.size() + 1, r, p.whole(), Shapes2D.rings(lies), Shapes2D.inside(lies)));
                }
            }
            return new Stamps(
                    mats,
                    strips(rows),
                    counted("rows", rows.size()),
                    counted("mats pressed", mats.size()),
                    counted("of them past an edge", (int)
                            mats.stream().filter(m -> !m.whole()).count()),
                    most.isPresent()
                            && rows.stream()
                                    .anyMatch(row -> row.areaM2() > most.get().base() + ROUNDING));
        }

        private void requireFew(double areaM2, Envelope box) {
            double matM2 = rules.alongM() * rules.acrossM();
            long mats = Math.round(areaM2 / matM2);
            if (mats > MOST_MATS || box.getArea() / matM2 > (double) MOST_EMPTY * MOST_MATS) {
                throw new Refusal(
                        "too-many-mats",
                        "That would be about " + Show.number(mats, 0) + " mats; one zone is drawn in at most "
                                + Show.number(MOST_MATS, 0) + ", and not in corners far apart.",
                        "Lay larger mats, or make more zones of the floor.");
            }
        }

        /** Against the wall that is farthest from the way out the first whole row begins. */
        private List<Row> rows(Geometry floor, Envelope box, boolean upward) {
            var rows = new ArrayList<Row>();
            int n = (int) Math.ceil(box.getHeight() / rules.acrossM() - ROUNDING);
            for (int i = 0; i < n; i++) {
                double low = upward ? box.getMinY() + i * rules.acrossM() : box.getMaxY() - (i + 1) * rules.acrossM();
                rows.add(row(floor, box, low, i % 2 == 0 ? 0 : rules.shift() * rules.alongM()));
            }
            return rows;
        }

        private Row row(Geometry floor, Envelope box, double low, double later) {
            var presses = new ArrayList<Press>();
            double area = 0;
            double mat = rules.alongM() * rules.acrossM();
            double from = box.getMinX() + later - (later > 0 ? rules.alongM() : 0);
            for (double x = from; x < box.getMaxX() - ROUNDING; x += rules.alongM()) {
                Geometry window =
                        floor.getFactory().toGeometry(new Envelope(x, x + rules.alongM(), low, low + rules.acrossM()));
                for (Polygon p : Shapes2D.polygons(OverlayNGRobust.overlay(floor, window, OverlayNG.INTERSECTION))) {
                    area += p.getArea();
                    if (p.getArea() > SLIVER * mat) {
                        presses.add(new Press(p, p.getArea() > mat * (1 - 1e-6)));
                    }
                }
            }
            return new Row(area, presses);
        }

        private List<Strip> strips(List<Row> rows) {
            double limit = most.map(Figure::base).orElse(Double.POSITIVE_INFINITY);
            var strips = new ArrayList<Strip>();
            int from = 0;
            double area = 0;
            for (int r = 0; r < rows.size(); r++) {
                if (r > from && area + rows.get(r).areaM2() > limit + ROUNDING) {
                    strips.add(strip(strips.size() + 1, from, r, area));
                    from = r;
                    area = 0;
                }
                area += rows.get(r).areaM2();
            }
            if (from < rows.size()) {
                strips.add(strip(strips.size() + 1, from, rows.size(), area));
            }
            return strips;
        }

        private Strip strip(int number, int from, int to, double m2) {
            var a = new Worksheet(system);
            a.given("a", "rows " + (from + 1) + " to " + to + ", as drawn", m2, Unit.SQUARE_METRE);
            Figure area = a.figure("area of the strip", "A", "a", m2, Unit.SQUARE_METRE, OURS);
            var w = new Worksheet(system);
            w.from("A", area);
            w.given("p", "how fast it is stamped", pace, Unit.SQUARE_METRE_PER_MINUTE);
            return new Strip(
                    number,
                    from,
                    to,
                    area,
                    w.figure("to stamp it", "t", "A/p", m2 / pace, Unit.MINUTE, Source.arithmetic("area over pace")));
        }

        private Figure counted(String label, int count) {
            var w = new Worksheet(system);
            w.given("n", label, count, Unit.ONE);
            return w.figure(label, "N", "n", count, Unit.ONE, COUNTED);
        }
    }
}

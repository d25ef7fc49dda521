package openslab.core.layout.plank;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * A floor in planks.
 *
 * @param planks row by row, each run from its beginning
 * @param frames round openings
 * @param tape fibre tape: between rows, at butts and round frames
 * @param butts how many; {@code nails} two holes on each side of every one
 */
public record Planks(List<Plank> planks, List<List<List<Corner>>> frames, Figure tape, Figure butts, Figure nails) {
    /**
     * One plank.
     *
     * @param row from the first wall on, from 0; {@code run} the part of the row that it lies in, from 0
     * @param rings its outer ring first
     * @param lengthM along the grain
     * @param cut whether somebody chose where it ends: a run that is one plank is as long as the floor
     */
    public record Plank(int row, int run, List<List<Corner>> rings, double lengthM, boolean cut) {}

    /** A row that would be narrower than this is laid together with the one before (OURS). */
    private static final double SLIVER = 0.5;

    /** OURS: a joint within 30° of the grain runs with it; sine of that. */
    private static final double WITH_GRAIN = 0.5;

    private static final double ROUNDING = 1e-9;

    private static final int NAILS = 4;

    public Planks {
        planks = List.copyOf(planks);
        frames = List.copyOf(frames);
    }

    /**
     * @param floor its outer ring first, then round its openings
     * @param joints lines on it that no butt comes near
     */
    public static Planks of(List<List<Corner>> floor, List<List<Corner>> joints, PlankRules rules, UnitSystem system) {
        return new Laying(rules, system).of(floor, joints);
    }

    /** Butts of a row, told across it so that the next keeps away from them. */
    private record Row(List<Double> butts) {}

    private static final class Laying {
        private final PlankRules rules;
        private final UnitSystem system;
        private final Random random;
        private final AffineTransformation lay;
        private final AffineTransformation back;
        private final List<Plank> planks = new ArrayList<>();
        private double betweenM;
        private double buttM;
        private int butts;

        Laying(PlankRules rules, UnitSystem system) {
            this.rules = rules;
            this.system = system;
            random = new Random(rules.seed());
            lay = AffineTransformation.rotationInstance(-rules.grain());
            back = AffineTransformation.rotationInstance(rules.grain());
        }

        Planks of(List<List<Corner>> floor, List<List<Corner>> joints) {
            Geometry whole = lay.transform(Shapes2D.polygon(floor, 0));
            List<Geometry> frames = frames(floor, whole);
            Geometry field = whole;
            for (Geometry frame : frames) {
                field = OverlayNGRobust.overlay(field, frame, OverlayNG.DIFFERENCE);
            }
            List<LineString> lines = joints.stream()
                    .map(j -> (LineString) lay.transform(Shapes2D.line(j)))
                    .toList();
            rows(field, lines);
            double framesM = frames.stream().mapToDouble(Geometry::getLength).sum();
            return new Planks(
                    planks,
                    frames.stream()
                            .flatMap(f -> Shapes2D.polygons(f).stream())
                            .map(this::rings)
                            .toList(),
                    tape(framesM),
                    count(),
                    nails());
        }

        /** As far as the floor reaches round each opening. */
        private List<Geometry> frames(List<List<Corner>> floor, Geometry whole) {
            var frames = new ArrayList<Geometry>();
            if (rules.frameM() == 0) {
                return frames;
            }
            var mitred = new BufferParameters(8, BufferParameters.CAP_SQUARE, BufferParameters.JOIN_MITRE, 3);
            for (List<Corner> opening : floor.subList(1, floor.size())) {
                Geometry hole = lay.transform(Shapes2D.polygon(opening));
                Geometry wide = BufferOp.bufferOp(hole, rules.frameM(), mitred);
                Geometry frame = OverlayNGRobust.overlay(wide, whole, OverlayNG.INTERSECTION);
                for (Geometry before : frames) {
                    frame = OverlayNGRobust.overlay(frame, before, OverlayNG.DIFFERENCE);
                }
                frames.add(frame);
            }
            return frames;
        }

        private void rows(Geometry field, List<LineString> joints) {
            Envelope box = field.getEnvelopeInternal();
            double y = box.getMinY();
            Row before = new Row(List.of());
            for (int row = 0; y < box.getMaxY() - ROUNDING; row++) {
                double width = rules.widthsM().get(row % rules.widthsM().size());
                double top = y + width;
                double next = rules.widthsM().get((row + 1) % rules.widthsM().size());
                if (box.getMaxY() - top < next * SLIVER) {
                    top = box.getMaxY();
                }
                before = row(row, strip(field, box, y, top), before, joints, y, top);
                if (top < box.getMaxY() - ROUNDING) {
                    betweenM += across(field, box, top);
                }
                y = top;
            }
        }

        private static Geometry strip(Geometry field, Envelope box, double low, double high) {
            Geometry window =
                    field.getFactory().toGeometry(new Envelope(box.getMinX() - 1, box.getMaxX() + 1, low, high));
            return OverlayNGRobust.overlay(field, window, OverlayNG.INTERSECTION);
        }

        private static double across(Geometry field, Envelope box, double y) {
            LineString line = field.getFactory().createLineString(new Coordinate[] {
                new Coordinate(box.getMinX() - 1, y), new Coordinate(box.getMaxX() + 1, y)
            });
            return OverlayNGRobust.overlay(field, line, OverlayNG.INTERSECTION).getLength();
        }

        private Row row(int row, Geometry strip, Row before, List<LineString> joints, double low, double high) {
            List<Double> shunned = new ArrayList<>(before.butts());
            List<Double> clear = new ArrayList<>();
            before.butts().forEach(b -> clear.add(rules.staggerM()));
            crossed(joints, low, high, shunned, clear);
            var all = new ArrayList<Double>();
            int run = 0;
            for (Polygon piece : Shapes2D.polygons(strip)) {
                Envelope box = piece.getEnvelopeInternal();
                List<Double> butts = Butts.of(box.getMinX(), box.getMaxX(), rules, shunned, clear, random);
                cut(row, run++, piece, box, butts);
                all.addAll(butts);
            }
            return new Row(all);
        }

        /**
         * Where joints cross a row or pass close by, all the way that they take over it. One that runs with the grain parts rows,
         * not planks, and no butt keeps off it.
         */
        private void crossed(
                List<LineString> joints, double low, double high, List<Double> shunned, List<Double> clear) {
            for (LineString joint : joints) {
                for (int i = 1; i < joint.getNumPoints(); i++) {
                    Coordinate a = joint.getCoordinateN(i - 1);
                    Coordinate b = joint.getCoordinateN(i);
                    double near = rules.offJointM();
                    double from = Math.max(low - near, Math.min(a.y, b.y));
                    double to = Math.min(high + near, Math.max(a.y, b.y));
                    if (from > to || Math.abs(b.y - a.y) < WITH_GRAIN * a.distance(b)) {
                        continue;
                    }
                    double x0 = at(a, b, from);
                    double x1 = at(a, b, to);
                    shunned.add((x0 + x1) / 2);
                    clear.add(Math.abs(x1 - x0) / 2 + rules.offJointM());
                }
            }
        }

        private static double at(Coordinate a, Coordinate b, double y) {
            return a.y == b.y ? (a.x + b.x) / 2 : a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y);
        }

        private void cut(int row, int run, Polygon piece, Envelope box, List<Double> at) {
            double from = box.getMinX();
            for (int i = 0; i <= at.size(); i++) {
                double to = i < at.size() ? at.get(i) : box.getMaxX();
                Geometry part = at.isEmpty() ? piece : between(piece, box, from, to);
                for (Polygon p : Shapes2D.polygons(part)) {
                    planks.add(new Plank(row, run, rings(p), to - from, !at.isEmpty()));
                }
                if (i < at.size()) {
                    butts++;
                    buttM += box.getHeight();
                }
                from = to;
            }
        }

        private static Geometry between(Polygon piece, Envelope box, double from, double to) {
            var window = new Envelope(from, to, box.getMinY(), box.getMaxY());
            return piece.isRectangle()
                    ? piece.getFactory().toGeometry(window)
                    : OverlayNGRobust.overlay(piece, piece.getFactory().toGeometry(window), OverlayNG.INTERSECTION);
        }

        private List<List<Corner>> rings(Polygon lying) {
            Polygon p = (Polygon) back.transform(lying);
            var rings = new ArrayList<List<Corner>>();
            rings.add(Shapes2D.corners(p.getExteriorRing()));
            for (int i = 0; i < p.getNumInteriorRing(); i++) {
                rings.add(Shapes2D.corners(p.getInteriorRingN(i)));
            }
            return rings;
        }

        private Figure tape(double framesM) {
            var w = new Worksheet(system);
            w.given("r", "between rows", betweenM, Unit.METRE);
            w.given("b", "at butts", buttM, Unit.METRE);
            w.given("f", "round frames", framesM, Unit.METRE);
            return w.figure(
                    "fibre tape",
                    "T",
                    "r+b+f",
                    betweenM + buttM + framesM,
                    Unit.METRE,
                    Source.arithmetic("every line that is taped, as drawn"));
        }

        private Figure count() {
            var w = new Worksheet(system);
            w.given("n", "as drawn", butts, Unit.ONE);
            return w.figure("butts", "N", "n", butts, Unit.ONE, Source.arithmetic("counted"));
        }

        private Figure nails() {
            var w = new Worksheet(system);
            w.given("n", "butts", butts, Unit.ONE);
            return w.figure(
                    "nail holes",
                    "h",
                    NAILS + "·n",
                    NAILS * butts,
                    Unit.ONE,
                    Source.commonPractice("two each side of every butt"));
        }
    }
}

package openslab.core.layout.plank;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Show;
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
 * @param ends every butt, where it lies
 * @param butts how many; {@code nails} two holes on each side of every one
 */
public record Planks(
        List<Plank> planks, List<List<List<Corner>>> frames, List<Butt> ends, Figure tape, Figure butts, Figure nails) {
    /**
     * One plank.
     *
     * @param row from the first wall on, from 0; {@code run} the part of the row that it lies in, from 0
     * @param rings its outer ring first
     * @param lengthM along the grain
     * @param cut whether somebody chose where it ends: a run that is one plank is as long as the floor
     */
    public record Plank(int row, int run, List<List<Corner>> rings, double lengthM, boolean cut) {}

    /**
     * Where two planks of a run meet.
     *
     * @param index from the run's beginning, from 0
     * @param low on the one side of the row, {@code high} on the other
     * @param alongM from the beginning of its run, along the grain
     * @param nudged whether somebody moved it
     * @param clash what speaks against where it lies now; empty where nothing does
     */
    public record Butt(
            int row, int run, int index, Corner low, Corner high, double alongM, boolean nudged, String clash) {}

    /** A butt that somebody moved. @param byM along the grain, from where it was drawn */
    public record Nudge(int row, int run, int index, double byM) {}

    /** A row that would be narrower than this is laid together with the one before (OURS). */
    private static final double SLIVER = 0.5;

    /** OURS: a joint within 30° of the grain runs with it; sine of that. */
    private static final double WITH_GRAIN = 0.5;

    /** OURS: a joint this straight along the grain begins a row; sine of a degree. */
    private static final double ALONG = 0.0175;

    /** OURS: nothing is laid narrower or shorter than 2 cm. */
    private static final double NARROWEST_M = 0.02;

    private static final double ROUNDING = 1e-9;

    private static final int NAILS = 4;

    /** OURS: more than this nobody tapes in one zone, and nobody could read them. */
    private static final int MOST_PLANKS = 4000;

    public Planks {
        planks = List.copyOf(planks);
        frames = List.copyOf(frames);
        ends = List.copyOf(ends);
    }

    /**
     * @param floor its outer ring first, then round its openings
     * @param joints lines on it that no butt comes near
     */
    public static Planks of(List<List<Corner>> floor, List<List<Corner>> joints, PlankRules rules, UnitSystem system) {
        return of(floor, joints, rules, List.of(), system);
    }

    /** @param nudges of single butts; the rest of the floor stays as it was drawn */
    public static Planks of(
            List<List<Corner>> floor,
            List<List<Corner>> joints,
            PlankRules rules,
            List<Nudge> nudges,
            UnitSystem system) {
        return ofParts(List.of(floor), joints, rules, nudges, system);
    }

    /** Of a floor that is not drawn. */
    public static Planks none(UnitSystem system) {
        return new Laying(PlankRules.usual(0, 0), List.of(), system).drawn(List.of(), 0);
    }

    /**
     * @param parts of a floor, each its outer ring first; rows go on from one to the next
     * @throws Refusal where it would be more planks than anybody lays
     */
    public static Planks ofParts(
            List<List<List<Corner>>> parts,
            List<List<Corner>> joints,
            PlankRules rules,
            List<Nudge> nudges,
            UnitSystem system) {
        return new Laying(rules, nudges, system).of(parts, joints);
    }

    /** A part of a row, and where its planks butt, along the grain. */
    private record Run(Polygon piece, Envelope box, List<Double> drawn, List<Double> butts) {}

    /** @param shunned places on it that a butt keeps away from for a joint, {@code clearM} of each at the same index */
    private record Row(double low, double high, List<Run> runs, List<Double> shunned, List<Double> clearM) {
        static final Row NONE = new Row(0, 0, List.of(), List.of(), List.of());

        List<Double> butts() {
            return runs.stream().flatMap(r -> r.butts().stream()).toList();
        }
    }

    private static final class Laying {
        private final PlankRules rules;
        private final UnitSystem system;
        private final List<Nudge> nudges;
        private final Random random;
        private final AffineTransformation lay;
        private final AffineTransformation back;
        private final List<Plank> planks = new ArrayList<>();
        private final List<Butt> ends = new ArrayList<>();
        private double betweenM;
        private double buttM;
        private int butts;

        Laying(PlankRules rules, List<Nudge> nudges, UnitSystem system) {
            this.rules = rules;
            this.nudges = nudges;
            this.system = system;
            random = new Random(rules.seed());
            lay = AffineTransformation.rotationInstance(-rules.grain());
            back = AffineTransformation.rotationInstance(rules.grain());
        }

        Planks of(List<List<List<Corner>>> parts, List<List<Corner>> joints) {
            Geometry whole = parts.stream()
                    .map(part -> lay.transform(Shapes2D.polygon(part, 0)))
                    .reduce((a, b) -> OverlayNGRobust.overlay(a, b, OverlayNG.UNION))
                    .orElseThrow();
            requireFew(whole.getArea());
            List<Geometry> frames = frames(parts, whole);
            Geometry field = whole;
            for (Geometry frame : frames) {
                field = OverlayNGRobust.overlay(field, frame, OverlayNG.DIFFERENCE);
            }
            List<LineString> lines = joints.stream()
                    .map(j -> (LineString) lay.transform(Shapes2D.line(j)))
                    .toList();
            rows(field, lines);
            double framesM = frames.stream().mapToDouble(Geometry::getLength).sum();
            return drawn(
                    frames.stream()
                            .flatMap(f -> Shapes2D.polygons(f).stream())
                            .map(this::rings)
                            .toList(),
                    framesM);
        }

        private Planks drawn(List<List<List<Corner>>> frames, double framesM) {
            return new Planks(planks, frames, ends, tape(framesM), count(), nails());
        }

        private void requireFew(double areaM2) {
            double width = rules.widthsM().stream()
                    .mapToDouble(Double::doubleValue)
                    .average()
                    .orElseThrow();
            long about = Math.round(areaM2 / (width * (rules.leastM() + rules.mostM()) / 2));
            if (about > MOST_PLANKS) {
                throw new Refusal(
                        "too-many-planks",
                        "That would be about " + Show.number(about, 0) + " planks; one zone is drawn in at most "
                                + Show.number(MOST_PLANKS, 0) + ".",
                        "Lay wider or longer planks, or make more zones of the floor.");
            }
        }

        /** As far as the floor reaches round each opening. */
        private List<Geometry> frames(List<List<List<Corner>>> parts, Geometry whole) {
            var frames = new ArrayList<Geometry>();
            if (rules.frameM() == 0) {
                return frames;
            }
            var mitred = new BufferParameters(8, BufferParameters.CAP_SQUARE, BufferParameters.JOIN_MITRE, 3);
            for (List<Corner> opening :
                    parts.stream().flatMap(part -> part.stream().skip(1)).toList()) {
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

        /** Rows begin at a joint that runs along the grain: no plank lies over it. */
        private void rows(Geometry field, List<LineString> joints) {
            Envelope box = field.getEnvelopeInternal();
            var rows = new ArrayList<Row>();
            Row before = Row.NONE;
            List<Double> edges = edges(box, joints);
            for (int i = 1; i < edges.size(); i++) {
                double y = edges.get(i - 1);
                double end = edges.get(i);
                while (y < end - ROUNDING) {
                    double top = y + width(rows.size());
                    if (end - top < width(rows.size() + 1) * SLIVER) {
                        top = end;
                    }
                    before = row(strip(field, box, y, top), before, joints, y, top);
                    rows.add(before);
                    if (top < box.getMaxY() - ROUNDING) {
                        betweenM += across(field, box, top);
                    }
                    y = top;
                }
            }
            List<Row> laid = nudged(rows);
            for (int i = 0; i < laid.size(); i++) {
                lay(i, laid);
            }
        }

        private double width(int row) {
            return rules.widthsM().get(row % rules.widthsM().size());
        }

        private static List<Double> edges(Envelope box, List<LineString> joints) {
            var edges = new TreeSet<>(List.of(box.getMinY(), box.getMaxY()));
            for (LineString joint : joints) {
                Envelope j = joint.getEnvelopeInternal();
                double y = (j.getMinY() + j.getMaxY()) / 2;
                boolean along = j.getHeight() < ALONG * joint.getLength();
                if (along && y > box.getMinY() + NARROWEST_M && y < box.getMaxY() - NARROWEST_M) {
                    edges.add(y);
                }
            }
            return List.copyOf(edges);
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

        private Row row(Geometry strip, Row before, List<LineString> joints, double low, double high) {
            var shunned = new ArrayList<Double>();
            var clear = new ArrayList<Double>();
            crossed(joints, low, high, shunned, clear);
            List<Double> away = new ArrayList<>(shunned);
            List<Double> by = new ArrayList<>(clear);
            before.butts().forEach(b -> {
                away.add(b);
                by.add(rules.staggerM());
            });
            var runs = new ArrayList<Run>();
            for (Polygon piece : Shapes2D.polygons(strip)) {
                Envelope box = piece.getEnvelopeInternal();
                List<Double> butts = Butts.of(box.getMinX(), box.getMaxX(), rules, away, by, random);
                runs.add(new Run(piece, box, butts, butts));
            }
            return new Row(low, high, runs, shunned, clear);
        }

        /** The same rows, single butts moved, never past the next or out of their run. */
        private List<Row> nudged(List<Row> rows) {
            var laid = new ArrayList<>(rows);
            for (Nudge n : nudges) {
                boolean there = n.row() < laid.size()
                        && n.run() < laid.get(n.row()).runs().size()
                        && n.index()
                                < laid.get(n.row()).runs().get(n.run()).butts().size();
                if (there) {
                    Row row = laid.get(n.row());
                    Run run = row.runs().get(n.run());
                    var butts = new ArrayList<>(run.butts());
                    double least = n.index() == 0 ? run.box().getMinX() : butts.get(n.index() - 1);
                    double most = n.index() + 1 == butts.size() ? run.box().getMaxX() : butts.get(n.index() + 1);
                    double to = run.drawn().get(n.index()) + n.byM();
                    butts.set(n.index(), Math.max(least + NARROWEST_M, Math.min(most - NARROWEST_M, to)));
                    var runs = new ArrayList<>(row.runs());
                    runs.set(n.run(), new Run(run.piece(), run.box(), run.drawn(), butts));
                    laid.set(n.row(), new Row(row.low(), row.high(), runs, row.shunned(), row.clearM()));
                }
            }
            return laid;
        }

        private void lay(int at, List<Row> rows) {
            Row row = rows.get(at);
            for (int run = 0; run < row.runs().size(); run++) {
                Run r = row.runs().get(run);
                cut(at, run, r.piece(), r.box(), r.butts());
                for (int i = 0; i < r.butts().size(); i++) {
                    double x = r.butts().get(i);
                    ends.add(new Butt(
                            at,
                            run,
                            i,
                            back(x, row.low()),
                            back(x, row.high()),
                            x - r.box().getMinX(),
                            x != r.drawn().get(i),
                            clash(at, r, i, rows)));
                }
            }
        }

        private Corner back(double x, double y) {
            Coordinate c = back.transform(new Coordinate(x, y), new Coordinate());
            return new Corner(c.x, c.y);
        }

        /** What speaks against a butt where it lies now: only one that was moved, or beside one that was, has anything. */
        private String clash(int at, Run run, int i, List<Row> rows) {
            double x = run.butts().get(i);
            double shorter = Math.min(
                    x - (i == 0 ? run.box().getMinX() : run.butts().get(i - 1)),
                    (i + 1 == run.butts().size()
                                    ? run.box().getMaxX()
                                    : run.butts().get(i + 1))
                            - x);
            if (shorter < rules.leastM() - ROUNDING) {
                return "leaves a plank of " + small(shorter) + ", under " + small(rules.leastM());
            }
            for (int beside : List.of(at - 1, at + 1)) {
                if (beside >= 0 && beside < rows.size()) {
                    for (double other : rows.get(beside).butts()) {
                        if (Math.abs(other - x) < rules.staggerM() - ROUNDING) {
                            return small(Math.abs(other - x)) + " from a butt of the row beside, under "
                                    + small(rules.staggerM());
                        }
                    }
                }
            }
            Row row = rows.get(at);
            for (int j = 0; j < row.shunned().size(); j++) {
                if (Math.abs(row.shunned().get(j) - x) < row.clearM().get(j) - ROUNDING) {
                    return "on a joint, or too near to it";
                }
            }
            return "";
        }

        private String small(double metres) {
            return Show.in(Unit.small(system), metres);
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
            return Shapes2D.rings((Polygon) back.transform(lying));
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

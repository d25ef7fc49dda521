package openslab.core.floor.walk;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Require;

/**
 * How a wall leaves the straight line between its ends. Seen along the run, {@code side} is +1 where it swells to the left
 * and -1 to the right. The points it answers for drawing enclose exactly the area it answers in numbers, so that a plan
 * cut into zones still adds up.
 */
public sealed interface Bow {
    /** A straight wall. */
    Bow NONE = new Straight();

    /** Area between chord and curve, m², positive to the left of the run. */
    double areaM2(double chordM);

    /** Length along the curve, m. */
    double lengthM(double chordM);

    /** Offsets from the chord at even steps between its ends, left positive, m; empty for a straight wall. */
    double[] offsetsM(double chordM);

    /** The points between {@code from} and {@code to}, ends left out. */
    default List<Corner> between(Corner from, Corner to) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double chord = Math.hypot(dx, dy);
        if (chord == 0) {
            return List.of();
        }
        double[] offsets = offsetsM(chord);
        double drawn = 0;
        for (double offset : offsets) {
            drawn += offset * chord / (offsets.length + 1);
        }
        // the drawn polyline is scaled sideways until it encloses the true area
        double scale = drawn == 0 ? 1 : areaM2(chord) / drawn;
        List<Corner> points = new ArrayList<>(offsets.length);
        for (int i = 0; i < offsets.length; i++) {
            double along = (i + 1.0) / (offsets.length + 1);
            double off = offsets[i] * scale / chord;
            points.add(new Corner(from.x() + along * dx - off * dy, from.y() + along * dy + off * dx));
        }
        return points;
    }

    /** No bow at all. */
    record Straight() implements Bow {
        @Override
        public double areaM2(double chordM) {
            return 0;
        }

        @Override
        public double lengthM(double chordM) {
            return chordM;
        }

        @Override
        public double[] offsetsM(double chordM) {
            return new double[0];
        }
    }

    /**
     * Part of a circle, by its rise at the middle of the chord.
     *
     * @param riseM above 0; up to half the chord for an arc of at most a half circle, more for a larger one
     */
    record Arc(double riseM, int side) implements Bow {
        private static final double DRAWN_STEP = Math.toRadians(4);

        public Arc {
            Require.positive(riseM, "rise");
            Require.that(side == 1 || side == -1, "side must be 1 or -1, got %s", side);
        }

        /**
         * @param radiusM at least half the chord
         * @param far true for the longer way round the circle
         */
        public static Arc ofRadius(double radiusM, double chordM, int side, boolean far) {
            Require.that(
                    radiusM >= chordM / 2 * (1 - 1e-12),
                    "radius must be at least half the chord %s, got %s",
                    chordM / 2,
                    radiusM);
            double toChord = Math.sqrt(Math.max(0, radiusM * radiusM - chordM * chordM / 4));
            return new Arc(far ? radiusM + toChord : radiusM - toChord, side);
        }

        /** From chord and rise: r = c²/8h + h/2. */
        public double radiusM(double chordM) {
            return chordM * chordM / (8 * riseM) + riseM / 2;
        }

        /** The angle the arc is seen under from its centre, radians. */
        public double angle(double chordM) {
            return 4 * Math.atan2(2 * riseM, chordM);
        }

        @Override
        public double areaM2(double chordM) {
            double r = radiusM(chordM);
            double angle = angle(chordM);
            return side * r * r / 2 * (angle - Math.sin(angle));
        }

        @Override
        public double lengthM(double chordM) {
            return radiusM(chordM) * angle(chordM);
        }

        /** Even steps along the chord serve a flat arc; a deep one is drawn by {@link #between} round its centre. */
        @Override
        public double[] offsetsM(double chordM) {
            int steps = steps(chordM);
            double r = radiusM(chordM);
            double[] offsets = new double[steps - 1];
            for (int i = 1; i < steps; i++) {
                double x = chordM * i / steps - chordM / 2;
                offsets[i - 1] = side * (Math.sqrt(Math.max(0, r * r - x * x)) - (r - riseM));
            }
            return offsets;
        }

        private int steps(double chordM) {
            return Math.max(4, (int) Math.ceil(angle(chordM) / DRAWN_STEP));
        }

        @Override
        public List<Corner> between(Corner from, Corner to) {
            double chord = Math.hypot(to.x() - from.x(), to.y() - from.y());
            if (chord == 0) {
                return List.of();
            }
            double r = radiusM(chord);
            double angle = angle(chord);
            int steps = steps(chord);
            double ux = (to.x() - from.x()) / chord;
            double uy = (to.y() - from.y()) / chord;
            double step = angle / steps;
            // chords of a circle of radius q enclose the area that the arc of radius r does, up to the same ends
            double polygon = steps * Math.sin(step) - Math.sin(angle);
            double swell = polygon == 0 ? 1 : (angle - Math.sin(angle)) / polygon;
            List<Corner> points = new ArrayList<>(steps - 1);
            for (int i = 1; i < steps; i++) {
                double a = angle / 2 - i * step;
                double along = chord / 2 - r * Math.sin(a);
                double off = side * swell * (r * Math.cos(a) - (r - riseM));
                points.add(new Corner(from.x() + along * ux - off * uy, from.y() + along * uy + off * ux));
            }
            return points;
        }
    }

    /**
     * Any curve, by offsets from the base line at even steps between its ends, where the offset is 0. The area is
     * Simpson's: one-third rule over pairs of intervals, three-eighths rule over the last three where their number is
     * odd.
     *
     * @param measuredM left positive; at least one
     */
    record Offsets(List<Double> measuredM) implements Bow {
        private static final int DRAWN_PER_INTERVAL = 8;

        public Offsets {
            measuredM = List.copyOf(measuredM);
            Require.that(!measuredM.isEmpty(), "offsets must be at least one, got %s", measuredM.size());
        }

        private double at(int i) {
            return i == 0 || i > measuredM.size() ? 0 : measuredM.get(i - 1);
        }

        @Override
        public double areaM2(double chordM) {
            int intervals = measuredM.size() + 1;
            double[] ordinates = new double[intervals + 1];
            for (int i = 0; i <= intervals; i++) {
                ordinates[i] = at(i);
            }
            return Simpson.area(ordinates, chordM / intervals);
        }

        @Override
        public double lengthM(double chordM) {
            double[] drawn = offsetsM(chordM);
            double step = chordM / (drawn.length + 1);
            double sum = 0;
            double before = 0;
            for (int i = 0; i <= drawn.length; i++) {
                double now = i == drawn.length ? 0 : drawn[i];
                sum += Math.hypot(step, now - before);
                before = now;
            }
            return sum;
        }

        /** Between the measured points a curve that passes through all of them (Catmull-Rom). */
        @Override
        public double[] offsetsM(double chordM) {
            int intervals = measuredM.size() + 1;
            double[] offsets = new double[intervals * DRAWN_PER_INTERVAL - 1];
            for (int i = 1; i <= offsets.length; i++) {
                int k = i / DRAWN_PER_INTERVAL;
                double t = (double) (i % DRAWN_PER_INTERVAL) / DRAWN_PER_INTERVAL;
                double p0 = k == 0 ? -at(1) : at(k - 1);
                double p1 = at(k);
                double p2 = at(k + 1);
                double p3 = k + 2 > intervals ? -at(k) : at(k + 2);
                offsets[i - 1] = 0.5
                        * (2 * p1
                                + (p2 - p0) * t
                                + (2 * p0 - 5 * p1 + 4 * p2 - p3) * t * t
                                + (3 * p1 - p0 - 3 * p2 + p3) * t * t * t);
            }
            return offsets;
        }
    }
}

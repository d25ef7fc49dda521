package openslab.core.floor.level;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Require;

/**
 * Heights on a square grid, row by row from the origin; NaN where nothing was read.
 *
 * @param origin of the first reading, m
 * @param stepM between readings, both ways
 * @param columns how many readings a row has
 */
public record Heights(Corner origin, double stepM, int columns, double[] heightsM) {
    private static final double FLAT_M = 1e-9;

    public Heights {
        Require.positive(stepM, "step");
        Require.that(columns >= 2, "columns must be at least 2, got %s", columns);
        Require.that(
                heightsM.length >= 4 && heightsM.length % columns == 0,
                "heights must fill at least 2 rows, got %s",
                heightsM.length);
        heightsM = heightsM.clone();
    }

    /** One height read somewhere. */
    public record Reading(Corner at, double heightM) {}

    /**
     * Water that stays: a hollow, or several that meet.
     *
     * @param deepest where
     */
    public record LowSpot(Corner deepest, double depthM, double areaM2, double volumeL) {}

    /**
     * A line of one height.
     *
     * @param xyM the two ends of every piece: x, y, x, y, and so on; not to be changed
     */
    public record Contour(double heightM, double[] xyM) {}

    /** 0 where nothing was read. */
    public double lowest() {
        double low = Double.POSITIVE_INFINITY;
        for (double h : heightsM) {
            low = h < low ? h : low;
        }
        return low == Double.POSITIVE_INFINITY ? 0 : low;
    }

    /** 0 where nothing was read. */
    public double highest() {
        double high = Double.NEGATIVE_INFINITY;
        for (double h : heightsM) {
            high = h > high ? h : high;
        }
        return high == Double.NEGATIVE_INFINITY ? 0 : high;
    }

    public int rows() {
        return heightsM.length / columns;
    }

    public double at(int row, int column) {
        return heightsM[row * columns + column];
    }

    private Corner place(int cell) {
        return new Corner(origin.x() + cell % columns * stepM, origin.y() + cell / columns * stepM);
    }

    /**
     * The hollows, deepest first: what stays behind if water may run off where the readings end, and at {@code outlets}
     * (drains). By priority flood ({@link Flood}).
     */
    public List<LowSpot> lowSpots(List<Corner> outlets) {
        double[] water = flooded(outlets);
        var spots = new ArrayList<LowSpot>();
        boolean[] seen = new boolean[water.length];
        int[] pool = new int[water.length];
        for (int cell = 0; cell < water.length; cell++) {
            if (!seen[cell] && water[cell] - heightsM[cell] > FLAT_M) {
                spots.add(spot(cell, water, seen, pool));
            }
        }
        spots.sort((a, b) -> Double.compare(b.depthM(), a.depthM()));
        return List.copyOf(spots);
    }

    private double[] flooded(List<Corner> outlets) {
        int[] leaves = IntStream.concat(
                        IntStream.range(0, heightsM.length).filter(this::isRim),
                        outlets.stream().mapToInt(this::nearest).filter(cell -> cell >= 0))
                .toArray();
        return Flood.level(heightsM, columns, leaves);
    }

    /** Whether the readings end here; a place without a reading is no rim. */
    private boolean isRim(int cell) {
        if (Double.isNaN(heightsM[cell])) {
            return false;
        }
        int row = cell / columns;
        int column = cell % columns;
        return row == 0
                || column == 0
                || row == rows() - 1
                || column == columns - 1
                || Double.isNaN(heightsM[cell - 1])
                || Double.isNaN(heightsM[cell + 1])
                || Double.isNaN(heightsM[cell - columns])
                || Double.isNaN(heightsM[cell + columns]);
    }

    private int nearest(Corner place) {
        long column = Math.round((place.x() - origin.x()) / stepM);
        long row = Math.round((place.y() - origin.y()) / stepM);
        return column < 0 || column >= columns || row < 0 || row >= rows() ? -1 : (int) (row * columns + column);
    }

    /** @param pool room for the cells that are still to be looked at */
    private LowSpot spot(int from, double[] water, boolean[] seen, int[] pool) {
        int waiting = 0;
        pool[waiting++] = from;
        seen[from] = true;
        int deepest = from;
        int cells = 0;
        double depths = 0;
        while (waiting > 0) {
            int cell = pool[--waiting];
            double depth = water[cell] - heightsM[cell];
            cells++;
            depths += depth;
            if (depth > water[deepest] - heightsM[deepest]) {
                deepest = cell;
            }
            // nothing stands on the rim, so a cell under water has all four neighbours
            for (int next : new int[] {cell - 1, cell + 1, cell - columns, cell + columns}) {
                if (!seen[next] && water[next] - heightsM[next] > FLAT_M) {
                    seen[next] = true;
                    pool[waiting++] = next;
                }
            }
        }
        double each = stepM * stepM;
        return new LowSpot(place(deepest), water[deepest] - heightsM[deepest], cells * each, depths * each * 1000);
    }

    /** How much of a square between four readings counts, 0 to 1: all of it, or what lies in a zone. */
    public interface Part {
        /** Every square whole. */
        Part ALL = (corner, stepM) -> 1;

        /** @param corner the lowest of the square, m; {@code stepM} its side */
        double of(Corner corner, double stepM);
    }

    /** What brings every lower reading up to {@code heightM}, litres. */
    public double fillL(double heightM, Part part) {
        double[] to = new double[heightsM.length];
        Arrays.fill(to, heightM);
        return upToL(to, part);
    }

    /**
     * What brings every reading that lies lower up to {@code toM}, litres. Only a square that was read at all four corners is
     * floor: each corner stands for a quarter of it, so that a reading beside a gap, or on the rim, stands for less.
     */
    private double upToL(double[] toM, Part part) {
        double sum = 0;
        for (int row = 0; row < rows() - 1; row++) {
            for (int column = 0; column < columns - 1; column++) {
                int a = row * columns + column;
                double depths =
                        depth(toM, a) + depth(toM, a + 1) + depth(toM, a + columns) + depth(toM, a + columns + 1);
                // NaN where one of them was not read
                if (depths > 0) {
                    sum += depths / 4 * part.of(place(a), stepM);
                }
            }
        }
        return sum * stepM * stepM * 1000;
    }

    private double depth(double[] toM, int cell) {
        double depth = toM[cell] - heightsM[cell];
        return depth < 0 ? 0 : depth;
    }

    /** A floor that falls to its drains. @param drainM its height there @param fillL what makes it so, litres */
    public record Falling(double drainM, double fillL) {}

    /**
     * The lowest floor that falls at {@code fall} to the nearest of {@code drains} and buries every reading: nothing is
     * ground. Empty without a drain.
     */
    public Optional<Falling> falling(List<Corner> drains, double fall, Part part) {
        if (drains.isEmpty()) {
            return Optional.empty();
        }
        double[] rise = new double[heightsM.length];
        double drain = Double.NEGATIVE_INFINITY;
        for (int cell = 0; cell < heightsM.length; cell++) {
            Corner at = place(cell);
            double nearest = Double.POSITIVE_INFINITY;
            for (Corner d : drains) {
                nearest = Math.min(nearest, Math.hypot(at.x() - d.x(), at.y() - d.y()));
            }
            rise[cell] = fall * nearest;
            drain = heightsM[cell] - rise[cell] > drain ? heightsM[cell] - rise[cell] : drain;
        }
        for (int cell = 0; cell < heightsM.length; cell++) {
            rise[cell] += drain;
        }
        return Optional.of(new Falling(drain, upToL(rise, part)));
    }

    /** Lines of one height, every {@code intervalM}, as short straight pieces (marching squares). */
    public List<Contour> contours(double intervalM) {
        Require.positive(intervalM, "interval");
        long first = (long) Math.ceil(lowest() / intervalM);
        long last = (long) Math.floor(highest() / intervalM);
        var found = new ArrayList<Ends>();
        for (long i = first; i <= last; i++) {
            found.add(new Ends());
        }
        for (int row = 0; row < rows() - 1; row++) {
            for (int column = 0; column < columns - 1; column++) {
                cross(row, column, intervalM, first, found);
            }
        }
        var contours = new ArrayList<Contour>();
        for (long i = first; i <= last; i++) {
            contours.add(new Contour(i * intervalM, found.get((int) (i - first)).all()));
        }
        return List.copyOf(contours);
    }

    /** The ends of a line's pieces as they are found: plain numbers, of which a rough floor has tens of thousands. */
    private static final class Ends {
        private double[] xy = new double[256];
        private int size;

        void add(double x, double y) {
            if (size == xy.length) {
                xy = Arrays.copyOf(xy, 2 * size);
            }
            xy[size++] = x;
            xy[size++] = y;
        }

        double[] all() {
            return Arrays.copyOf(xy, size);
        }
    }

    /** Adds the ends of every line through one square: two, or four where a line crosses it twice. */
    private void cross(int row, int column, double intervalM, long first, List<Ends> ends) {
        double a = at(row, column);
        double b = at(row, column + 1);
        double c = at(row + 1, column + 1);
        double d = at(row + 1, column);
        double low = Math.min(Math.min(a, b), Math.min(c, d));
        double high = Math.max(Math.max(a, b), Math.max(c, d));
        if (Double.isNaN(low)) {
            return;
        }
        long from = Math.max(first, (long) Math.ceil(low / intervalM));
        for (long i = from; i * intervalM <= high && i - first < ends.size(); i++) {
            Ends found = ends.get((int) (i - first));
            double level = i * intervalM;
            side(a, b, level, column, row, 1, 0, found);
            side(b, c, level, column + 1, row, 0, 1, found);
            side(d, c, level, column, row + 1, 1, 0, found);
            side(a, d, level, column, row, 0, 1, found);
        }
    }

    /** Where a line of {@code level} crosses the side from one reading to the next. */
    private void side(double from, double to, double level, int column, int row, int right, int up, Ends found) {
        if (from < level != to < level) {
            double t = (level - from) / (to - from);
            found.add(origin.x() + (column + t * right) * stepM, origin.y() + (row + t * up) * stepM);
        }
    }

    /** Rows and columns, for F-numbers; gaps part a line in two. */
    public List<double[]> lines() {
        var lines = new ArrayList<double[]>();
        for (int row = 0; row < rows(); row++) {
            collect(row * columns, 1, columns, lines);
        }
        for (int column = 0; column < columns; column++) {
            collect(column, columns, rows(), lines);
        }
        return lines;
    }

    private void collect(int from, int stride, int count, List<double[]> lines) {
        int start = 0;
        for (int i = 0; i <= count; i++) {
            if (i == count || Double.isNaN(heightsM[from + i * stride])) {
                if (i - start >= 3) {
                    double[] line = new double[i - start];
                    for (int k = start; k < i; k++) {
                        line[k - start] = heightsM[from + k * stride];
                    }
                    lines.add(line);
                }
                start = i + 1;
            }
        }
    }
}

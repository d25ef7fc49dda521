package openslab.core.survey.map;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A field of values cut into bands: closed lines round everything that is at least so much, by marching squares, straight between
 * the middles of cells (Lorensen and Cline 1987 in the plane, from memory). A square that a line crosses twice is joined or parted by the
 * mean of its corners. Beyond the outermost middles the field goes on as it was there, to half a cell past the edge.
 */
final class Bands {
    /** As fine as a place is sent, per metre. */
    private static final double ROUNDED = 100;

    private final double x;
    private final double y;
    private final double step;
    private final int columns;
    private final int rows;
    private final double[] values;

    /** @param values at the middles of cells, row by row from the lower left one */
    Bands(double x, double y, double step, int columns, double[] values) {
        this.x = x;
        this.y = y;
        this.step = step;
        this.columns = columns;
        this.rows = values.length / columns;
        this.values = values;
    }

    static Bands of(SurveyMap.Grid grid, double[] values) {
        return new Bands(grid.x(), grid.y(), grid.stepM(), grid.columns(), values);
    }

    /** Two rims more: one on which the field goes on, and one where there is nothing. */
    private boolean beyond(int column, int row) {
        return column < -1 || row < -1 || column > columns || row > rows;
    }

    private double at(int column, int row) {
        return values[clamp(row, rows) * columns + clamp(column, columns)];
    }

    private static int clamp(int i, int count) {
        return Math.max(0, Math.min(count - 1, i));
    }

    private boolean in(int column, int row, double least) {
        return !beyond(column, row) && at(column, row) >= least;
    }

    /**
     * Round everything that is at least {@code least}: outer lines and those of holes alike, to be filled even-odd. Each is x, y, x, y
     * and so on, metres, closed by itself.
     */
    List<double[]> atLeast(double least) {
        // each side of a square that a line crosses leads to the next side that it crosses
        Map<Long, Long> next = new LinkedHashMap<>();
        for (int row = -2; row <= rows; row++) {
            for (int column = -2; column <= columns; column++) {
                square(column, row, least, next);
            }
        }
        var rings = new ArrayList<double[]>();
        while (!next.isEmpty()) {
            long first = next.keySet().iterator().next();
            var sides = new ArrayList<Long>();
            for (Long side = first; side != null; side = next.remove(side)) {
                sides.add(side);
            }
            rings.add(ring(sides.subList(0, sides.size() - 1), least));
        }
        return rings;
    }

    private double[] ring(List<Long> sides, double least) {
        double[] xy = new double[2 * sides.size()];
        for (int i = 0; i < sides.size(); i++) {
            crossing(sides.get(i), least, xy, 2 * i);
        }
        return xy;
    }

    /** Sides are numbered: those to the right of a middle even, those above it odd. */
    private long side(int column, int row, boolean up) {
        return 2 * ((row + 2L) * (columns + 4L) + column + 2) + (up ? 1 : 0);
    }

    private void crossing(long side, double least, double[] xy, int i) {
        boolean up = side % 2 == 1;
        int column = (int) (side / 2 % (columns + 4)) - 2;
        int row = (int) (side / 2 / (columns + 4)) - 2;
        int toColumn = up ? column : column + 1;
        int toRow = up ? row + 1 : row;
        double t = 0.5;
        if (!beyond(column, row) && !beyond(toColumn, toRow)) {
            double from = at(column, row);
            t = (least - from) / (at(toColumn, toRow) - from);
        }
        xy[i] = rounded(x + (column + 0.5 + (up ? 0 : t)) * step);
        xy[i + 1] = rounded(y + (row + 0.5 + (up ? t : 0)) * step);
    }

    private static double rounded(double metres) {
        return Math.round(metres * ROUNDED) / ROUNDED;
    }

    /** Joins the sides of the square to the right of and above a middle, what is at least so much on the left of the way. */
    private void square(int column, int row, double least, Map<Long, Long> next) {
        boolean a = in(column, row, least);
        boolean b = in(column + 1, row, least);
        boolean c = in(column + 1, row + 1, least);
        boolean d = in(column, row + 1, least);
        if (a == b && b == c && c == d) {
            return;
        }
        long bottom = side(column, row, false);
        long right = side(column + 1, row, true);
        long top = side(column, row + 1, false);
        long left = side(column, row, true);
        if (a == c && b == d) {
            boolean middle =
                    (at(column, row) + at(column + 1, row) + at(column + 1, row + 1) + at(column, row + 1)) / 4 >= least
                            && !beyond(column, row)
                            && !beyond(column + 1, row + 1);
            if (a) {
                next.put(bottom, middle ? right : left);
                next.put(top, middle ? left : right);
            } else {
                next.put(right, middle ? top : bottom);
                next.put(left, middle ? bottom : top);
            }
            return;
        }
        // in goes over to out where the way comes in, and out to in where it leaves
        long from = a && !b ? bottom : b && !c ? right : c && !d ? top : left;
        long to = !a && b ? bottom : !b && c ? right : !c && d ? top : left;
        next.put(from, to);
    }
}

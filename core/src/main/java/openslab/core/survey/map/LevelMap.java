package openslab.core.survey.map;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * Heights read on a grid, spread over a zone: straight between the four readings round a place, and nobody knows beyond them.
 */
public final class LevelMap {
    public static final String METHOD = "levels";

    /** A laser and a staff repeat to about a millimetre (OURS). */
    private static final double SCATTER_M = 0.001;

    private LevelMap() {}

    public static SurveyMap of(Heights heights, List<List<Corner>> zone, UnitSystem system) {
        Unit unit = Unit.small(system);
        double low = heights.lowest();
        double missed = missed(heights);
        double sigma = unit.fromBase(Math.hypot(missed, SCATTER_M));
        Cells cells = Cells.over(zone, Cells.FINE, at -> {
            Optional<Double> height = at(heights, at);
            return new Cells.Value(
                    unit.fromBase(height.orElse(low) - low),
                    height.isPresent() ? sigma : 0,
                    height.isPresent() ? 1 : -1);
        });
        SurveyMap.Grid grid = cells.grid();
        double[] known = IntStream.range(0, grid.values().length)
                .filter(i -> grid.supported()[i])
                .mapToDouble(i -> grid.values()[i])
                .toArray();
        double scatter = unit.fromBase(SCATTER_M);
        return new SurveyMap(
                METHOD,
                "Level",
                unit.symbol(),
                "",
                List.of(),
                scatter,
                Optional.of(grid),
                known.length == 0 ? List.of() : SurveyMap.bands(cells, known, scatter),
                SurveyMap.beyond(cells),
                known.length == 0 ? 0 : SurveyMap.digits(known, scatter),
                Optional.empty(),
                new double[0],
                Show.in(system, Dimension.LENGTH, heights.stepM()),
                Show.in(unit, missed, 1),
                cells.guessed(),
                0);
    }

    /** Between the four readings round a place; empty where one of them was not read. */
    private static Optional<Double> at(Heights h, Corner at) {
        double x = (at.x() - h.origin().x()) / h.stepM();
        double y = (at.y() - h.origin().y()) / h.stepM();
        int column = (int) Math.floor(x);
        int row = (int) Math.floor(y);
        if (column < 0 || row < 0 || column >= h.columns() - 1 || row >= h.rows() - 1) {
            return Optional.empty();
        }
        double right = x - column;
        double up = y - row;
        double height = (1 - up) * ((1 - right) * h.at(row, column) + right * h.at(row, column + 1))
                + up * ((1 - right) * h.at(row + 1, column) + right * h.at(row + 1, column + 1));
        return Double.isNaN(height) ? Optional.empty() : Optional.of(height);
    }

    /** By how much a reading is off the mean of its four neighbours, root mean square, m; 0 where none has four. */
    private static double missed(Heights h) {
        double squares = 0;
        int count = 0;
        for (int row = 1; row < h.rows() - 1; row++) {
            for (int column = 1; column < h.columns() - 1; column++) {
                double others =
                        (h.at(row - 1, column) + h.at(row + 1, column) + h.at(row, column - 1) + h.at(row, column + 1))
                                / 4;
                double off = h.at(row, column) - others;
                if (!Double.isNaN(off)) {
                    squares += off * off;
                    count++;
                }
            }
        }
        return count == 0 ? 0 : Math.sqrt(squares / count);
    }
}

package openslab.core.survey.map;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.survey.Mapped;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestMethod;
import openslab.core.survey.judge.Calibration;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.TestMethods;
import openslab.core.survey.place.Placement;

/**
 * One method's readings spread over a zone.
 *
 * @param refusal why there is no map; empty where there is one
 * @param points what was read where, newest at each place; none where there are too many to name
 * @param scatter by how much the method misses itself at one place: smaller differences mean nothing
 * @param bands what is drawn, lowest first: each lies on those before it
 * @param beyond lines round what is out of reach of every reading, to be filled even-odd: x, y, x, y and so on, metres
 * @param digits behind the point that are worth showing
 * @param limitLine where the map crosses the limit: x, y of both ends of every piece, metres
 * @param missed what the others say of a reading's place is off by this much, in words; empty without a map
 * @param guessed share of the floor that is out of reach of every reading, percent
 * @param over share of the floor within reach that is over the limit, percent
 */
public record SurveyMap(
        String method,
        String title,
        String unit,
        String refusal,
        List<MapPoint> points,
        double scatter,
        Optional<Grid> grid,
        List<MapBand> bands,
        List<double[]> beyond,
        int digits,
        Optional<Double> limit,
        double[] limitLine,
        String reach,
        String missed,
        double guessed,
        double over) {

    /**
     * Values at the middles of square cells, row by row from the lower left one.
     *
     * @param x of the lower left corner, metres; {@code y} likewise
     * @param stepM side of a cell
     * @param values rounded to what a reading is good for
     * @param sigmas how far off a value may well be, the method's own scatter included
     * @param supported whether any reading is near enough to say so
     */
    public record Grid(
            double x, double y, double stepM, int columns, double[] values, double[] sigmas, boolean[] supported) {}

    /**
     * Everything from {@code from} up; the next band begins at {@code to}.
     *
     * @param rings lines round it, to be filled even-odd: x, y, x, y and so on, metres
     */
    public record MapBand(double from, double to, List<double[]> rings) {}

    /** Tints that an eye tells apart on a small drawing (OURS). */
    private static final int BANDS = 6;
    /** Bands narrower than the method's own scatter would show differences that are none: so many times that, all together. */
    private static final double LEAST_SPAN = 4;

    private static final double SMALLEST_SPAN = 1e-6;

    /** Squares of a map, however many readings there are (OURS). */
    private static final int COARSE = 400;
    /** Squares times pairs of readings: more than this is felt as waiting (OURS, by the bench). */
    private static final int PAIRS = 50_000_000;
    /** Readings nearer than this are at one place, and the newest of them counts (OURS). */
    private static final double SAME_PLACE_M = 0.05;

    /** A map of every method that can be drawn and of which there is a reading. */
    public static List<SurveyMap> of(Survey survey, Site site, List<List<Corner>> zone, List<Placement.Marked> places) {
        return TestMethods.ALL.stream()
                .filter(m ->
                        m.mapped().isPresent() && !survey.found().all(m.id()).isEmpty())
                .map(m -> of(m, survey, site, zone, places))
                .toList();
    }

    private static SurveyMap of(
            TestMethod method, Survey survey, Site site, List<List<Corner>> zone, List<Placement.Marked> places) {
        Mapped mapped = method.mapped().orElseThrow();
        Map<String, Corner> marked = places.stream()
                .collect(Collectors.toMap(
                        Placement.Marked::name, Placement.Marked::at, (a, b) -> b, LinkedHashMap::new));
        var points = new ArrayList<MapPoint>();
        var lost = new ArrayList<String>();
        for (Reading r : survey.found().current(method.id())) {
            if (!method.valid(r, site) || Calibration.lapsed(r)) {
                continue;
            }
            Corner at = marked.get(r.place());
            if (at == null) {
                lost.add(r.place());
            } else if (points.stream()
                    .noneMatch(s -> Math.hypot(s.at().x() - at.x(), s.at().y() - at.y()) < SAME_PLACE_M)) {
                points.add(new MapPoint(r.place(), at, mapped.value().applyAsDouble(r)));
            }
        }
        Optional<Double> limit = mapped.limit().apply(site);
        if (points.size() < Kriging.LEAST) {
            String where = lost.isEmpty() ? "" : " Nobody marked where " + String.join(", ", lost) + " is.";
            String refusal = "A map begins with three readings that count, at marked places; there "
                    + (points.size() == 1 ? "is 1." : "are " + points.size() + ".") + where;
            return new SurveyMap(
                    method.id(),
                    mapped.label(),
                    mapped.unit().symbol(),
                    refusal,
                    points,
                    mapped.repeats(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    digits(points.stream().mapToDouble(MapPoint::value).toArray(), mapped.repeats()),
                    limit,
                    new double[0],
                    "",
                    "",
                    100,
                    0);
        }
        return drawn(method, mapped, points, limit, site, zone);
    }

    private static SurveyMap drawn(
            TestMethod method,
            Mapped mapped,
            List<MapPoint> points,
            Optional<Double> limit,
            Site site,
            List<List<Corner>> zone) {
        Kriging kriging = Kriging.of(points);
        // each square is asked of every pair of readings: of very many the map is drawn in coarser squares
        int count = Math.max(COARSE, Math.min(Cells.FINE, PAIRS / (points.size() * points.size())));
        Cells cells = Cells.over(zone, count, at -> {
            Kriging.Guess guess = kriging.at(at);
            return new Cells.Value(guess.value(), Math.hypot(guess.sigma(), mapped.repeats()), kriging.withinM(at));
        });
        double[] read = points.stream().mapToDouble(MapPoint::value).toArray();
        return new SurveyMap(
                method.id(),
                mapped.label(),
                mapped.unit().symbol(),
                "",
                points,
                mapped.repeats(),
                Optional.of(cells.grid()),
                bands(cells, read, mapped.repeats()),
                beyond(cells),
                digits(read, mapped.repeats()),
                limit,
                limit.filter(l -> l > 0).map(l -> limitLine(cells, l)).orElse(new double[0]),
                Show.in(site.units(), Dimension.LENGTH, kriging.reachM()),
                Show.in(mapped.unit(), kriging.leaveOneOut()),
                cells.guessed(),
                limit.map(cells::over).orElse(0.0));
    }

    private static double span(double[] read, double scatter) {
        DoubleSummaryStatistics of = Arrays.stream(read).summaryStatistics();
        return Math.max(Math.max(of.getMax() - of.getMin(), LEAST_SPAN * scatter), SMALLEST_SPAN);
    }

    /** As many as tell one band from the next. */
    static int digits(double[] read, double scatter) {
        double step = span(read, scatter) / BANDS;
        return step >= 1 ? 0 : step >= 0.1 ? 1 : 2;
    }

    /** Of equal width, from the lowest reading to the highest. @param read what was read, or each height that is known */
    static List<MapBand> bands(Cells cells, double[] read, double scatter) {
        DoubleSummaryStatistics of = Arrays.stream(read).summaryStatistics();
        double span = span(read, scatter);
        double low = (of.getMin() + of.getMax() - span) / 2;
        Bands field = Bands.of(cells.grid(), cells.exact());
        return IntStream.range(0, BANDS)
                .mapToObj(i -> new MapBand(
                        low + i * span / BANDS,
                        low + (i + 1) * span / BANDS,
                        field.atLeast(i == 0 ? Double.NEGATIVE_INFINITY : low + i * span / BANDS)))
                .toList();
    }

    static List<double[]> beyond(Cells cells) {
        double[] beyond = cells.within().clone();
        for (int i = 0; i < beyond.length; i++) {
            beyond[i] = -beyond[i];
        }
        return Bands.of(cells.grid(), beyond).atLeast(0);
    }

    /** Lines of every multiple of the limit are found, and the first is the limit's own. */
    private static double[] limitLine(Cells cells, double limit) {
        Grid grid = cells.grid();
        var origin = new Corner(grid.x() + grid.stepM() / 2, grid.y() + grid.stepM() / 2);
        return new Heights(origin, grid.stepM(), grid.columns(), cells.exact())
                .contours(limit).stream()
                        .filter(c -> Math.abs(c.heightM() - limit) < 1e-9 * limit)
                        .findFirst()
                        .map(Heights.Contour::xyM)
                        .orElse(new double[0]);
    }
}

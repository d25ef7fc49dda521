package openslab.core.survey.map;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.Stories;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Substrate;
import openslab.core.job.ZoneFacts;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Site;
import openslab.core.survey.instrument.Instrument;
import org.testng.annotations.Test;

/** Readings spread over the story's floor of 10 by 8 m. */
public class SurveyMapTest {
    private static final String PROBE = "rh=%s %% depth=40 mm thickness=100 mm drying=one wait=30 h";

    private static Stories probes(double... xyAndRh) {
        var story = new Stories();
        for (int i = 0; i < xyAndRh.length; i += 3) {
            String name = "P" + i / 3;
            story.place(0, name, xyAndRh[i], xyAndRh[i + 1])
                    .reading(1, "in-slab-rh", name, PROBE.formatted(xyAndRh[i + 2]));
        }
        return story;
    }

    private static SurveyMap map(Stories story, String method) {
        ZoneFacts zone = story.facts();
        var site = new Site(Stories.LIMITS, Substrate.BARE_CONCRETE, 80, UnitSystem.METRIC, Stories.moment(40));
        List<SurveyMap> maps = SurveyMap.of(zone.survey(), site, zone.shape().rings(), zone.places());
        return maps.stream().filter(m -> m.method().equals(method)).findFirst().orElseThrow();
    }

    private static double[] at(SurveyMap map, double x, double y) {
        SurveyMap.Grid g = map.grid().orElseThrow();
        int cell = (int) ((y - g.y()) / g.stepM()) * g.columns() + (int) ((x - g.x()) / g.stepM());
        return new double[] {g.values()[cell], g.sigmas()[cell], g.supported()[cell] ? 1 : 0};
    }

    @Test
    public void a_map_says_at_its_readings_what_was_read_and_is_as_sure_as_a_probe() {
        Stories story = probes(2, 2, 70, 8, 2, 74, 2, 6, 78, 8, 6, 82);
        SurveyMap map = map(story, "in-slab-rh");
        assertEquals(map.refusal(), "");
        assertEquals(map.points().size(), 4);
        assertEquals(map.limit(), Optional.of(75.0));
        for (MapPoint p : map.points()) {
            double[] there = at(map, p.at().x(), p.at().y());
            assertEquals(there[0], p.value(), 0.8);
            assertTrue(there[1] >= 2 && there[1] < 3, "a probe repeats to 2 %: " + there[1]);
            assertEquals(there[2], 1.0);
        }
        // wetter away from the first wall: the middle lies between, and about half of what is known is over
        double middle = at(map, 5, 4)[0];
        assertTrue(middle > 72 && middle < 80, "middle " + middle);
        assertTrue(map.over() > 25 && map.over() < 75, "over " + map.over());
    }

    /** Every end of the line lies where the map says 75. */
    @Test
    public void the_limit_is_drawn_where_the_map_crosses_it() {
        SurveyMap map = map(probes(2, 2, 70, 8, 2, 71, 2, 6, 79, 8, 6, 80), "in-slab-rh");
        double[] line = map.limitLine();
        assertTrue(line.length >= 40 && line.length % 4 == 0, "ends " + line.length);
        for (int i = 0; i < line.length; i += 2) {
            if (line[i] > 0.3 && line[i] < 9.7 && line[i + 1] > 0.3 && line[i + 1] < 7.7) {
                assertEquals(at(map, line[i], line[i + 1])[0], 75, 0.7);
            }
        }
        SurveyMap dry = map(probes(2, 2, 60, 8, 2, 61, 2, 6, 62, 8, 6, 63), "in-slab-rh");
        assertEquals(dry.limitLine().length, 0);
        assertEquals(dry.over(), 0.0);
    }

    /** Six of equal width, none narrower than what a probe's own scatter makes of nothing; each lies within the one before. */
    @Test
    public void a_map_is_drawn_in_bands_from_the_lowest_reading_to_the_highest() {
        SurveyMap map = map(probes(2, 2, 60, 8, 2, 72, 2, 6, 78, 8, 6, 84), "in-slab-rh");
        List<SurveyMap.MapBand> bands = map.bands();
        assertEquals(bands.size(), 6);
        assertEquals(bands.get(0).from(), 60, 1e-9);
        assertEquals(bands.get(5).to(), 84, 1e-9);
        assertEquals(map.digits(), 0);
        for (SurveyMap.MapBand band : bands) {
            assertEquals(band.to() - band.from(), 4, 1e-9);
        }
        for (double[] ring : bands.get(3).rings()) {
            for (int i = 0; i < ring.length; i += 2) {
                if (ring[i] > 0.3 && ring[i] < 9.7 && ring[i + 1] > 0.3 && ring[i + 1] < 7.7) {
                    assertEquals(at(map, ring[i], ring[i + 1])[0], 72, 0.7);
                }
            }
        }
        SurveyMap even = map(probes(2, 2, 70, 8, 2, 70.1, 2, 6, 70.2, 8, 6, 70.1), "in-slab-rh");
        assertEquals(even.bands().get(5).to() - even.bands().get(0).from(), 4 * even.scatter(), 1e-9);
    }

    @Test
    public void two_readings_are_no_map_and_neither_are_three_that_nobody_placed() {
        SurveyMap two = map(probes(2, 2, 70, 8, 2, 74), "in-slab-rh");
        assertTrue(two.grid().isEmpty());
        assertTrue(two.refusal().contains("there are 2"), two.refusal());
        assertEquals(two.guessed(), 100.0);
        var story = probes(2, 2, 70, 8, 2, 74).reading(1, "in-slab-rh", "Door", PROBE.formatted("80"));
        assertTrue(map(story, "in-slab-rh").refusal().contains("Nobody marked where Door is"));
        SurveyMap one = map(probes(2, 2, 70), "in-slab-rh");
        assertTrue(one.refusal().contains("there is 1."), one.refusal());
    }

    /** Too shallow, too early, or read without a certificate: what does not count is no part of a map. */
    @Test
    public void only_what_counts_is_mapped() {
        LocalDate day = Stories.START.atOffset(ZoneOffset.UTC).toLocalDate();
        var lapsed = new Instrument("Probe 1", day.minusDays(400), day.minusDays(35));
        Stories story = probes(2, 2, 70, 8, 2, 74, 2, 6, 78)
                .place(0, "shallow", 5, 4)
                .reading(1, "in-slab-rh", "shallow", "rh=99 % depth=10 mm thickness=100 mm drying=one wait=30 h")
                .place(0, "early", 6, 4)
                .reading(1, "in-slab-rh", "early", "rh=99 % depth=40 mm thickness=100 mm drying=one wait=3 h")
                .place(0, "lapsed", 7, 4)
                .reading(1, "in-slab-rh", "lapsed", PROBE.formatted("99"))
                .with(lapsed);
        List<String> names =
                map(story, "in-slab-rh").points().stream().map(MapPoint::name).toList();
        assertEquals(names, List.of("P0", "P1", "P2"));
    }

    @Test
    public void the_newest_reading_of_a_place_is_mapped_and_places_that_coincide_count_once() {
        Stories story = probes(2, 2, 70, 8, 2, 74, 2, 6, 78)
                .reading(3, "in-slab-rh", "P0", PROBE.formatted("66"))
                .place(0, "twin", 2.01, 2)
                .reading(1, "in-slab-rh", "twin", PROBE.formatted("90"));
        SurveyMap map = map(story, "in-slab-rh");
        assertEquals(map.points().size(), 3);
        assertEquals(map.points().get(0).value(), 66.0);
    }

    /** A plane of meter readings 5 m apart over a long hall reaches no further than they do. */
    @Test
    public void beyond_its_readings_a_map_says_that_nobody_knows() {
        SurveyMap map = map(probes(1, 1, 70, 2, 1, 71, 1, 2, 72, 2, 2, 73), "in-slab-rh");
        assertEquals(at(map, 1.5, 1.5)[2], 1.0);
        assertEquals(at(map, 9, 7)[2], 0.0);
        assertTrue(map.guessed() > 70, "guessed " + map.guessed());
        double near = at(map, 1.5, 1.5)[1];
        assertTrue(at(map, 9, 7)[1] > near);
    }

    @Test
    public void dishes_meter_and_ph_have_maps_of_their_own_and_sheets_have_none() {
        Stories story = new Stories();
        double[][] at = {{2, 2}, {8, 2}, {2, 6}};
        for (int i = 0; i < 3; i++) {
            String name = "P" + i;
            story.place(0, name, at[i][0], at[i][1])
                    .reading(1, "calcium-chloride", name, "dishArea=0.445 ft² gain=1." + i + " g hours=64 h")
                    .reading(1, "moisture-meter", name, "shown=" + (40 + i))
                    .reading(1, "ph", name, "ph=" + (8 + i))
                    .reading(1, "plastic-sheet", name, "hours=20 h under=dry");
        }
        ZoneFacts zone = story.facts();
        var site = new Site(Stories.LIMITS, Substrate.BARE_CONCRETE, 80, UnitSystem.METRIC, Stories.moment(40));
        List<SurveyMap> maps = SurveyMap.of(zone.survey(), site, zone.shape().rings(), zone.places());
        assertEquals(
                maps.stream().map(SurveyMap::method).toList(), List.of("moisture-meter", "calcium-chloride", "ph"));
        assertTrue(maps.get(0).limit().isEmpty(), "a meter knows no limit");
        assertEquals(maps.get(1).limit(), Optional.of(3.0));
        assertEquals(maps.get(2).unit(), "");
    }

    /** Of very many readings the squares grow coarser, and the map is still one. */
    @Test
    public void hundreds_of_readings_are_mapped_in_coarser_squares() {
        var xyAndRh = new ArrayList<Double>();
        for (int i = 0; i < 260; i++) {
            xyAndRh.addAll(List.of(0.3 + i % 20 * 0.49, 0.3 + i / 20 * 0.6, 70 + i % 7 * 0.5));
        }
        SurveyMap map = map(probes(xyAndRh.stream().mapToDouble(d -> d).toArray()), "in-slab-rh");
        SurveyMap.Grid grid = map.grid().orElseThrow();
        assertTrue(grid.values().length < 1200 && grid.values().length >= 300, "cells " + grid.values().length);
        assertEquals(map.points().size(), 260);
        assertFalse(map.guessed() > 40, "guessed " + map.guessed());
    }

    @Test
    public void the_cells_cover_a_floor_that_is_not_square() {
        var ell = List.of(
                new Corner(0, 0),
                new Corner(10, 0),
                new Corner(10, 3),
                new Corner(4, 3),
                new Corner(4, 8),
                new Corner(0, 8));
        Cells cells = Cells.over(List.of(ell), Cells.FINE, at -> new Cells.Value(at.x(), 0, at.x() < 5 ? 1 : -1));
        // 50 of 80 m²; of them 5 by 3 and no more lie beyond x = 5
        long inside = 0;
        for (boolean in : cells.inside()) {
            inside += in ? 1 : 0;
        }
        assertEquals(inside * cells.grid().stepM() * cells.grid().stepM(), 50, 0.6);
        assertEquals(cells.guessed(), 100 * 15.0 / 50, 1);
        assertEquals(cells.over(2), 100 * (35 - 2 * 8.0) / 35, 2);
    }
}

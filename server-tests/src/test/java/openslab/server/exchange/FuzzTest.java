package openslab.server.exchange;

import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** Ten thousand damaged files of each format: read or refused, never a crash, never half, never a second. */
public class FuzzTest {
    private static final int FILES = 10_000;
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final List<String> WORDS = List.of(
            "NaN",
            "1e308",
            "-1e308",
            "1e-308",
            "0",
            "-1",
            "999999999999",
            "",
            "\"",
            "[",
            "{",
            ",",
            "\n",
            "\r\n",
            "SECTION",
            "ENDSEC",
            "EOF",
            "LINE",
            "ARC",
            "POLYLINE",
            "VERTEX",
            "SEQEND",
            "null",
            "Infinity",
            "\u0000",
            "\u202e",
            "'");

    private static String damaged(String text, Random random) {
        var out = new StringBuilder(text);
        for (int i = 1 + random.nextInt(3); i > 0 && !out.isEmpty(); i--) {
            int at = random.nextInt(out.length());
            int to = Math.min(out.length(), at + 1 + random.nextInt(30));
            switch (random.nextInt(6)) {
                case 0 -> out.delete(at, to);
                case 1 -> out.insert(at, WORDS.get(random.nextInt(WORDS.size())));
                case 2 -> out.setCharAt(at, (char) random.nextInt(256));
                case 3 -> out.insert(at, out.substring(at, to));
                case 4 -> out.replace(at, to, WORDS.get(random.nextInt(WORDS.size())));
                default -> {
                    if (random.nextInt(8) == 0) {
                        out.setLength(at);
                    } else {
                        out.setCharAt(at, (char) ('0' + random.nextInt(10)));
                    }
                }
            }
        }
        return out.toString();
    }

    @DataProvider
    Object[][] formats() {
        PlanReport plan = PlanReport.of(new FloorPlan(rooms("garage-r12-inches.dxf", "in"), 0), UnitSystem.METRIC);
        var heights = new Heights(
                new Corner(0, 0), 0.5, 4, new Random(1).doubles(16, -0.01, 0.01).toArray());
        Consumer<String> drawing = FuzzTest::readAndReckon;
        Consumer<String> levels = text -> LevelsCsv.read(text, UnitSystem.METRIC);
        return new Object[][] {
            {
                "DXF",
                List.of(
                        DrawingsTest.file("garage-r12-inches.dxf"),
                        DrawingsTest.file("porch-2000-mm.dxf"),
                        DrawingsTest.file("porch-arc-feet.dxf"),
                        DrawingsTest.file("from-below-metres.dxf")),
                drawing
            },
            {"GeoJSON", List.of(JSON.writeValueAsString(PlanGeoJson.of(plan))), drawing},
            {"CSV", List.of(LevelsCsv.write(heights), "1,2,3\n4,5,6\n\"7\",8,9\n"), levels},
        };
    }

    private static List<Room> rooms(String file, String unit) {
        return DrawingsTest.traced(Drawings.read(DrawingsTest.file(file), JSON), unit)
                .rooms();
    }

    /** All that happens to a drawing before it is stored. */
    private static void readAndReckon(String text) {
        ReadDrawing read = Drawings.read(text, JSON);
        DrawingsTest.traced(read, read.unit().map(u -> u.symbol()).orElse("ft"))
                .rooms()
                .forEach(room -> RoomPlan.of(room, UnitSystem.US));
    }

    @Test(dataProvider = "formats")
    public void a_damaged_file_is_read_or_refused(String format, List<String> files, Consumer<String> read) {
        var random = new Random(42);
        int taken = 0;
        long slowestNs = 0;
        for (int i = 0; i < FILES; i++) {
            String text = damaged(files.get(i % files.size()), random);
            long from = System.nanoTime();
            taken += accepted(format, i, text, read) ? 1 : 0;
            slowestNs = Math.max(slowestNs, System.nanoTime() - from);
        }
        System.out.println(format + ": " + taken + " of " + FILES
                + " damaged files could be read, the rest were refused; the slowest took " + slowestNs / 1_000_000
                + " ms");
        assertTrue(taken > FILES / 50 && taken < FILES, taken + " of " + FILES + " read: the damage proves nothing");
    }

    private static boolean accepted(String format, int i, String text, Consumer<String> read) {
        try {
            read.accept(text);
            return true;
        } catch (InvalidInput | Refusal e) {
            return false;
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
            throw new AssertionError(format + " file " + i + ":\n" + text, e);
        }
    }
}

package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import openslab.server.App.Floor;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFCell;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.testng.SkipException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * A take-off in a spreadsheet, worked out again by an engine that is not ours: gnumeric's ssconvert, of Debian's package gnumeric, which
 * {@code ./slab check} installs where it may. Where it is not there these tests are passed over.
 */
public class TakeOffFilesTest {
    private static final Path ENGINE = Path.of("/usr/bin/ssconvert");
    private static final int TO_BUY = 4;
    private static final int COST = 7;

    private App app;
    private Floor floor;

    @BeforeClass
    void start() {
        if (!Files.isExecutable(ENGINE)) {
            throw new SkipException("gnumeric is not installed");
        }
        app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
        floor = laid("Sail loft", "epoxy-flake");
        Floor other = laid("Chandlery", "plank-overlay");
        app.put(floor.path() + "/together", 0, Map.of("jobs", List.of(other.job())));
        String primer = takeOff().at("/materials/0/slug").asString();
        app.post(
                "/api/store-room",
                Map.of("slug", primer, "amount", "1 qt", "lot", "M3", "from", "Boat shed", "units", "US", "by", "Ana"));
        var price = Map.of("pack", "each", "supplier", "Quayside Paints", "price", "4.50");
        app.put("/api/prices/masking-tape", 0, Map.of("prices", List.of(price)));
        // something was used already: what is left is bought
        var batch = App.allTheSame("BATCH", "primer", Map.of("volume", "0.5 gal", "area", "110 ft²"));
        assertEquals(app.post(floor.log(), batch).status(), 201);
    }

    @AfterClass(alwaysRun = true)
    void stop() {
        if (app != null) {
            app.close();
        }
    }

    private Floor laid(String name, String system) {
        Floor made = app.floor(name);
        assertEquals(
                app.put(made.zonePath() + "/layers", 2, Map.of("system", system))
                        .status(),
                200);
        return made;
    }

    private JsonNode takeOff() {
        return app.get(floor.path() + "/take-off").body().at("/takeOff/bill");
    }

    private byte[] xlsx() {
        HttpResponse<byte[]> answer = app.fetch(floor.path() + "/take-off.xlsx");
        assertEquals(answer.statusCode(), 200);
        return answer.body();
    }

    /** Every sheet as the other engine works it out: rows of cells. */
    private static Map<String, List<CSVRecord>> recomputed(byte[] xlsx, List<String> sheets)
            throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("openslab-sheet");
        Path in = Files.write(folder.resolve("take-off.xlsx"), xlsx);
        Process engine = new ProcessBuilder(
                        ENGINE.toString(),
                        "--recalc",
                        "-S",
                        in.toString(),
                        folder.resolve("sheet-%n.csv").toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(engine.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(engine.waitFor(), 0, said);
        Map<String, List<CSVRecord>> all = new TreeMap<>();
        for (int i = 0; i < sheets.size(); i++) {
            try (var parser = CSVFormat.RFC4180.parse(Files.newBufferedReader(folder.resolve("sheet-" + i + ".csv")))) {
                all.put(sheets.get(i), parser.getRecords());
            }
        }
        return all;
    }

    /** The same without the numbers that we worked out: what the engine shows is its own. */
    private static byte[] emptied(byte[] xlsx, double area) throws IOException {
        try (var book = new XSSFWorkbook(new ByteArrayInputStream(xlsx))) {
            for (Sheet sheet : book) {
                for (Row row : sheet) {
                    for (Cell cell : row) {
                        if (cell.getCellType() == CellType.FORMULA) {
                            var ct = ((XSSFCell) cell).getCTCell();
                            if (ct.isSetV()) {
                                ct.unsetV();
                            }
                        }
                    }
                    Cell what = row.getCell(1);
                    if (sheet.getSheetName().equals("Working")
                            && what != null
                            && what.getCellType() == CellType.STRING
                            && what.getStringCellValue().equals("area")) {
                        row.getCell(2).setCellValue(row.getCell(2).getNumericCellValue() * area);
                    }
                }
            }
            var out = new ByteArrayOutputStream();
            book.write(out);
            return out.toByteArray();
        }
    }

    private static final List<String> SHEETS = List.of("Take-off", "Order", "Working");

    private static List<CSVRecord> rows(List<CSVRecord> sheet, int column, String text) {
        return sheet.stream()
                .filter(r -> r.size() > column && r.get(column).equals(text))
                .toList();
    }

    private static double number(CSVRecord row, int column) {
        return Double.parseDouble(row.get(column));
    }

    @Test
    public void another_engine_comes_to_the_same_figures() throws Exception {
        long before = System.nanoTime();
        JsonNode bill = takeOff();
        double ours = (System.nanoTime() - before) / 1e6;
        byte[] xlsx = emptied(xlsx(), 1);
        before = System.nanoTime();
        Map<String, List<CSVRecord>> sheets = recomputed(xlsx, SHEETS);
        double theirs = (System.nanoTime() - before) / 1e6;

        int compared = 0;
        for (JsonNode material : bill.path("materials")) {
            String sheet = material.path("sheet").asString();
            compared += same(
                    sheets, "all together", sheet, material.at("/amount/value").asDouble());
            compared +=
                    same(sheets, "to buy", sheet, material.at("/toBuy/value").asDouble());
            for (JsonNode use : material.path("uses")) {
                String where =
                        use.path("job").asString() + ", " + use.path("name").asString();
                double found = rows(
                                rows(sheets.get("Take-off"), 0, where),
                                1,
                                use.path("title").asString())
                        .stream()
                        .filter(r -> r.get(2).equals(sheet))
                        .mapToDouble(r -> number(r, TO_BUY))
                        .findFirst()
                        .orElseThrow();
                assertEquals(found, use.at("/amount/value").asDouble(), 1e-6, where);
                compared++;
            }
        }
        for (JsonNode small : bill.path("sundries")) {
            CSVRecord row = rows(sheets.get("Take-off"), 0, small.path("label").asString())
                    .get(0);
            assertEquals(number(row, TO_BUY), small.at("/count/value").asDouble(), 1e-9);
            compared++;
        }
        double total = number(rows(sheets.get("Order"), 1, "all of it").get(0), COST);
        assertEquals(total, bill.at("/cost/value").asDouble(), 1e-6);
        assertTrue(rows(sheets.get("Order"), 4, "short").isEmpty());
        assertEquals(
                rows(sheets.get("Order"), 4, "enough").size(),
                bill.path("materials")
                        .valueStream()
                        .filter(m -> !m.path("lines").isEmpty())
                        .count());
        assertTrue(compared > 40, "figures compared: " + compared);
        System.out.printf(
                "Take-off of two jobs: %d figures the same; here %.0f ms, in the spreadsheet %.0f ms, its start included%n",
                compared, ours, theirs);
    }

    private static int same(Map<String, List<CSVRecord>> sheets, String what, String sheet, double value) {
        CSVRecord row = rows(rows(sheets.get("Take-off"), 1, what), 2, sheet).get(0);
        assertEquals(number(row, TO_BUY), value, 1e-6, what + " of " + sheet);
        return 1;
    }

    /** Whoever changes the areas sees what follows, to the last sum. */
    @Test
    public void its_formulas_are_alive() throws Exception {
        JsonNode bill = takeOff();
        Map<String, List<CSVRecord>> doubled = recomputed(emptied(xlsx(), 2), SHEETS);
        var grown = new ArrayList<String>();
        for (JsonNode material : bill.path("materials")) {
            // what was used already is taken off after it
            boolean whole = material.path("uses")
                    .valueStream()
                    .allMatch(u -> !u.path("layer").asString().equals("primer"));
            if (whole) {
                same(
                        doubled,
                        "all together",
                        material.path("sheet").asString(),
                        2 * material.at("/amount/value").asDouble());
                grown.add(material.path("slug").asString());
            }
        }
        assertTrue(grown.size() > 3, grown.toString());
        assertTrue(rows(doubled.get("Order"), 4, "short").size() > 0);
    }

    @Test
    public void an_order_is_read_back_from_its_lines() {
        String csv = app.get(floor.path() + "/order.csv").text();
        List<String> lines = csv.lines().toList();
        assertEquals(lines.get(0), "supplier,what,title,colour,pack,number,each,cost,currency");
        int asked = takeOff()
                .path("suppliers")
                .valueStream()
                .mapToInt(s -> s.path("lines").size())
                .sum();
        assertEquals(lines.size() - 1, asked);
        assertTrue(csv.contains("Quayside Paints,masking-tape,\"Masking tape, rolls\",,each,"), csv);
    }
}

package openslab.server.product;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.server.web.CsvCell;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A product sheet as two columns, {@code field} and {@code value}: one line for each text of the JSON sheet, named by its place there,
 * parts by a slash ({@code clocks/FOOT/0/time}). docs/formats/sheet.md describes it.
 */
@Component
class SheetCsv {
    private static final int MOST_CHARACTERS = 100_000;
    private static final int MOST_LINES = 1000;
    private static final int DEEPEST = 6;
    private static final String FIELD = "field";
    private static final String VALUE = "value";

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .setRecordSeparator("\r\n")
            .get();

    private final ObjectMapper json;

    SheetCsv(ObjectMapper json) {
        this.json = json;
    }

    String write(SheetForm form) {
        var out = new StringBuilder(FIELD + "," + VALUE + "\r\n");
        Map<String, String> lines = new LinkedHashMap<>();
        flatten("", json.valueToTree(form), lines);
        lines.forEach((field, value) ->
                out.append(FORMAT.format(field, CsvCell.harmless(value))).append("\r\n"));
        return out.toString();
    }

    private static void flatten(String path, JsonNode node, Map<String, String> lines) {
        String within = path.isEmpty() ? "" : path + "/";
        if (node.isObject()) {
            node.propertyNames().forEach(name -> flatten(within + name, node.path(name), lines));
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                flatten(within + i, node.path(i), lines);
            }
        } else if (!node.isNull()) {
            lines.put(path, node.asString());
        }
    }

    /**
     * What the file says, not yet checked as a sheet.
     *
     * @throws InvalidInput naming the line
     */
    SheetForm read(String text) {
        if (text.length() > MOST_CHARACTERS) {
            throw new InvalidInput("file", text.length() + " characters", "at most " + MOST_CHARACTERS);
        }
        var faults = new Faults();
        ObjectNode root = json.createObjectNode();
        List<CSVRecord> records = records(text);
        for (CSVRecord line : records.subList(Math.min(1, records.size()), records.size())) {
            String at = "line " + line.getRecordNumber();
            if (line.size() != 2) {
                faults.add(at, line.size() + " cells", "two: a field and its value");
                continue;
            }
            List<String> path = List.of(line.get(0).split("/"));
            if (path.size() > DEEPEST
                    || path.stream().anyMatch(String::isBlank)
                    || !put(root, path, CsvCell.asWritten(line.get(1)))) {
                faults.add(at, line.get(0), "the place of a text in a sheet, such as clocks/FOOT/0/time, once");
            }
        }
        faults.check();
        try {
            return json.treeToValue(listed(root), SheetForm.class);
        } catch (JacksonException e) {
            String at = e.getPath().stream()
                    .map(r -> r.getPropertyName() == null ? String.valueOf(r.getIndex()) : r.getPropertyName())
                    .collect(Collectors.joining("/"));
            throw new InvalidInput(
                    "file", at.isEmpty() ? "something else" : at, "the fields of a sheet, as a sheet is taken out");
        }
    }

    private static List<CSVRecord> records(String text) {
        List<CSVRecord> records;
        try (var parser = FORMAT.parse(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text))) {
            records = parser.stream().limit(MOST_LINES + 1L).toList();
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new InvalidInput("file", "no table", "two columns, " + FIELD + " and " + VALUE);
        }
        boolean headed = !records.isEmpty()
                && records.get(0).size() == 2
                && records.get(0).get(0).equals(FIELD)
                && records.get(0).get(1).equals(VALUE);
        if (!headed || records.size() > MOST_LINES) {
            throw new InvalidInput(
                    "file",
                    headed ? "more lines" : "no head",
                    "a first line " + FIELD + "," + VALUE + " and at most " + MOST_LINES + " lines");
        }
        return records;
    }

    /** Whether there was room for it: nothing stands in two places, and no text has parts. */
    private static boolean put(ObjectNode root, List<String> path, String value) {
        ObjectNode at = root;
        for (String part : path.subList(0, path.size() - 1)) {
            JsonNode next = at.path(part);
            if (next.isMissingNode()) {
                at = at.putObject(part);
            } else if (next instanceof ObjectNode object) {
                at = object;
            } else {
                return false;
            }
        }
        String last = path.get(path.size() - 1);
        if (at.has(last)) {
            return false;
        }
        at.put(last, value);
        return true;
    }

    /** Parts that are counted are a list. */
    private static JsonNode listed(JsonNode node) {
        if (!(node instanceof ObjectNode object)) {
            return node;
        }
        boolean list = !object.isEmpty();
        for (int i = 0; i < object.size(); i++) {
            list &= object.has(String.valueOf(i));
        }
        if (list) {
            ArrayNode items = object.arrayNode();
            for (int i = 0; i < object.size(); i++) {
                items.add(listed(object.path(String.valueOf(i))));
            }
            return items;
        }
        List.copyOf(object.propertyNames()).forEach(name -> object.set(name, listed(object.path(name))));
        return object;
    }
}

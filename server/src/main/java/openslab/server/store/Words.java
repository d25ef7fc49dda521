package openslab.server.store;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import openslab.server.web.StaleWrite;
import tools.jackson.databind.JsonNode;

/** A document as its texts, each under its path, such as {@code limits.slabLow}; and what two of them differ in. */
public final class Words {
    private Words() {}

    public static Map<String, String> of(JsonNode document) {
        Map<String, String> words = new TreeMap<>();
        collect("", document, words);
        return words;
    }

    private static void collect(String path, JsonNode node, Map<String, String> into) {
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                collect(path + "[" + i + "]", node.get(i), into);
            }
        } else if (node.isObject()) {
            node.properties()
                    .forEach(e -> collect(path.isEmpty() ? e.getKey() : path + "." + e.getKey(), e.getValue(), into));
        } else if (!node.isNull()) {
            into.put(path, node.asString());
        }
    }

    /** Every text that is otherwise in {@code is}, by path. */
    public static List<StaleWrite.Change> changes(Map<String, String> was, Map<String, String> is) {
        return Stream.concat(was.keySet().stream(), is.keySet().stream())
                .distinct()
                .filter(path -> !was.getOrDefault(path, "").equals(is.getOrDefault(path, "")))
                .sorted()
                .map(path -> new StaleWrite.Change(path, was.getOrDefault(path, ""), is.getOrDefault(path, "")))
                .toList();
    }
}

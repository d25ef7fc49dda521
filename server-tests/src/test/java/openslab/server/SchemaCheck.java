package openslab.server;

import java.util.Set;
import tools.jackson.databind.JsonNode;

/** As much of JSON Schema as our own schema uses: $ref, type, required, properties, additionalProperties, items, const, enum, pattern. */
final class SchemaCheck {
    private SchemaCheck() {}

    static void check(JsonNode root, JsonNode schema, JsonNode value, String at, Set<String> problems) {
        if (schema.has("$ref")) {
            check(root, root.at(schema.path("$ref").asString().substring(1)), value, at, problems);
            return;
        }
        String type = schema.path("type").asString("");
        boolean fits =
                switch (type) {
                    case "object" -> value.isObject();
                    case "array" -> value.isArray();
                    case "string" -> value.isString();
                    case "number" -> value.isNumber();
                    case "integer" -> value.isIntegralNumber();
                    case "boolean" -> value.isBoolean();
                    case "" -> true;
                    default -> throw new IllegalArgumentException("this check does not know type " + type);
                };
        if (!fits) {
            problems.add(at + ": not " + type);
            return;
        }
        if (schema.has("const") && !schema.path("const").equals(value)) {
            problems.add(at + ": not " + schema.path("const").asString());
        }
        if (schema.has("pattern")
                && !value.asString().matches(schema.path("pattern").asString())) {
            problems.add(at + ": not like " + schema.path("pattern").asString());
        }
        schema.path("required").forEach(name -> {
            if (!value.has(name.asString())) {
                problems.add(at + "." + name.asString() + ": missing");
            }
        });
        value.properties().forEach(p -> {
            JsonNode known = schema.path("properties").path(p.getKey());
            JsonNode rest = schema.path("additionalProperties");
            if (!known.isMissingNode()) {
                check(root, known, p.getValue(), at + "." + p.getKey(), problems);
            } else if (rest.isObject()) {
                check(root, rest, p.getValue(), at + "." + p.getKey(), problems);
            } else if (rest.isBoolean() && !rest.asBoolean()) {
                problems.add(at + "." + p.getKey() + ": not known");
            }
        });
        if (schema.has("items")) {
            for (int i = 0; i < value.size(); i++) {
                check(root, schema.path("items"), value.path(i), at + "[" + i + "]", problems);
            }
        }
    }
}

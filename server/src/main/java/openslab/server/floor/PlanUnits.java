package openslab.server.floor;

import java.util.Set;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Writes the unit behind every bare number of a plan, so that it means the same when the job changes its units. */
final class PlanUnits {
    /** Feet or metres where they stand bare, as {@link PlanReader} reads them. */
    private static final Set<String> LENGTHS = Set.of("length", "along", "off", "width", "measures", "step", "edge");

    /** Inches or millimetres. */
    private static final Set<String> SMALL =
            Set.of("radius", "height", "thick", "gap", "rise", "riser", "tread", "depth", "heights", "fillTo", "film");

    /** Where a width is a gap's, not a door's. */
    private static final Set<String> THIN = Set.of("joints", "cracks");

    private final Unit length;
    private final Unit small;

    private PlanUnits(UnitSystem units) {
        length = units == UnitSystem.US ? Unit.FOOT : Unit.METRE;
        small = units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
    }

    static PlanForm spelled(PlanForm form, UnitSystem units, ObjectMapper json) {
        JsonNode tree = json.valueToTree(form);
        new PlanUnits(units).spell(tree, "");
        return json.treeToValue(tree, PlanForm.class);
    }

    /** @param list the nearest list that {@code node} stands in */
    private void spell(JsonNode node, String list) {
        if (node instanceof ObjectNode object) {
            for (String name : Set.copyOf(object.propertyNames())) {
                JsonNode child = object.get(name);
                if (child.isString()) {
                    Unit unit = unit(name, list);
                    if (unit != null && !child.asString().isBlank()) {
                        object.put(name, Measure.withUnit(child.asString(), unit));
                    }
                } else {
                    spell(child, child.isArray() ? name : list);
                }
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                if (array.get(i).isString()) {
                    Unit unit = unit(list, list);
                    if (unit != null && !array.get(i).asString().isBlank()) {
                        array.set(
                                i,
                                StringNode.valueOf(Measure.withUnit(array.get(i).asString(), unit)));
                    }
                } else {
                    spell(array.get(i), list);
                }
            }
        }
    }

    private Unit unit(String name, String list) {
        if (SMALL.contains(name) || name.equals("width") && THIN.contains(list)) {
            return small;
        }
        return LENGTHS.contains(name) ? length : null;
    }
}

package openslab.core.system;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.course.Mix;
import openslab.core.course.Step;
import openslab.core.course.work.Item;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Value;

/** The steps of one layer as a course of its zone: their ids begin with the layer's. */
public final class LayUp {
    private static final String IN = "/";

    private LayUp() {}

    /** What the ids of a layer's steps and gates begin with. */
    public static String prefix(String layer) {
        return layer + IN;
    }

    /** The layer that an id is of; empty where it is of no layer. */
    public static Optional<String> layerOf(String subject) {
        int at = subject.indexOf(IN);
        return at < 0 ? Optional.empty() : Optional.of(subject.substring(0, at));
    }

    /** An id without its layer. */
    public static String within(String subject) {
        return subject.substring(subject.indexOf(IN) + 1);
    }

    /**
     * In the order they are done. The first that runs a clock asks that everything lies ready for what follows: nobody fetches a
     * roller while the pot life runs.
     */
    public static List<Step> steps(String layer, Way way, ProductSheet sheet) {
        String prefix = prefix(layer);
        var steps = new ArrayList<Step>();
        boolean gathered = false;
        for (int i = 0; i < way.steps().size(); i++) {
            LayStep lay = way.steps().get(i);
            Step step = lay.of(sheet);
            if (lay.coat()) {
                step = step.mixes(new Poured(prefix.substring(0, prefix.length() - 1), sheet));
            }
            List<LayStep> ahead = way.steps().subList(i, way.steps().size());
            if (!gathered && step.isTimed() && ahead.stream().anyMatch(LayStep::coat)) {
                gathered = true;
                step = step.with(ahead(ahead));
            }
            steps.add(step.in(prefix));
        }
        return List.copyOf(steps);
    }

    /** What the steps up to the coat need. */
    private static List<Item> ahead(List<LayStep> steps) {
        var items = new ArrayList<Item>();
        for (LayStep s : steps) {
            items.addAll(s.work().items());
            if (s.coat()) {
                break;
            }
        }
        return items;
    }

    /** The material itself, as something that lies ready. */
    private record Poured(String layer, ProductSheet sheet) implements Mix {
        @Override
        public String thing() {
            return layer + IN;
        }

        @Override
        public String label() {
            String tool = sheet.handling().tool();
            String box = String.join(", ", sheet.handling().box());
            return sheet.name() + (box.isEmpty() ? "" : ": " + box) + (tool.isEmpty() ? "" : "; " + tool);
        }

        @Override
        public Optional<InvalidInput.Fault> misfit(Map<String, Value> square) {
            return Optional.empty();
        }
    }
}

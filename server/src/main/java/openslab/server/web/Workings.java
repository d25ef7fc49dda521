package openslab.server.web;

import openslab.core.quantity.InvalidInput;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** The working of one figure of an answer that left its workings out. */
@Component
public class Workings {
    private final ObjectMapper json;

    Workings(ObjectMapper json) {
        this.json = json;
    }

    /**
     * @param answer as it is now
     * @param at where the figure stands in it, a JSON pointer
     * @throws InvalidInput where no figure stands there
     */
    public WireFormat.FigureView at(Object answer, String at) {
        JsonNode found = at.startsWith("/") ? json.valueToTree(answer).at(at) : json.missingNode();
        if (!found.has("steps")) {
            throw new InvalidInput("at", at, "where a figure stands in the answer, such as /report/layers/0/wet");
        }
        return json.treeToValue(found, WireFormat.FigureView.class);
    }
}

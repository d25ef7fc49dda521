package openslab.core.choose;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import openslab.core.floor.Use;
import openslab.core.product.Exposure;
import openslab.core.quantity.Value;

/**
 * A need that counts here.
 *
 * @param why where it comes from, when nobody said it: the use or the exposure; empty where somebody did
 */
public record Asked(Need need, Value value, String why) {
    private static final Value YES = new Value("yes", 0);

    /** What was said, and what follows from what the floor is for and where it lies. */
    public static List<Asked> of(Map<String, Value> said, Use use, Exposure exposure) {
        var asked = new ArrayList<Asked>();
        Map<String, String> implied = FloorRules.implied(use, exposure);
        for (Need need : Needs.ALL) {
            if (said.containsKey(need.id())) {
                asked.add(new Asked(need, said.get(need.id()), ""));
            } else if (implied.containsKey(need.id())) {
                asked.add(new Asked(need, YES, implied.get(need.id())));
            }
        }
        return List.copyOf(asked);
    }
}

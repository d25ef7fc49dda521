package openslab.core.care;

import java.util.ArrayList;
import java.util.List;
import openslab.core.product.Exposure;
import openslab.core.product.ProductSheet;

/** What is still done when the last coat is on and before anybody drives home: small habits that save a day, common practice. */
public final class Leaving {
    private Leaving() {}

    /** A sentence each, in the order in which it is done. @param top what went on last; {@code taped} whether anything was masked */
    public static List<String> after(ProductSheet top, Exposure exposure, boolean taped) {
        var things = new ArrayList<String>();
        if (taped) {
            things.add(tape(top));
        }
        if (exposure == Exposure.INDOORS) {
            things.add(
                    switch (top.traits().chemistry()) {
                        case STATIC_FINISH, WAX ->
                            "Doors shut, no fan: moving air dries its top shut and leaves it cloudy.";
                        default ->
                            "Leave the door ajar a hand's breadth, with a note on it from when on somebody may walk in.";
                    });
        } else {
            things.add(
                    "Rope it off, with a note from when on somebody may walk on it; no sprinkler, no leaf blower near it.");
            things.add("Photograph it in sun and in shade: that is the colour that was agreed.");
        }
        things.add(tools(top));
        if (exposure == Exposure.INDOORS) {
            things.add("Trim and caulk go back last, once it may be walked on.");
        }
        return List.copyOf(things);
    }

    private static String tape(ProductSheet top) {
        return switch (top.traits().chemistry()) {
            case EPOXY, POLYASPARTIC, URETHANE ->
                "Pull the tape as soon as the coat strings no more, low and away from it: a film that has set tears with it.";
            case CEMENT -> "Pull the tape before it hardens, and run the edge over once.";
            default -> "Pull the tape the same day, low and away from the coat.";
        };
    }

    private static String tools(ProductSheet top) {
        return switch (top.traits().chemistry()) {
            case WATER_ACRYLIC, WATER_STAIN, SOLID_STAIN, ANTIQUE, WAX, STATIC_FINISH, CEMENT ->
                "Tools at once in water; wash water goes where local rules let it.";
            case SOLVENT_ACRYLIC, SOLVENT_DYE ->
                "Sprayer and brushes at once in the solvent of the sheet, outdoors and away from flames; rags dry flat, never in a heap.";
            case EPOXY, POLYASPARTIC, URETHANE ->
                "Sleeves, liners and brushes are thrown away once what is on them has set hard; steel in the solvent of the sheet before it does.";
            default -> "Tools as the sheet in hand says, before what is on them sets.";
        };
    }
}

package openslab.core.survey.method;

import java.util.List;
import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** What lies between an old coat or overlay and its slab: what goes on holds no better than the weakest of it. */
public final class LayersBelow implements TestMethod {
    public static final String ID = "layers-below";

    private static final Source PRACTICE =
            Source.commonPractice("the weakest layer decides; what nobody saw is a risk, and is told");

    private static final String RISK =
            "Whatever lets go below takes everything above it along, and nobody promised for it.";

    private static final String TOLD =
            "Sound the whole floor; where nothing in it can hold asbestos or lead, cut one place open at an edge. What stays unseen is left out of the promise, in writing, before the price is agreed.";

    private static final About ABOUT = new About(
            ID,
            "Layers below",
            TestGroup.WALK,
            "Ask who laid it and on what; look at an edge, a drain or a chipped place. Nobody cuts into what may hold asbestos.",
            PRACTICE);

    private static final Set<Substrate> LAYERED = Set.of(Substrate.OVERLAY, Substrate.COATED_CONCRETE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return LAYERED.contains(substrate);
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.films().own().isEmpty();
    }

    /** What stays on hides what lies below it all the more. */
    @Override
    public boolean tellsOfFilm() {
        return true;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.choice(
                "layers",
                "Between it and the slab",
                new Field.Choice("none", "Nothing: one layer, right on it"),
                new Field.Choice("more", "Older coats or overlays"),
                new Field.Choice("unknown", "Nobody knows")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return switch (r.choice("layers")) {
            case "none" -> "one layer on the slab";
            case "more" -> "older layers below";
            default -> "nobody knows";
        };
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ID, r).measured(found(r, site)).needed("one layer, right on the slab", PRACTICE);
        return List.of(
                switch (r.choice("layers")) {
                    case "none" -> finding.go("one layer on the slab", "What is looked at is all there is.");
                    case "more" -> finding.watch("older layers below", RISK, TOLD);
                    default -> finding.watch("nobody knows what lies below", RISK, TOLD);
                });
    }
}

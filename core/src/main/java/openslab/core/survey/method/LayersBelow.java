package openslab.core.survey.method;

import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Source;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;

/** What lies between an old coat or overlay and its slab: what goes on holds no better than the weakest of it. */
public final class LayersBelow extends SignTest {
    private static final Set<Substrate> LAYERED = Set.of(Substrate.OVERLAY, Substrate.COATED_CONCRETE);

    private static final String RISK =
            "Whatever lets go below takes everything above it along, and nobody promised for it.";

    private static final String TOLD =
            "Sound the whole floor; where nothing in it can hold asbestos or lead, cut one place open at an edge. What stays unseen is left out of the promise, in writing, before the price is agreed.";

    public LayersBelow() {
        super(
                new About(
                        "layers-below",
                        "Layers below",
                        TestGroup.WALK,
                        "Ask who laid it and on what; look at an edge, a drain or a chipped place. Nobody cuts into what may hold asbestos.",
                        Source.commonPractice("the weakest layer decides; what nobody saw is a risk, and is told")),
                go(
                        "none",
                        "One layer, right on the slab",
                        "one layer on the slab",
                        "What is looked at is all there is."),
                watch("more", "Older coats or overlays", "older layers below", RISK, TOLD),
                watch("unknown", "Nobody knows", "nobody knows what lies below", RISK, TOLD));
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
}

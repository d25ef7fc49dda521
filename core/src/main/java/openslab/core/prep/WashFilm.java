package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** A coated floor is washed: the film stays, its gloss too, and nothing goes on it. */
final class WashFilm implements PrepMethod {
    /** CP: 2 fl oz to the gallon, a maintenance dose. */
    private static final Dose MILD = Dose.of(10, Chemical.NEUTRAL_CLEANER).at("2 fl oz/gal");

    private static final About ABOUT = new About(
            "wash-film",
            "Wash the film",
            Kinds.ANY,
            Set.of(Defect.OIL),
            0,
            0,
            Set.of(Demand.WASH_WATER),
            Source.commonPractice("neutral cleaner, soft pad, fresh rinse: what dulls a film is no cleaner for it"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isForGround(Condition condition, PrepNeed need) {
        return condition.ground() == Ground.FILM_KEPT;
    }

    /** Whatever else is found: a wash leaves it where it is, and harms nothing. */
    @Override
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        return elsewhere(condition, need).map(List::of).orElseGet(() -> site.against(ABOUT.demands()));
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "The film stays and nothing goes on it: it is washed, and its gloss is kept.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        var steps = new ArrayList<Step>();
        steps.add(Films.sweep());
        if (condition.greasy()) {
            steps.add(Films.degrease());
        }
        steps.add(Step.of(
                        Works.WASH_FILM,
                        "Wash with neutral cleaner",
                        "Soft white pad, edges by hand; keep it wet and pick it up.",
                        "Grit that is left is sandpaper under every sole.")
                .careful(Steps.UNTRAINED + " A wet film is slippery: closed off until it is dry.")
                .mixes(MILD));
        steps.add(Films.rinse());
        steps.add(Films.dry(condition, need));
        steps.add(Step.of(
                        Works.WALK,
                        "Walk it again",
                        "Low light: what is worn, dull, loose or cut goes into the survey.",
                        "A film is resealed while there is film left.")
                .closes());
        return List.copyOf(steps);
    }
}

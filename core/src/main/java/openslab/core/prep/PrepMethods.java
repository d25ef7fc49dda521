package openslab.core.prep;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.survey.area.Defect;

/**
 * Every method there is, the first that nothing refuses is chosen: what has failed is broken out and what is greasy is
 * cleaned before anything opens the surface. Grinding stands before etching because it needs no
 * rinse, no disposal and no drying day, and proves itself to the eye (OURS; the order is a setting of a later stage).
 */
public final class PrepMethods {
    public static final List<PrepMethod> ALL = List.of(
            new BreakOut(),
            new CleanAndTest(),
            new Grind(),
            new ShotBlast(),
            new Scarify(),
            new Etch(),
            new WashConcrete(),
            new StripSealer(),
            new MediaBlast(),
            new ScrubTile(),
            new StripResilient(),
            new DullResilient(),
            new AbradeHard(),
            new WashFilm(),
            new DullFilm(),
            new WashAcrylic());

    private static final Condition ANY =
            new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.empty(), Optional.empty(), false, false);

    private static final Condition FILMED = new Condition(
            Substrate.BARE_CONCRETE,
            Ground.OTHER_FILM,
            Set.of(Defect.OIL, Defect.POLISH),
            Optional.empty(),
            Optional.empty(),
            false,
            false);

    private PrepMethods() {}

    /** Empty where there is none of this id, or none any more. */
    public static Optional<PrepMethod> find(String id) {
        return ALL.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    /** What is keyed in at every gate there is, by gate id: a log may hold gates of a method chosen earlier. */
    public static Map<String, List<Field>> gateFields() {
        Map<String, List<Field>> fields = new TreeMap<>();
        ALL.stream()
                .flatMap(m -> Stream.of(ANY, FILMED).map(c -> m.steps(c, ProfileNeed.forFilm(0))))
                .flatMap(steps -> Step.gatesOf(steps).stream())
                .forEach(g -> fields.put(g.id(), g.fields()));
        Gates.OF_REPAIRS.forEach(g -> fields.put(g.id(), g.fields()));
        return fields;
    }
}

package openslab.core.prep;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import openslab.core.course.Gate;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.survey.area.Defect;

/**
 * Every method there is. What a system names comes in its order, else in this one: what has failed is broken out and what is greasy
 * is cleaned before anything opens the surface. Grinding stands before etching because it needs no rinse, no disposal and no drying
 * day, and proves itself to the eye (OURS).
 */
public final class PrepMethods {
    /** Whatever is asked for: what has failed comes out, what nobody knows or what is greasy is cleaned. */
    private static final List<PrepMethod> FIRST = List.of(new BreakOut(), new CleanAndTest());

    public static final List<PrepMethod> ALL = List.of(
            FIRST.get(0),
            FIRST.get(1),
            new SawAndWash(),
            new Grind(),
            new ShotBlast(),
            new Scarify(),
            new Etch(),
            new Profiler(),
            new SandOpen(),
            new WashConcrete(),
            new HardWash(),
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

    /** Everything that a system can ask of each of them. */
    private static final List<PrepNeed> EVERY = Stream.of(false, true)
            .map(still -> PrepNeed.forFilm(0)
                    .asking(new PrepAsks(
                            ALL.stream()
                                    .map(m -> new Opening(
                                            m.id(),
                                            Set.of(),
                                            "",
                                            Optional.empty(),
                                            still ? 1 : 0,
                                            still
                                                    ? EnumSet.of(Opening.Manner.KEEPS_COAT, Opening.Manner.KEEPS_SEALER)
                                                    : EnumSet.of(Opening.Manner.STAYS_DAMP, Opening.Manner.STRIPPED)))
                                    .toList(),
                            Set.of(),
                            still)))
            .toList();

    private PrepMethods() {}

    /** What the system names for such a floor, in its order. */
    static List<PrepMethod> asked(Condition condition, PrepNeed need) {
        return need.asks().openings().stream()
                .filter(o -> o.isOn(condition.substrate()))
                .flatMap(o -> find(o.method()).stream())
                .filter(m -> m.elsewhere(condition, need).isEmpty())
                .toList();
    }

    /** Every one, the likeliest first. */
    static List<PrepMethod> inOrder(Condition condition, PrepNeed need) {
        List<PrepMethod> asked = asked(condition, need);
        if (asked.isEmpty()) {
            return ALL;
        }
        var order = new ArrayList<>(FIRST);
        order.addAll(asked);
        ALL.stream().filter(m -> !order.contains(m)).forEach(order::add);
        return order;
    }

    /** Empty where there is none of this id, or none any more. */
    public static Optional<PrepMethod> find(String id) {
        return ALL.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    /** What is keyed in at every gate there is, by gate id: a log may hold gates of a method chosen earlier. */
    public static Map<String, List<Field>> gateFields() {
        Map<String, List<Field>> fields = new TreeMap<>();
        gates().forEach(g -> fields.put(g.id(), g.fields()));
        return fields;
    }

    /** What each of them is called, by its id. */
    public static Map<String, String> gateTitles() {
        Map<String, String> titles = new TreeMap<>();
        gates().forEach(g -> titles.put(g.id(), g.title()));
        return titles;
    }

    private static Stream<Gate> gates() {
        Stream<Step> steps = ALL.stream()
                .flatMap(m -> Stream.of(ANY, FILMED).flatMap(c -> EVERY.stream().flatMap(n -> m.steps(c, n).stream())));
        return Stream.of(
                        steps.flatMap(s -> s.gate().stream()),
                        Stream.of(Extra.values()).flatMap(x -> x.step().gate().stream()),
                        Gates.OF_REPAIRS.stream())
                .flatMap(g -> g);
    }
}

package openslab.core.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.course.work.Work;
import openslab.core.prep.Works;
import openslab.core.quantity.InvalidInput;
import openslab.core.system.LayUp;
import openslab.core.system.LayWorks;

/** Every kind of work there is, of preparing and of laying, by its id and by those of its steps. */
public final class KnownWorks {
    public static final List<Work> ALL =
            Stream.of(Works.ALL, LayWorks.ALL).flatMap(List::stream).toList();

    private static final Map<String, Work> BY_ID =
            ALL.stream().collect(Collectors.toMap(Work::id, Function.identity()));

    private KnownWorks() {}

    /** The work of a step, by the step's id, be it a layer's; empty where there is none of it, or none any more. */
    public static Optional<Work> ofStep(String step) {
        String within = LayUp.within(step);
        int dot = within.indexOf('.');
        return Optional.ofNullable(BY_ID.get(dot < 0 ? within : within.substring(0, dot)));
    }

    /** @param path what to name where there is none of this id */
    public static Work ofStep(String path, String step) {
        return ofStep(step).orElseThrow(() -> unknown(path, step));
    }

    /** @param path what to name where there is none of this id */
    public static Work of(String path, String id) {
        return Optional.ofNullable(BY_ID.get(id)).orElseThrow(() -> unknown(path, id));
    }

    private static InvalidInput unknown(String path, String id) {
        return new InvalidInput(
                path,
                id,
                "one of " + String.join(", ", BY_ID.keySet().stream().sorted().toList()));
    }
}

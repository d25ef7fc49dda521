package openslab.core.course;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.work.Item;

/**
 * What lies ready before a clock is started: the first stir starts it, and nobody fetches goggles then.
 *
 * @param things by kind, each once, with the steps it is for
 */
public record Staging(List<Thing> things) {
    /**
     * One thing.
     *
     * @param id how a tick names it
     * @param group what its kind is called
     * @param steps ids of the steps that need it
     * @param ticked by whom and when, if within the day
     */
    public record Thing(
            String id, String label, Item.Kind kind, String group, List<String> steps, Optional<Tick> ticked) {
        private Thing by(List<String> all) {
            return new Thing(id, label, kind, group, List.copyOf(all), ticked);
        }
    }

    /** @param key of the log entry, to be struck when it was a mistake */
    public record Tick(String key, String thing, Instant at, String by) {}

    /** OURS: what was laid out yesterday is looked at again. */
    private static final Duration HOLDS = Duration.ofHours(24);

    /** @param now ticks older than a day do not count */
    public static Staging of(List<Step> steps, List<Tick> ticks, Instant now) {
        Map<String, Thing> things = new LinkedHashMap<>();
        for (Step step : steps) {
            step.work().items().forEach(i -> add(things, i.id(), i.label(), i.kind(), step.id()));
            step.mix().ifPresent(m -> add(things, m.thing(), m.label(), Item.Kind.CHEMICAL, step.id()));
        }
        return new Staging(things.values().stream()
                .map(t -> ticks.stream()
                        .filter(k -> k.thing().equals(t.id()))
                        .filter(k -> k.at().isAfter(now.minus(HOLDS)))
                        .max(Comparator.comparing(Tick::at))
                        .map(k -> new Thing(t.id(), t.label(), t.kind(), t.group(), t.steps(), Optional.of(k)))
                        .orElse(t))
                .sorted(Comparator.comparing(Thing::kind))
                .toList());
    }

    private static void add(Map<String, Thing> things, String id, String label, Item.Kind kind, String step) {
        var steps = new ArrayList<>(things.containsKey(id) ? things.get(id).steps() : List.of());
        if (!steps.contains(step)) {
            steps.add(step);
        }
        things.putIfAbsent(id, new Thing(id, label, kind, kind.label(), List.of(), Optional.empty()));
        things.computeIfPresent(id, (key, t) -> t.by(steps));
    }

    /** What of it is for one of these steps. */
    public List<Thing> of(Set<String> steps) {
        return things.stream()
                .filter(t -> t.steps().stream().anyMatch(steps::contains))
                .toList();
    }

    /** What is not ticked of what a step needs; nothing holds up a step without a clock of its own. */
    public List<String> missing(Step step) {
        return step.isTimed()
                ? things.stream()
                        .filter(t -> t.steps().contains(step.id()) && t.ticked().isEmpty())
                        .map(Thing::label)
                        .toList()
                : List.of();
    }
}

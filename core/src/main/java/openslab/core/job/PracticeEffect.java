package openslab.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.Step;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.wash.Dose;
import openslab.core.product.Liquid;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Limits;
import openslab.core.system.BuildUp;
import openslab.core.system.FloorSystem;

/**
 * One thing that another school changes on a floor. Both answers are worked out whole, and what differs is told: nobody has to
 * write down what a school is for.
 *
 * @param where in the zone's course
 * @param was empty where it is new; {@code becomes} empty where it falls away
 */
public record PracticeEffect(String where, String was, String becomes) {
    /**
     * @param zone as it is worked now; {@code other} the same zone under other schools
     * @param system what it was chosen from
     */
    public static List<PracticeEffect> between(
            ZoneFacts zone, ZoneFacts other, Optional<FloorSystem> system, UnitSystem units) {
        Map<String, String> was = answers(zone, system, units);
        Map<String, String> becomes = answers(other, system, units);
        var effects = new ArrayList<PracticeEffect>();
        var all = new LinkedHashMap<>(was);
        becomes.forEach(all::putIfAbsent);
        for (String where : all.keySet()) {
            String before = was.getOrDefault(where, "");
            String after = becomes.getOrDefault(where, "");
            if (!before.equals(after)) {
                effects.add(new PracticeEffect(where, before, after));
            }
        }
        return List.copyOf(effects);
    }

    private static Map<String, String> answers(ZoneFacts zone, Optional<FloorSystem> system, UnitSystem units) {
        Map<String, String> answers = new LinkedHashMap<>();
        BuildUp.limitsOf(zone.sheets())
                .map(Limits::minAgeDays)
                .filter(d -> d > 0)
                .ifPresent(d -> answers.put("Concrete waits", Math.round(d) + " days"));
        // what is on is on: nobody does it otherwise any more
        if (zone.begun().isEmpty()) {
            PrepPlan plan = PrepLog.plan(zone, PrepLog.need(zone, units), units);
            steps(answers, "Prepare", plan.steps());
        }
        for (LayerChoice layer : zone.open()) {
            steps(answers, layer.title(), zone.steps(layer));
            zone.taken(layer)
                    .liquid()
                    .filter(Liquid::isTwoPart)
                    .ifPresent(l -> answers.put(
                            layer.title() + ": pour",
                            l.pouring().stream().map(Liquid.Part::name).collect(Collectors.joining(", then "))));
        }
        system.ifPresent(s -> answers.put(
                s.title() + ", chosen anew",
                zone.settings().practices().proposed(s, zone.surroundings()).stream()
                        .map(l -> l.title() + " (" + l.sheet() + ")")
                        .collect(Collectors.joining(", "))));
        return answers;
    }

    /** Which of several steps of the same work it is. */
    private static String which(Step step) {
        int at = step.id().lastIndexOf('.');
        return at < 0 ? "" : ", " + step.id().substring(at + 1);
    }

    private static void steps(Map<String, String> answers, String of, List<Step> steps) {
        for (Step step : steps) {
            String tried = Dose.of(step)
                    .map(d -> d.tried() ? " Strength as tried." : " Strength by the label.")
                    .orElse("");
            answers.put(
                    of + ": " + Show.lower(step.work().title()) + which(step),
                    step.title() + ". " + step.does() + tried);
        }
    }
}

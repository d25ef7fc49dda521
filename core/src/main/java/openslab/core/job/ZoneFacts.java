package openslab.core.job;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Shape;
import openslab.core.floor.Substrate;
import openslab.core.floor.plan.Doubt;
import openslab.core.mix.Crew;
import openslab.core.prep.SiteLimits;
import openslab.core.product.Exposure;
import openslab.core.survey.Reading;
import openslab.core.survey.Survey;
import openslab.core.survey.method.Climate;

/**
 * What is known of a zone, and what was chosen for it.
 *
 * @param planDoubts why its shape cannot be built on yet; empty where it was typed
 * @param planSlabC the slab temperature to plan with; the newest reading where nobody set one
 * @param layers from the slab upward
 * @param log oldest first, struck entries and their strikes included
 */
public record ZoneFacts(
        String id,
        String name,
        Shape shape,
        List<Doubt> planDoubts,
        Substrate substrate,
        Exposure exposure,
        SiteLimits site,
        Crew crew,
        Optional<Double> planSlabC,
        List<LayerChoice> layers,
        List<LogEntry> log) {

    public ZoneFacts {
        planDoubts = List.copyOf(planDoubts);
        layers = List.copyOf(layers);
        log = List.copyOf(log);
    }

    /** The log without what was struck, and without the strikes. */
    public List<LogEntry> standing() {
        return LogEntry.standing(log);
    }

    public List<LogEntry> standing(LogEntry.Kind kind, String subject) {
        return standing().stream()
                .filter(e -> e.kind() == kind && e.subject().equals(subject))
                .toList();
    }

    /** The newest standing entry of its kind about {@code subject}; of two at the same minute, the one logged later. */
    public Optional<LogEntry> newest(LogEntry.Kind kind, String subject) {
        return standing(kind, subject).stream().reduce((a, b) -> b.at().isBefore(a.at()) ? a : b);
    }

    public Survey survey() {
        return new Survey(standing().stream()
                .filter(e -> e.kind() == LogEntry.Kind.READING)
                .map(e -> new Reading(e.key(), e.subject(), e.place(), e.at(), e.by(), e.values()))
                .toList());
    }

    /** The slab's temperature to plan with, °C. */
    public Optional<Double> slabC() {
        return planSlabC.or(() -> survey().newest(Climate.ID).map(r -> r.number("slab")));
    }
}

package openslab.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import openslab.core.cure.CureTime;
import openslab.core.product.Clock;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;

/**
 * When a coat takes the next one on. Too early it traps solvent and stays soft; too late the next lies on a closed film and peels.
 */
record RecoatWindow(ZoneFacts zone, LayerChoice below, UnitSystem system) {
    /**
     * What stands against coating it again.
     *
     * @param on when it went on
     * @param at when the next coat was begun
     */
    Optional<Finding> against(Instant on, Instant at) {
        OptionalDouble slabC = zone.slabC(on);
        String after = Show.span(Duration.between(on, at)) + " after the " + Show.lower(below.title());
        var finding = Finding.of("coat-outside-its-window").measured(after);
        if (runsOut(Clock.RECOAT_OPENS, on, slabC).map(at::isBefore).orElse(false)) {
            return Optional.of(asked(finding, "not before ", Clock.RECOAT_OPENS, slabC)
                    .hold(
                            "recoat window not open yet",
                            "What is still wet below cannot leave any more: it stays soft and lifts.",
                            "Wait until the window opens."));
        }
        if (runsOut(Clock.RECOAT_CLOSES, on, slabC).map(c -> c.isBefore(at)).orElse(false)) {
            return Optional.of(asked(finding, "not after ", Clock.RECOAT_CLOSES, slabC)
                    .hold(
                            "recoat window already closed",
                            "A film that has cured takes no other on: it peels off as a sheet.",
                            "Abrade the whole of it, vacuum and wipe, then coat."));
        }
        return Optional.empty();
    }

    private Finding.Draft asked(Finding.Draft finding, String words, Clock clock, OptionalDouble slabC) {
        Figure time = CureTime.of(below.sheet(), clock, slabC.orElseThrow(), system)
                .minutes()
                .orElseThrow();
        return finding.needed(
                        words + Show.in(Unit.HOUR, time.base()), below.sheet().source())
                .working(time);
    }

    private Optional<Instant> runsOut(Clock clock, Instant from, OptionalDouble slabC) {
        OptionalDouble minutes = LayerSchedule.minutes(below.sheet(), clock, slabC);
        return minutes.isPresent() ? Optional.of(LayerSchedule.after(from, minutes.getAsDouble())) : Optional.empty();
    }
}

package openslab.core.care;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Use;
import openslab.core.product.Exposure;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Readings;
import openslab.core.survey.Verdict;
import openslab.core.survey.method.SlipResistance;
import openslab.core.survey.method.SurfaceResistance;

/** What a use asks of the finished floor, and whether anybody measured that it does. */
public final class UseAsks {
    /**
     * One thing asked.
     *
     * @param method the test that answers it
     * @param found the worst of what was read on the finished floor, in words
     * @param verdict go or hold by what was read; hold where nobody read
     */
    public record Asked(
            String method, String title, String needed, String found, Verdict verdict, String because, Source source) {}

    private static final Source A3263 = Source.published(
            "ANSI A326.3, from memory: wet 0.42 indoors, 0.50 where people walk barefoot, 0.55 outdoors and on grease; no promise that nobody slips");
    private static final Source S2020 = Source.published("ANSI/ESD S20.20, from memory: below 1 GΩ");

    private UseAsks() {}

    /** @param finished everything that was read since the top coat went on */
    public static List<Asked> of(Use use, Exposure exposure, Readings finished) {
        var asked = new ArrayList<Asked>();
        friction(use, exposure).ifPresent(need -> asked.add(slip(need, finished)));
        if (use == Use.LABORATORY) {
            asked.add(resistance(finished));
        }
        return List.copyOf(asked);
    }

    private static Optional<Double> friction(Use use, Exposure exposure) {
        return switch (use) {
            case UNSAID -> Optional.empty();
            case KITCHEN, PATIO, RAMP -> Optional.of(0.55);
            case WET_ROOM -> Optional.of(exposure.isOutdoors() ? 0.55 : 0.50);
            default -> Optional.of(exposure.isOutdoors() ? 0.55 : 0.42);
        };
    }

    private static Asked slip(double need, Readings finished) {
        Bound least = Bound.atLeast(need, Unit.ONE);
        Optional<Double> worst = finished.current(SlipResistance.ID).stream()
                .filter(r -> r.choice("wet").equals("wet"))
                .map(r -> r.number("dcof"))
                .min(Double::compare);
        return new Asked(
                SlipResistance.ID,
                "Friction, wet",
                least.words(),
                worst.map(least::text).orElse(UNREAD),
                word(worst.map(least::holds)),
                "Nearly every dry floor grips; people slip on wet ones.",
                A3263);
    }

    private static Asked resistance(Readings finished) {
        Bound most = Bound.below(1e9, Unit.GIGOHM);
        Optional<Double> worst = finished.current(SurfaceResistance.ID).stream()
                .map(r -> r.number("ohms"))
                .max(Double::compare);
        return new Asked(
                SurfaceResistance.ID,
                "Resistance",
                most.words(),
                worst.map(most::text).orElse(UNREAD),
                word(worst.map(most::holds)),
                "Charge that cannot leave finds its way through what is to be protected. It is read again on a schedule.",
                S2020);
    }

    private static final String UNREAD = "not read on the finished floor yet";

    private static Verdict word(Optional<Boolean> holds) {
        return holds.orElse(false) ? Verdict.GO : Verdict.HOLD;
    }
}

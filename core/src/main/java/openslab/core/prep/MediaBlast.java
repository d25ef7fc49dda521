package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Grit or softer media through a hose: takes films out of the lows of a stamp, where no stripper may run. */
final class MediaBlast implements PrepMethod {
    private static final About ABOUT = new About(
            "media-blast",
            "Media blast",
            Kinds.CONCRETE,
            Set.of(
                    Defect.SEALER,
                    Defect.CURING_COMPOUND,
                    Defect.PAINT,
                    Defect.OLD_COAT,
                    Defect.ANTIQUE,
                    Defect.RELEASE_POWDER,
                    Defect.EFFLORESCENCE,
                    Defect.DUSTING),
            2,
            5,
            Set.of(Demand.DUST, Demand.NOISE, Demand.FLYING, Demand.ABRASION),
            Source.published(
                    "ICRI 310.2R: abrasive blast CSP 2 to 5, from memory; chosen for stamped work by common practice"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (reasons.isEmpty() && condition.substrate() != Substrate.STAMPED) {
            reasons.add("A flat floor is ground or shot-blasted: grit all over the place buys nothing.");
        }
        if (reasons.isEmpty() && !condition.film()) {
            reasons.add("There is no film in its lows: what lies there loose is washed off.");
        }
        return reasons;
    }

    @Override
    public String cannot(Defect defect) {
        return switch (defect) {
            case OIL, SILICONE -> "blasting spreads it";
            case POLISH, ADHESIVE -> "soft films throw the media back";
            default -> "it has to come off whole first";
        };
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "The stamp is to stay: media takes the film out of the lows, where no wheel reaches.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        return List.of(
                Step.of(
                        Works.SWEEP,
                        "Clear, sweep, screen the place off",
                        "Screens round the floor; glass and plants covered.",
                        "Media flies further than anybody thinks."),
                Step.of(
                                Works.MEDIA_BLAST,
                                "Blast, softest media first",
                                "A hidden place first; even distance, even pace, into the lows.",
                                "Stand still and it cuts a hole in the stamp.")
                        .careful(
                                "Hood with its own air, hearing protection, a second hand at the pot; never sand as media. "
                                        + Steps.ASSESSED)
                        .until(Gates.profile(need)),
                Steps.rub("Vacuum, then rub", "Fingers across, lows too."),
                Steps.drop("Where the film was.", "It proves that nothing was missed."),
                Steps.vacuumLast("Vacuum again right before coating"));
    }
}

package openslab.server.system;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.floor.Substrate;
import openslab.core.prep.Extra;
import openslab.core.prep.Opening;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.prep.wash.Ratio;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.jspecify.annotations.Nullable;

/** Reads how a system wants its floor made ready. */
final class PrepReader {
    private static final int MOST_WAYS = 20;
    /** OURS: a litre of acid mix goes so far where nobody says. */
    private static final double SPREAD_M2_PER_L = 1.8;

    private static final Field PRESSURE = Field.quantity("pressure", "Pressure", Unit.PSI, 100, 10_000, "3000 psi");
    private static final Field SPREAD = Field.quantity(
            "spread", "How far it goes", Unit.SQUARE_FOOT_PER_GALLON, Unit.SQUARE_METRE_PER_LITRE, 0.05, 50, "");

    private final Faults faults;

    PrepReader(Faults faults) {
        this.faults = faults;
    }

    PrepAsks read(SystemForm.MadeReadyPart part) {
        List<SystemForm.ReadyWayPart> parts = part.ways() == null ? List.of() : part.ways();
        if (parts.size() > MOST_WAYS) {
            faults.add("prep.ways", parts.size() + " ways", "at most " + MOST_WAYS);
            return PrepAsks.NOTHING;
        }
        var openings = new ArrayList<Opening>();
        for (int i = 0; i < parts.size(); i++) {
            opening(parts.get(i), "prep.ways[" + i + "].").ifPresent(openings::add);
        }
        return new PrepAsks(openings, all("prep.also", part.also(), Extra.class), part.still() != null && part.still());
    }

    private Optional<Opening> opening(SystemForm.@Nullable ReadyWayPart part, String path) {
        if (part == null) {
            faults.add(path + "method", null, methods());
            return Optional.empty();
        }
        if (part.method() == null || PrepMethods.find(part.method()).isEmpty()) {
            faults.add(path + "method", part.method(), methods());
            return Optional.empty();
        }
        String why = faults.line(path + "why", part.why(), 1, 300);
        Set<Substrate> on = all(path + "on", part.on(), Substrate.class);
        Set<Opening.Manner> manners = all(path + "manner", part.manner(), Opening.Manner.class);
        Value psi = part.pressure() == null
                ? null
                : faults.read(() -> PRESSURE.parse(path + "pressure", part.pressure(), UnitSystem.US));
        Optional<Dose> dose = dose(part.chemical(), part.strength(), part.spread(), path);
        return why == null
                ? Optional.empty()
                : Optional.of(new Opening(
                        part.method(), on, why, dose, psi == null ? 0 : Unit.PSI.fromBase(psi.base()), manners));
    }

    /** What is mixed for a step or a way; empty where nothing is said, or a fault was added. */
    Optional<Dose> dose(@Nullable String named, @Nullable String strength, @Nullable String goes, String path) {
        if (named == null) {
            return Optional.empty();
        }
        Optional<Chemical> chemical = Chemical.find(named);
        if (chemical.isEmpty()) {
            faults.add(
                    path + "chemical",
                    named,
                    "one of "
                            + List.of(Chemical.values()).stream()
                                    .map(Chemical::id)
                                    .collect(Collectors.joining(", ")));
            return Optional.empty();
        }
        Value spread = goes == null ? null : faults.read(() -> SPREAD.parse(path + "spread", goes, UnitSystem.US));
        Dose dose = Dose.of(spread == null ? SPREAD_M2_PER_L : spread.base(), chemical.get());
        if (strength == null) {
            return Optional.of(dose);
        }
        Ratio ratio = faults.read(() -> Ratio.parse(path + "strength", strength));
        return ratio == null ? Optional.empty() : Optional.of(dose.at(strength));
    }

    private static String methods() {
        return "one of " + PrepMethods.ALL.stream().map(PrepMethod::id).collect(Collectors.joining(", "));
    }

    private <E extends Enum<E>> Set<E> all(String path, @Nullable List<String> names, Class<E> type) {
        Set<E> all = EnumSet.noneOf(type);
        for (int i = 0; names != null && i < names.size(); i++) {
            E one = faults.oneOf(path + "[" + i + "]", names.get(i), type);
            if (one != null) {
                all.add(one);
            }
        }
        return all;
    }
}

package openslab.core.prep;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.survey.Films;
import openslab.core.survey.area.Defect;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.OldFloor;
import openslab.core.survey.method.ProfileComparison;
import openslab.core.survey.method.ReleaseCheck;
import openslab.core.survey.method.WalkOver;
import openslab.core.survey.method.WaterDrop;

/**
 * What stands between the film and the floor, as far as anybody looked.
 *
 * @param substrate what the floor is made of
 * @param ground what the work stands on
 * @param found what was seen on the walk-over or drawn, and not proved gone
 * @param beads whether water beads somewhere; empty where nobody dropped any
 * @param csp the newest comparison of its profile; empty where nobody compared
 * @param walked whether somebody walked the whole floor
 * @param unsampled whether something old is there that no laboratory has cleared
 * @param green whether it is concrete that was placed within the month
 * @param indoors whether no weather reaches it
 */
public record Condition(
        Substrate substrate,
        Ground ground,
        Set<Defect> found,
        Optional<Boolean> beads,
        Optional<Double> csp,
        boolean walked,
        boolean unsampled,
        boolean green,
        boolean indoors) {
    /** OURS, as most films ask: younger concrete is green. */
    private static final double GREEN_DAYS = 28;

    /** Why nothing is abraded over an old film that no laboratory has cleared. */
    static final String UNSAMPLED =
            "The old film or floor may hold asbestos or lead: nobody sands, grinds, scrapes, scrubs or strips it before a laboratory result.";

    /** What the walk-over's words stand for, as long as nobody drew it more closely. */
    private static final Map<String, Defect> BY_SIGN = new LinkedHashMap<>();

    static {
        BY_SIGN.put("oil", Defect.OIL);
        BY_SIGN.put("sealer", Defect.SEALER);
        BY_SIGN.put("coating", Defect.PAINT);
        BY_SIGN.put("dusting", Defect.DUSTING);
        BY_SIGN.put("hollow", Defect.HOLLOW);
    }

    public Condition {
        found = found.isEmpty() ? Set.of() : Set.copyOf(found);
    }

    /** Of a floor with no film on it that stays. */
    public Condition(
            Substrate substrate,
            Set<Defect> found,
            Optional<Boolean> beads,
            Optional<Double> csp,
            boolean walked,
            boolean unsampled) {
        this(substrate, Ground.BARE, found, beads, csp, walked, unsampled);
    }

    /** Of a floor that has hardened. */
    public Condition(
            Substrate substrate,
            Ground ground,
            Set<Defect> found,
            Optional<Boolean> beads,
            Optional<Double> csp,
            boolean walked,
            boolean unsampled) {
        this(substrate, ground, found, beads, csp, walked, unsampled, false, false);
    }

    /**
     * @param ageMin of the concrete, min; empty where nobody said
     * @param own signs of a film that stand for what an earlier cycle laid: nobody has to find out what that is
     */
    public static Condition of(
            Survey survey,
            Substrate substrate,
            Ground ground,
            Optional<Double> ageMin,
            boolean indoors,
            Set<String> own) {
        Set<Defect> found = EnumSet.noneOf(Defect.class);
        survey.areas().stream()
                .filter(a -> a.gone().isEmpty())
                .forEach(a -> found.add(a.area().defect()));
        BY_SIGN.forEach((sign, usual) -> {
            boolean drawn = found.stream().anyMatch(d -> d.sign().equals(sign));
            if (!drawn && survey.found().seen(sign).orElse(false)) {
                // what is ours and stays is no defect; what is ours and comes off is known
                if (!own.contains(sign)) {
                    found.add(usual);
                } else if (ground == Ground.COMES_OFF) {
                    found.add(own.contains(Films.SEALER) ? Defect.SEALER : Defect.OLD_COAT);
                }
            }
        });
        if (ReleaseCheck.loose(survey.found()) && substrate == Substrate.STAMPED && !ground.isFilm()) {
            found.add(Defect.RELEASE_POWDER);
        }
        var drops = survey.found().current(WaterDrop.ID);
        Optional<Boolean> beads = drops.isEmpty()
                ? Optional.empty()
                : Optional.of(drops.stream().anyMatch(r -> r.choice("drop").equals("beads")));
        Optional<Double> csp = survey.found().newest(ProfileComparison.ID).map(r -> r.number("csp"));
        return new Condition(
                substrate,
                ground,
                found,
                beads,
                csp,
                survey.found().newest(WalkOver.ID).isPresent(),
                OldFloor.bars(survey.found(), substrate, own),
                ageMin.map(age -> age < Unit.DAY.toBase(GREEN_DAYS)).orElse(false),
                indoors);
    }

    /**
     * Whether somebody walked the floor and, where it can drink, dropped water on it. What lies on a film of ours is known, and
     * water says nothing of a floor under a film that is meant to stay.
     */
    public boolean known(PrepNeed need) {
        return ground.isFilm() || walked && (!drinks() || beads.isPresent() || stays(need));
    }

    private boolean stays(PrepNeed need) {
        return need.asks().films(substrate).stay().stream().map(BY_SIGN::get).anyMatch(found::contains);
    }

    /** Whether water says anything of it: concrete and its overlays, where no film stays on. */
    boolean drinks() {
        return !ground.isFilm() && substrate.family() == Substrate.Family.CEMENT;
    }

    public boolean has(Defect... any) {
        for (Defect d : any) {
            if (found.contains(d)) {
                return true;
            }
        }
        return false;
    }

    /** The same floor, as if these were not on it. */
    Condition without(Defect... gone) {
        Set<Defect> left = new HashSet<>(found);
        List.of(gone).forEach(left::remove);
        return new Condition(substrate, ground, left, beads, csp, walked, unsampled, green, indoors);
    }

    /** Why what opens nothing is not enough here; empty where it is. @param unread how rough it is taken for where nobody compared */
    Optional<String> tooSmooth(PrepNeed need, double unread) {
        double rough = csp.orElse(unread);
        return need.min() > rough
                ? Optional.of("It opens nothing: the concrete is about CSP " + Show.number(rough, 0)
                        + ", and this build-up asks for " + need.text() + ".")
                : Optional.empty();
    }

    /** A film or a colour that stands between concrete and whatever goes on it. */
    boolean film() {
        return has(
                Defect.SEALER,
                Defect.POLISH,
                Defect.CURING_COMPOUND,
                Defect.PAINT,
                Defect.OLD_COAT,
                Defect.ADHESIVE,
                Defect.ANTIQUE,
                Defect.FACTORY_FILM);
    }

    boolean greasy() {
        return has(Defect.OIL, Defect.SILICONE);
    }
}

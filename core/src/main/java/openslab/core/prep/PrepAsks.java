package openslab.core.prep;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.prep.Opening.Manner;
import openslab.core.survey.Films;

/**
 * What a system says of how its floor is made ready, beside the profile that its sheets ask for.
 *
 * @param openings ways of preparing that it takes, the best first; empty where whatever opens the floor enough will do
 * @param extras what is done besides, whichever way
 * @param still whether nothing is blown over the floor and nothing laid below that carries no static away
 */
public record PrepAsks(List<Opening> openings, Set<Extra> extras, boolean still) {
    /** Of a build-up that is no system's. */
    public static final PrepAsks NOTHING = new PrepAsks(List.of(), Set.of(), false);

    public PrepAsks {
        openings = List.copyOf(openings);
        extras = extras.isEmpty() ? Set.of() : EnumSet.copyOf(extras);
    }

    /** The way in which {@code method} is taken on such a floor; empty where the system does not name it there. */
    Optional<Opening> opening(String method, Condition condition) {
        return openings.stream()
                .filter(o -> o.method().equals(method) && o.isOn(condition.substrate()))
                .findFirst();
    }

    /** What of films on such a floor stays by these ways, and whether its face shows through what goes on. */
    public Films films(Substrate substrate) {
        List<Opening> here = openings.stream().filter(o -> o.isOn(substrate)).toList();
        Set<String> stay = new HashSet<>();
        if (here.stream().anyMatch(o -> o.is(Manner.KEEPS_COAT))) {
            stay.add(Films.COATING);
        }
        if (here.stream().anyMatch(o -> o.is(Manner.KEEPS_SEALER))) {
            stay.add(Films.SEALER);
        }
        List<String> films = here.stream()
                .map(Opening::method)
                .filter(m -> m.equals(StripSealer.ID) || m.equals(Grind.ID))
                .toList();
        return new Films(Set.of(), stay, !films.isEmpty() && films.get(0).equals(StripSealer.ID));
    }
}

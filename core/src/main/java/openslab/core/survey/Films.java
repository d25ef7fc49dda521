package openslab.core.survey;

import java.util.Set;

/**
 * What is known of films on a floor before anybody looks: by the words of the walk-over, "sealer" and "coating".
 *
 * @param own signs of what earlier cycles laid: nobody has to find out what that is
 * @param stay signs of what is meant to stay, because what goes on is made to lie on it
 * @param faceShows whether what goes on shows the floor's face, so that a clear film is dissolved and not ground
 */
public record Films(Set<String> own, Set<String> stay, boolean faceShows) {
    /** The walk-over's word for sealer, polish and wax. */
    public static final String SEALER = "sealer";

    /** Its word for paint, coating and adhesive. */
    public static final String COATING = "coating";

    /** Of a floor that nobody coated, under something that stands on bare floor. */
    public static final Films UNKNOWN = new Films(Set.of(), Set.of(), false);

    public Films {
        own = Set.copyOf(own);
        stay = Set.copyOf(stay);
    }

    /** Whether what such a sign stands for is no hindrance: it is ours, or meant to stay. */
    public boolean expects(String sign) {
        return own.contains(sign) || stay.contains(sign);
    }

    /** The same films, on a floor where earlier cycles laid what these signs stand for. */
    public Films with(Set<String> laid) {
        return new Films(laid, stay, faceShows);
    }
}

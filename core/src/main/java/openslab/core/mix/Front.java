package openslab.core.mix;

import java.util.ArrayList;
import java.util.List;

/**
 * How far a coat has come over the bays of a floor, which are coated in their order.
 *
 * @param whole how many of them are covered, from the first on
 * @param inNextM2 how much of the one after them is
 */
public record Front(int whole, double inNextM2) {
    /** OURS: of a floor or a bay; nobody measures closer than a hundredth, and what reaches to the last one reaches. */
    static final double CLOSE = 0.01;

    public static Front of(List<Bay> bays, double coveredM2) {
        double left = coveredM2;
        for (int i = 0; i < bays.size(); i++) {
            double bay = bays.get(i).areaM2();
            if (left < bay * (1 - CLOSE)) {
                return new Front(i, left > bay * CLOSE ? left : 0);
            }
            left = Math.max(0, left - bay);
        }
        return new Front(bays.size(), 0);
    }

    /** What is bare of them. */
    List<Bay> bare(List<Bay> bays) {
        List<Bay> rest = bays.subList(whole, bays.size());
        if (rest.isEmpty() || inNextM2 == 0) {
            return rest;
        }
        var bare = new ArrayList<>(rest);
        bare.set(0, new Bay(rest.get(0).name(), rest.get(0).areaM2() - inNextM2));
        return bare;
    }
}

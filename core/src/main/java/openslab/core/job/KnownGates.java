package openslab.core.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import openslab.core.prep.PrepMethods;
import openslab.core.quantity.Field;
import openslab.core.system.LayGates;
import openslab.core.system.LayUp;

/** What is keyed in at every gate there is: of preparing by its id, of laying by its layer's id and its own. */
public final class KnownGates {
    private static final Map<String, List<Field>> OF_PREP = PrepMethods.gateFields();
    private static final Map<String, List<Field>> OF_LAYING = LayGates.fields();

    private static final Map<String, String> TITLES = titles();

    private KnownGates() {}

    private static Map<String, String> titles() {
        Map<String, String> titles = new TreeMap<>(PrepMethods.gateTitles());
        titles.putAll(LayGates.titles());
        return titles;
    }

    /** Empty where there is no such gate, or none any more. */
    public static Optional<List<Field>> fields(String subject) {
        return Optional.ofNullable(of(subject).get(LayUp.within(subject)));
    }

    /** What it is called; empty where there is no such gate, or none any more. */
    public static Optional<String> title(String subject) {
        return Optional.ofNullable(TITLES.get(LayUp.within(subject)));
    }

    /** The ids of a gate that {@code subject} could have named, without a layer. */
    public static List<String> ids(String subject) {
        return of(subject).keySet().stream().sorted().toList();
    }

    private static Map<String, List<Field>> of(String subject) {
        return LayUp.layerOf(subject).isPresent() ? OF_LAYING : OF_PREP;
    }
}

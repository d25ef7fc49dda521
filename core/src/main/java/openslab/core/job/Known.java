package openslab.core.job;

import java.util.List;
import openslab.core.prep.PrepMethods;
import openslab.core.quantity.Field;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;
import openslab.core.survey.method.TestMethods;

/**
 * Whether an entry still means something. Log entries outlive the methods they were made with: one that names a test, a gate or a
 * defect that is no more, or lacks what is asked today, stays readable as words and counts for nothing.
 */
final class Known {
    private Known() {}

    static boolean is(LogEntry e) {
        return switch (e.kind()) {
            case READING ->
                TestMethods.find(e.subject()).map(m -> has(e, m.fields())).orElse(false);
            case SET ->
                TestMethods.find(e.subject()).flatMap(TestMethod::setOut).isPresent();
            case AREA -> Defect.find(e.subject()).isPresent();
            case GATE -> KnownGates.fields(e.subject()).map(f -> has(e, f)).orElse(false);
            case METHOD -> PrepMethods.find(e.subject()).isPresent();
            case PLACE -> has(e, LogEntry.PLACE_FIELDS);
            default -> true;
        };
    }

    private static boolean has(LogEntry e, List<Field> fields) {
        return fields.stream().allMatch(f -> !f.needed() || e.values().containsKey(f.id()));
    }
}

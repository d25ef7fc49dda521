package openslab.core.prep;

import java.util.List;

/**
 * Every method there is, the first that nothing refuses is chosen. Grinding stands before etching because it needs no
 * rinse, no disposal and no drying day, and proves itself to the eye (OURS; the order is a setting of a later stage).
 */
public final class PrepMethods {
    public static final List<PrepMethod> ALL = List.of(new CleanAndTest(), new Grind(), new Etch());

    private PrepMethods() {}
}

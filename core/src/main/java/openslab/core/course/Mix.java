package openslab.core.course;

import java.util.Map;
import java.util.Optional;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Value;

/** What a step mixes, as far as the order of work has to know it. */
public interface Mix {
    /** How a tick names what is poured out for it. */
    String thing();

    /** That thing in words. */
    String label();

    /** Why a square cannot have been tried so, the field named within its values; empty where it can. */
    Optional<InvalidInput.Fault> misfit(Map<String, Value> square);
}

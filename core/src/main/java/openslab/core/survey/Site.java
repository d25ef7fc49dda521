package openslab.core.survey;

import java.time.Instant;
import openslab.core.floor.Substrate;
import openslab.core.quantity.UnitSystem;

/** What a reading is judged against. */
public record Site(Limits limits, Substrate substrate, double areaM2, UnitSystem units, Instant now) {}

package openslab.core.job;

import java.time.Instant;
import java.util.Optional;
import openslab.core.product.ProductSheet;

/**
 * One layer of the build-up chosen for a zone.
 *
 * @param id stays the same when the sheet is changed for another
 * @param plannedStart when the crew means to begin it, if anybody said
 */
public record LayerChoice(String id, ProductSheet sheet, Optional<Instant> plannedStart) {}

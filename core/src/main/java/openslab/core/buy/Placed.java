package openslab.core.buy;

import java.time.Instant;
import openslab.core.product.Packed;

/**
 * What was ordered, of one sheet in one colour.
 *
 * @param colour empty where it has none
 */
public record Placed(Instant at, String slug, String colour, Packed amount) {}

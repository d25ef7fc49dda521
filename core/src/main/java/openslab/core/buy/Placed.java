package openslab.core.buy;

import java.time.Instant;

/**
 * What was ordered, of one sheet in one colour.
 *
 * @param colour empty where it has none
 * @param amount litres or kilograms
 */
public record Placed(Instant at, String slug, String colour, double amount) {}

package openslab.core.prep;

/**
 * What the place allows.
 *
 * @param dust grinding with shroud and vacuum is allowed
 * @param washWater wash water can be used, collected and disposed of by local rule
 */
public record SiteLimits(boolean dust, boolean washWater) {}

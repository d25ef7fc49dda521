package openslab.core.cure;

/** So many minutes at one temperature. */
public record Spell(double minutes, double celsius) {}

package openslab.core.mix;

import openslab.core.quantity.Require;

/**
 * How this crew works.
 *
 * @param paceM2PerMin area covered from bucket to back-rolled, m²/min
 * @param potLifeShare how much of the pot life the crew plans to use, 0–1
 * @param allowance what is bought and mixed on top of the bare arithmetic
 * @param vesselL what is mixed in one vessel at most, litres
 */
public record Crew(double paceM2PerMin, double potLifeShare, Allowance allowance, double vesselL) {
    /** OURS: 500 ft² inside 45 min is about 11 ft²/min; four fifths of the pot life leaves time for the last wall. */
    public static final Crew DEFAULT = new Crew(1.0, 0.8, Allowance.of(0.1), 15);

    /** The same crew with another allowance. */
    public Crew with(Allowance other) {
        return new Crew(paceM2PerMin, potLifeShare, other, vesselL);
    }

    public Crew {
        Require.positive(paceM2PerMin, "pace");
        Require.that(
                potLifeShare > 0 && potLifeShare <= 1,
                "share of the pot life must be above 0 and at most 1, got %s",
                potLifeShare);
        Require.positive(vesselL, "vessel");
    }
}

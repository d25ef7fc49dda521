package openslab.core.prep.wash;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * A wash for so much floor in so many vessels, each filled alike.
 *
 * @param words the ratio, said so that nobody takes one for the other
 * @param vessels how many fillings
 * @param water first into each vessel; {@code concentrate} after it
 * @param waterLine how high the water stands in a straight pail, percent of the filling
 * @param soda what makes all of it harmless if none were used up; empty where it is no acid of known strength
 * @param order in which it goes in, and why
 */
public record WashMix(
        Chemical chemical,
        String words,
        Figure total,
        int vessels,
        Figure water,
        Figure concentrate,
        Figure waterLine,
        Optional<Figure> soda,
        List<String> order,
        String caution) {
    private static final Source GEOMETRY = Source.arithmetic("C1·V1 = C2·V2; 1:n is one part into n of water");

    /** So near to a limit or to a whole vessel is at it. */
    private static final double ROUNDING = 1e-9;

    /**
     * @param vesselL how much a vessel is filled to
     * @param areaM2 of floor to be washed
     * @param spreadM2PerL how far a litre of the mix goes
     * @throws InvalidInput where the dose is stronger than the label goes, or so weak that it is water
     */
    public static WashMix of(
            Chemical chemical, Ratio ratio, double vesselL, double areaM2, double spreadM2PerL, UnitSystem system) {
        Ratio strongest = chemical.strongest();
        Ratio weakest = chemical.weakest();
        if (ratio.water() < strongest.water() - ROUNDING) {
            throw new InvalidInput(
                    "ratio",
                    ratio.typed() + ", " + ratio.words(),
                    "no stronger than " + strongest.words() + " for "
                            + chemical.label().toLowerCase(Locale.ROOT)
                            + ": was it meant the other way round?");
        }
        if (ratio.water() > weakest.water() + ROUNDING) {
            throw new InvalidInput(
                    "ratio",
                    ratio.typed() + ", " + ratio.words(),
                    "no weaker than " + weakest.words() + ": more water than that is only water");
        }
        Unit big = Unit.of(Dimension.VOLUME, system);
        Unit small = system == UnitSystem.US ? Unit.FLUID_OUNCE : Unit.MILLILITRE;
        var all = new Worksheet(system);
        Unit area = Unit.of(Dimension.AREA, system);
        Unit spread = Unit.of(Dimension.SPREAD, system);
        all.given("A", "floor to be washed", area.fromBase(areaM2), area);
        all.given("s", "how far it goes", spread.fromBase(spreadM2PerL), spread);
        double totalL = areaM2 / spreadM2PerL;
        Figure total = all.figure("mix for the floor", "V", "A/s", big.fromBase(totalL), big, GEOMETRY);
        int vessels = (int) Math.ceil(totalL / vesselL - ROUNDING);
        double filledL = totalL / vessels;
        double eachConcentrateL = filledL * ratio.share();
        var c = new Worksheet(system);
        c.given("V", "filling of one vessel", small.fromBase(filledL), small);
        c.given("n", "parts of water to one", ratio.water(), Unit.ONE);
        Figure concentrate =
                c.figure("concentrate in each", "c", "V/(n+1)", small.fromBase(eachConcentrateL), small, GEOMETRY);
        var w = new Worksheet(system);
        w.given("V", "filling of one vessel", big.fromBase(filledL), big);
        w.given("n", "parts of water to one", ratio.water(), Unit.ONE);
        Figure water =
                w.figure("water in each", "w", "V·n/(n+1)", big.fromBase(filledL - eachConcentrateL), big, GEOMETRY);
        var l = new Worksheet(system);
        l.given("n", "parts of water to one", ratio.water(), Unit.ONE);
        Figure line =
                l.figure("line for the water", "l", "100·n/(n+1)", 100 * (1 - ratio.share()), Unit.PERCENT, GEOMETRY);
        var order = new ArrayList<String>();
        boolean acid = chemical.family() == Chemical.Family.ACID;
        order.add("Water first, to its line.");
        order.add(
                acid
                        ? "Then the acid, slowly, into the water: never water into acid, it boils and spits."
                        : "Then the concentrate; stir without foaming.");
        return new WashMix(
                chemical,
                ratio.words(),
                total,
                vessels,
                water,
                concentrate,
                line,
                chemical == Chemical.MURIATIC
                        ? Optional.of(Neutralising.sodaForMuriatic(totalL * ratio.share(), system))
                        : Optional.empty(),
                List.copyOf(order),
                caution(chemical));
    }

    private static String caution(Chemical chemical) {
        return switch (chemical.family()) {
            case ACID ->
                "Goggles, gloves, boots, fresh air; metal away. Not on post-tensioned, sealed or metallic-hardened slabs. Never near bleach, stripper or ammonia.";
            case STRIPPER -> "Gloves and goggles; slippery. Never with bleach or acid.";
            case ALKALI -> "Burns skin and eyes: gloves and goggles. Never with acid.";
            case BLEACH -> "Never with ammonia, acid or stripper. Fresh air.";
            case AMMONIA -> "Never with bleach, nor on acid that was not rinsed off. Fresh air.";
            case SOAP -> "Wash water goes where local rules let it.";
        };
    }
}

package openslab.core.prep.wash;

import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * A wash for so much floor in so many vessels, each filled alike.
 *
 * @param words the ratio, said so that nobody takes one for the other
 * @param section of it, for a part that is worked at once; {@code of} which part that is: "for each of 4 sections"
 * @param vessels how many fillings
 * @param water first into each vessel; {@code concentrate} after it
 * @param waterLine how high the water stands in a straight pail, percent of the filling
 * @param soda what makes all of it harmless if none were used up; empty where it is no acid of known strength
 * @param order in which it goes in, and why
 */
public record WashMix(
        Chemical chemical,
        String title,
        String words,
        Figure total,
        Figure section,
        String of,
        int vessels,
        Figure water,
        Figure concentrate,
        Figure waterLine,
        Optional<Figure> soda,
        List<String> order,
        String caution) {
    private static final Source GEOMETRY = Source.arithmetic("C1·V1 = C2·V2; 1:n is one part into n of water");

    /** CP: 10 × 10 ft at a time, m². */
    private static final double SECTION_M2 = 9.290304;

    /** So near to a limit or to a whole vessel is at it. */
    private static final double ROUNDING = 1e-9;

    /**
     * @param vesselL how much a vessel is filled to
     * @param areaM2 of floor to be washed
     * @param spreadM2PerL how far a litre of the mix goes
     * @param sections in how many parts alike it is worked; 0 where nobody said: then the usual 10 × 10 ft at a time
     * @throws InvalidInput where the dose is stronger than the label goes, or so weak that it is water
     */
    public static WashMix of(
            Chemical chemical,
            Ratio ratio,
            double vesselL,
            double areaM2,
            double spreadM2PerL,
            int sections,
            UnitSystem system) {
        requirePlausible(chemical, ratio);
        Unit volume = Unit.of(Dimension.VOLUME, system);
        Unit dosed = system == UnitSystem.US ? Unit.FLUID_OUNCE : Unit.MILLILITRE;
        double totalL = areaM2 / spreadM2PerL;
        int vessels = (int) Math.ceil(totalL / vesselL - ROUNDING);
        double filledL = totalL / vessels;
        double concentrateL = filledL * ratio.share();
        return new WashMix(
                chemical,
                chemical.label(),
                ratio.words(),
                spread("mix for the floor", areaM2, spreadM2PerL, system),
                spread("mix for one section", sections > 0 ? areaM2 / sections : SECTION_M2, spreadM2PerL, system),
                sections > 0
                        ? "for each of " + sections + " sections, " + Show.in(system, Dimension.AREA, areaM2 / sections)
                        : "for 10 × 10 ft",
                vessels,
                share("water in each", "V·n/(n+1)", filledL, filledL - concentrateL, ratio, volume, system),
                ratio.isBags()
                        ? bags(filledL, ratio, system)
                        : share("concentrate in each", "V/(n+1)", filledL, concentrateL, ratio, dosed, system),
                line(ratio, system),
                chemical == Chemical.MURIATIC
                        ? Optional.of(Neutralising.sodaForMuriatic(totalL * ratio.share(), system))
                        : Optional.empty(),
                List.of(
                        "Water first, to its line.",
                        chemical.family() == Chemical.Family.ACID
                                ? "Then the acid, slowly, into the water: never water into acid, it boils and spits."
                                : chemical.family() == Chemical.Family.SODA
                                        ? "Then the powder; stir until it is clear."
                                        : "Then the concentrate; stir without foaming."),
                chemical.family().caution());
    }

    /** Strong enough to do anything, and no stronger than its label; a liquid is not told in bags, nor a powder in parts. */
    private static void requirePlausible(Chemical chemical, Ratio ratio) {
        Ratio strongest = chemical.strongest();
        Ratio weakest = chemical.weakest();
        String typed = ratio.typed() + ", " + ratio.words();
        if (ratio.isBags() != strongest.isBags()) {
            throw new InvalidInput(
                    "ratio",
                    typed,
                    "told as its label has it, such as " + strongest.typed() + " for " + Show.lower(chemical.label()));
        }
        if (ratio.thinness() < strongest.thinness() - ROUNDING) {
            throw new InvalidInput(
                    "ratio",
                    typed,
                    "no stronger than " + strongest.words() + " for " + Show.lower(chemical.label())
                            + (isTurnedRound(ratio, weakest, strongest) ? ": was it meant the other way round?" : ""));
        }
        if (ratio.thinness() > weakest.thinness() + ROUNDING) {
            throw new InvalidInput(
                    "ratio", typed, "no weaker than " + weakest.words() + ": more water than that is only water");
        }
    }

    /** Whether the same numbers, read the other way, would be a strength of its label. */
    private static boolean isTurnedRound(Ratio ratio, Ratio weakest, Ratio strongest) {
        double turned = 1 / ratio.thinness();
        return turned >= strongest.thinness() - ROUNDING && turned <= weakest.thinness() + ROUNDING;
    }

    private static Figure bags(double filledL, Ratio ratio, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("V", "filling of one vessel", filledL, Unit.LITRE);
        w.given("b", "water to a bag", ratio.bagL(), Unit.LITRE);
        return w.figure("bags in each", "c", "V/b", filledL / ratio.bagL(), Unit.BAG, GEOMETRY);
    }

    private static Figure spread(String label, double areaM2, double spreadM2PerL, UnitSystem system) {
        var w = new Worksheet(system);
        Unit area = Unit.of(Dimension.AREA, system);
        Unit spread = Unit.of(Dimension.SPREAD, system);
        Unit volume = Unit.of(Dimension.VOLUME, system);
        w.given("A", "floor to be washed", area.fromBase(areaM2), area);
        w.given("s", "how far it goes", spread.fromBase(spreadM2PerL), spread);
        return w.figure(label, "V", "A/s", volume.fromBase(areaM2 / spreadM2PerL), volume, GEOMETRY);
    }

    private static Figure share(
            String label, String formula, double filledL, double shareL, Ratio ratio, Unit unit, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("V", "filling of one vessel", unit.fromBase(filledL), unit);
        if (ratio.isBags()) {
            return w.figure(label, "v", "V", unit.fromBase(filledL), unit, GEOMETRY);
        }
        w.given("n", "parts of water to one", ratio.water(), Unit.ONE);
        return w.figure(label, "v", formula, unit.fromBase(shareL), unit, GEOMETRY);
    }

    private static Figure line(Ratio ratio, UnitSystem system) {
        var w = new Worksheet(system);
        if (ratio.isBags()) {
            w.given("f", "a powder adds nothing to the filling", 100, Unit.PERCENT);
            return w.figure("line for the water", "l", "f", 100, Unit.PERCENT, GEOMETRY);
        }
        w.given("n", "parts of water to one", ratio.water(), Unit.ONE);
        return w.figure("line for the water", "l", "100·n/(n+1)", 100 * (1 - ratio.share()), Unit.PERCENT, GEOMETRY);
    }

    /** Level scoops of the concentrate into each; empty where it goes by the bag. @param scoopL what one holds */
    public Optional<Figure> scoops(double scoopL, UnitSystem system) {
        if (concentrate.unit() == Unit.BAG) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        w.from("c", concentrate);
        w.given("h", "a level scoop", concentrate.unit().fromBase(scoopL), concentrate.unit());
        return Optional.of(w.figure(
                "level scoops",
                "n",
                "c/h",
                concentrate.base() / scoopL,
                Unit.SCOOP,
                Source.arithmetic("what a scoop holds")));
    }

    /**
     * Where the water stands on a vessel with marks, "line 2.4 of 3".
     *
     * @param marks lines from its bottom to its rim, apart alike
     * @param vesselL what it holds to the last of them
     */
    public Figure mark(int marks, double vesselL, UnitSystem system) {
        var w = new Worksheet(system);
        double waterL = w.given("v", "water in each", water.base(), Unit.LITRE);
        w.given("V", "the vessel holds", vesselL, Unit.LITRE);
        w.given("k", "lines on it", marks, Unit.ONE);
        return w.figure("water up to line", "m", "k·v/V", marks * waterL / vesselL, Unit.ONE, GEOMETRY);
    }
}

package openslab.core.buy;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import openslab.core.prep.wash.WashMix;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * Something that a floor takes and nobody keeps a sheet of: what a wash is let down from, what cracks are filled with, grit.
 *
 * @param id what the price book calls it
 * @param label with the pack it is counted in
 * @param amount in {@code unit}, of which a pack holds so much
 */
public record Supply(String id, String label, double amount, Unit unit, double pack, Source source) {
    private static final Source PACKS = Source.ours("usual packs; the one in hand beats it");
    private static final Source LABEL = Source.ours("as strong as its label has it, until a test patch says another");

    /** A 50 lb bag of mortar makes so many litres (0.45 ft³), STANDARDS 11.5. */
    private static final double BAG_OF_MORTAR_L = 12.74;

    private static final double BAG_OF_SAND_KG = 22.68;
    private static final double TUBE_L = 0.3;

    private static final Source GRIT =
            Source.commonPractice("as much as its sheet takes; up to 1 qt in 5 gal where it is silent");
    private static final double USUAL_GRIT = 0.05;

    /** OURS: litres to a metre of cove, 4 in high with a radius of 1 in, 1/8 in thick. */
    private static final double USUAL_COVE_L = 0.38;

    private static final Source COVE = Source.ours("a cove 4 in high, radius 1 in, 1/8 in thick, along every wall");

    private record Pack(String words, double holds) {}

    private static final Pack MORTAR = new Pack("bags of 50 lb (23 kg)", BAG_OF_MORTAR_L);

    /** What repairs take, as their figures call it; what is not here is no material. */
    private static final Map<String, Pack> REPAIRS = Map.of(
            "flexible filler", new Pack("tubes of 10 fl oz (300 mL)", TUBE_L),
            "structural filler", new Pack("cans of 1 qt (1 L)", Unit.QUART.toBase(1)),
            "patching mortar", MORTAR,
            "fill to level", MORTAR,
            "fill to fall to the drain", MORTAR,
            "cove mortar", new Pack("units of 1 gal (3.8 L)", Unit.GALLON.toBase(1)),
            "30-mesh sand", new Pack("bags of 50 lb (23 kg)", BAG_OF_SAND_KG));

    /** What of a repair's figures is bought; empty for lengths, lifts and the like. */
    public static Optional<Supply> ofRepair(Figure figure) {
        return Optional.ofNullable(REPAIRS.get(figure.label()))
                .filter(pack -> figure.base() > 0)
                .map(pack -> new Supply(
                        id(figure.label()),
                        Show.capital(figure.label()) + ", " + pack.words(),
                        figure.base(),
                        figure.unit(),
                        pack.holds(),
                        PACKS));
    }

    /** What a wash takes out of its can, or how many of its bags, for all of its vessels. */
    public static Supply ofWash(WashMix mix, UnitSystem system) {
        double amount = mix.vessels() * mix.concentrate().base();
        if (mix.concentrate().unit() == Unit.BAG) {
            return new Supply(id(mix.title()), mix.title() + ", bags", amount, Unit.BAG, 1, LABEL);
        }
        Pack pack = can(system);
        return new Supply(id(mix.title()), mix.title() + ", " + pack.words(), amount, Unit.LITRE, pack.holds(), LABEL);
    }

    /** Grit that is stirred into a coat. @param most litres to a litre, as its sheet has it; 0 where it is silent */
    public static Supply ofGrit(double coatL, double most) {
        return new Supply(
                id("anti-slip grit"),
                "Anti-slip grit, jars of 1 qt (1 L)",
                coatL * (most > 0 ? most : USUAL_GRIT),
                Unit.LITRE,
                Unit.QUART.toBase(1),
                GRIT);
    }

    /** What goes into bags that are coloured on the floor. @param bags of powder; {@code mostL} of colour to one, as its sheet has it */
    public static Supply ofColour(double bags, double mostL) {
        return new Supply(
                id("colour for bags"),
                "Colour for bags, bottles of 1 qt (1 L)",
                bags * mostL,
                Unit.LITRE,
                Unit.QUART.toBase(1),
                Source.sheet("the most colour a bag may have, in every bag"));
    }

    /** Mortar for a cove that no plan has drawn. @param metres of wall */
    public static Supply ofCove(double metres) {
        Pack pack = REPAIRS.get("cove mortar");
        return new Supply(
                id("cove mortar"),
                "Cove mortar, " + pack.words(),
                metres * USUAL_COVE_L,
                Unit.LITRE,
                pack.holds(),
                COVE);
    }

    private static Pack can(UnitSystem system) {
        return system == UnitSystem.US ? new Pack("cans of 1 gal", Unit.GALLON.toBase(1)) : new Pack("cans of 5 L", 5);
    }

    /** What the price book calls something that is used up. */
    static String id(String label) {
        return "worn-" + label.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    }
}

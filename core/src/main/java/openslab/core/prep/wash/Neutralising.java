package openslab.core.prep.wash;

import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Baking soda that takes up an acid: HCl + NaHCO3 → NaCl + H2O + CO2, and so on. By molar masses (IUPAC, from memory). */
public final class Neutralising {
    /** Sodium bicarbonate, g/mol. */
    private static final double SODA = 84.007;

    private static final Source MOLES = Source.arithmetic(
            "molar masses (IUPAC, from memory); 20 °Bé is 31.45 % of 1.16 kg/L (handbook tables, from memory); concrete uses most of the acid up, so this is an upper bound");

    /** 20 °Bé: 31.45 % HCl, 1.16 kg/L (handbook tables, from memory). */
    private static final double MURIATIC_SHARE = 0.3145;

    private static final double MURIATIC_KG_PER_L = 1.16;

    /** An acid, by its molar mass and the protons that bicarbonate takes. */
    public enum Acid {
        HYDROCHLORIC(36.461, 1),
        SULFAMIC(97.09, 1),
        /** Bicarbonate does not take the third. */
        PHOSPHORIC(97.994, 2),
        CITRIC(192.124, 3);

        private final double molar;
        private final int protons;

        Acid(double molar, int protons) {
            this.molar = molar;
            this.protons = protons;
        }
    }

    private Neutralising() {}

    /** Grams of bicarbonate for a gram of the acid without its water. */
    public static double sodaPerGram(Acid acid) {
        return acid.protons * SODA / acid.molar;
    }

    /** @param acidL muriatic acid of 20 °Bé, undiluted */
    public static Figure sodaForMuriatic(double acidL, UnitSystem system) {
        var w = new Worksheet(system);
        Unit volume = Unit.LITRE;
        w.given("V", "muriatic acid", acidL, volume);
        w.given("r", "its density", MURIATIC_KG_PER_L, Unit.KILOGRAM_PER_LITRE);
        w.given("p", "hydrochloric in it", MURIATIC_SHARE, Unit.ONE);
        double acid =
                w.let("m", "hydrochloric acid", "V·r·p", acidL * MURIATIC_KG_PER_L * MURIATIC_SHARE, Unit.KILOGRAM);
        double per = w.given("k", "baking soda to one of acid", sodaPerGram(Acid.HYDROCHLORIC), Unit.ONE);
        return w.figure("baking soda at most", "b", "k·m", per * acid, Unit.KILOGRAM, MOLES);
    }
}

package openslab.core.cure;

import java.util.List;

/** Equivalent age at a reference temperature, Arrhenius form: t_e = Σ exp[−Q(1/T − 1/T_s)]·Δt (ASTM C1074, from memory). */
public final class EquivalentAge {
    private static final double ZERO_C_IN_K = 273.15;

    private EquivalentAge() {}

    /**
     * @param history spells of constant temperature
     * @param referenceC the temperature whose hours are meant, °C
     * @param q activation energy over the gas constant, K; 5000 where nothing better is known (C1074, from memory)
     * @return minutes at {@code referenceC} that would have brought the material as far
     */
    public static double minutes(List<Spell> history, double referenceC, double q) {
        double sum = 0;
        for (Spell spell : history) {
            sum += Math.exp(-q * (1 / (spell.celsius() + ZERO_C_IN_K) - 1 / (referenceC + ZERO_C_IN_K)))
                    * spell.minutes();
        }
        return sum;
    }
}

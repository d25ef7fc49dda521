package openslab.core.survey.dry;

import openslab.core.quantity.Source;

/**
 * Moisture diffusivity of concrete as its pores empty, m²/s: {@code D = D1·(α + (1-α)/(1 + ((1-H)/(1-Hc))^n))}.
 *
 * @param d1 at saturation, m²/s
 * @param alpha what is left of it in dry concrete, share
 * @param middle pore humidity where it has half fallen, share
 * @param steepness the exponent, whole
 */
public record Diffusivity(double d1, double alpha, double middle, int steepness) {
    public static final Source MC90 = Source.published("CEB-FIP Model Code 1990, moisture diffusivity, from memory");
    /** Activation energy over the gas constant, K: warm concrete dries faster. */
    private static final double Q_K = 4700;

    public static final Source WARMTH = Source.published("Bažant and Najjar 1972, Q/R 4700 K, from memory");
    private static final double REFERENCE_K = 293.15;

    /** The same whatever the humidity. */
    public static Diffusivity constant(double d) {
        return new Diffusivity(d, 1, 0.8, 15);
    }

    /** With the model code's shape. */
    public static Diffusivity modelCode(double d1) {
        return new Diffusivity(d1, 0.05, 0.8, 15);
    }

    /** {@code D1} by mean strength, MPa: 1e-9/((fcm-8)/10). */
    public static double saturated(double strengthMpa) {
        return 1e-9 / ((strengthMpa - 8) / 10);
    }

    /** @param humidity of the pores, share */
    public double at(double humidity) {
        if (alpha == 1) {
            return d1;
        }
        double base = Math.max(0, 1 - humidity) / (1 - middle);
        double power = 1;
        double square = base;
        for (int n = steepness; n > 0; n >>= 1) {
            power = (n & 1) == 1 ? power * square : power;
            square *= square;
        }
        return d1 * (alpha + (1 - alpha) / (1 + power));
    }

    /** The same concrete at another temperature than 20 °C. */
    public Diffusivity warmedTo(double celsius) {
        double faster = Math.exp(Q_K * (1 / REFERENCE_K - 1 / (celsius + 273.15)));
        return new Diffusivity(d1 * faster, alpha, middle, steepness);
    }
}

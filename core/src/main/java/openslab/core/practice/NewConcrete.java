package openslab.core.practice;

import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.survey.Limits;

/** How long new concrete waits for its sealer. */
public enum NewConcrete implements School {
    BY_SHEET("As its sheet says", "The maker knows what it lets through."),
    FOUR_WEEKS(
            "28 days, whatever it is",
            "By then concrete has most of its strength, and most of its free water has gone."),
    NEXT_DAY_BUT_ONE(
            "The next day but one, where it breathes",
            "A breathable acrylic keeps water in that cures the concrete, and keeps dirt out of new colour.");

    public static final Practice PRACTICE = Practice.of(
            "new-concrete",
            "How long does new concrete wait for a sealer?",
            BY_SHEET,
            "A sealer that lets vapour through may go early; a film stops water and alkali, so it waits and is tested. Its sheet knows which it is.",
            values());

    private final String label;
    private final String reason;

    NewConcrete(String label, String reason) {
        this.label = label;
        this.reason = reason;
    }

    @Override
    public String label() {
        return label;
    }

    @Override
    public String reason() {
        return reason;
    }

    /** Common practice; the sheet in hand beats both. */
    private static final double FOUR_WEEKS_D = 28;

    private static final double NEXT_BUT_ONE_D = 2;

    @Override
    public ProductSheet taken(ProductSheet sheet) {
        return sheet.limits()
                .filter(l -> l.minAgeDays() > 0)
                .map(l -> sheet.limited(l.aged(days(sheet, l))))
                .orElse(sheet);
    }

    private double days(ProductSheet sheet, Limits asked) {
        return switch (this) {
            case BY_SHEET -> asked.minAgeDays();
            case FOUR_WEEKS -> Math.max(FOUR_WEEKS_D, asked.minAgeDays());
            case NEXT_DAY_BUT_ONE -> isBreathingAcrylic(sheet, asked) ? NEXT_BUT_ONE_D : asked.minAgeDays();
        };
    }

    /** Stains, dyes and cement coats let vapour through as well, and wait for another reason. */
    private static boolean isBreathingAcrylic(ProductSheet sheet, Limits asked) {
        return !asked.moisture()
                && switch (sheet.traits().chemistry()) {
                    case SOLVENT_ACRYLIC, WATER_ACRYLIC ->
                        sheet.role() == LayerRole.SEALER || sheet.role() == LayerRole.CLEAR;
                    default -> false;
                };
    }
}

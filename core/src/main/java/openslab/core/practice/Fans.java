package openslab.core.practice;

import java.util.List;
import openslab.core.course.Step;
import openslab.core.prep.Works;
import openslab.core.product.Fan;
import openslab.core.product.Material;
import openslab.core.product.ProductSheet;

/** Whether air is moved over a coat while it dries. */
public enum Fans implements School {
    BY_SHEET("As its sheet says", "Some skin over, some only dry."),
    SPEED("Wherever its sheet does not forbid it", "A floor that is dry is a floor that is paid."),
    NEVER("Never", "Moved air carries dust, and skins what is wet below.");

    public static final Practice PRACTICE = Practice.of(
            "fans",
            "Does a fan run while it dries?",
            BY_SHEET,
            "A fan dries one film faster and skins another over: its sheet knows.",
            values());

    private final String label;
    private final String reason;

    Fans(String label, String reason) {
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

    private static final String ON = " A fan runs.";
    private static final String ON_BY_DAY = " A fan runs outside the quiet hours.";
    private static final String OFF = " No fan.";

    @Override
    public Step laid(Step step, ProductSheet sheet, Place place) {
        if (!step.proves() || sheet.material().kind() == Material.Kind.BROADCAST) {
            return step;
        }
        Fan says = sheet.handling().fan();
        return switch (this) {
            case BY_SHEET -> step;
            case SPEED -> says == Fan.NEVER ? step : step.adding(place.quiet() ? ON_BY_DAY : ON);
            case NEVER -> step.adding(OFF);
        };
    }

    @Override
    public List<Step> prepared(List<Step> steps, Place place) {
        return this == NEVER
                ? steps.stream()
                        .map(s -> s.work() == Works.DRY ? s.adding(OFF) : s)
                        .toList()
                : steps;
    }
}

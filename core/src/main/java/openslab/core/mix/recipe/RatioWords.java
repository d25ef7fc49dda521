package openslab.core.mix.recipe;

import java.util.stream.Collectors;
import openslab.core.product.Concentrate;
import openslab.core.product.Liquid;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/** A ratio said so that nobody takes one part for the other. */
final class RatioWords {
    private RatioWords() {}

    static String of(ProductSheet sheet, UnitSystem system) {
        if (sheet.material() instanceof Powder p) {
            return "to a bag of " + Show.in(Unit.of(Dimension.MASS, system), p.bagKg())
                    + ": "
                    + range(p.waterLeastL(), p.waterMostL(), system) + " of water"
                    + (p.colourMostL() > 0
                            ? ", " + range(p.colourLeastL(), p.colourMostL(), system) + " of colour"
                            : "");
        }
        Liquid liquid = sheet.liquid().orElseThrow();
        if (sheet.material() instanceof Concentrate c) {
            return "1 part of concentrate into " + number(c.water()) + " of water by volume ("
                    + Show.number(100 * c.packedShare(), c.packedShare() < 0.1 ? 2 : 1) + " % of the mix)";
        }
        if (liquid.parts().size() == 1) {
            return "one part, as it comes";
        }
        double first = liquid.parts().get(0).parts() * liquid.parts().get(0).density();
        String volume = liquid.parts().stream()
                .map(p -> number(p.parts()) + " of " + p.name())
                .collect(Collectors.joining(" to "));
        String weight = liquid.parts().stream()
                .map(p -> Show.number(
                                100 * p.parts() * p.density() / first,
                                p == liquid.parts().get(0) ? 0 : 1) + " of " + p.name())
                .collect(Collectors.joining(" to "));
        return volume + " by volume; by weight " + weight;
    }

    private static String range(double leastL, double mostL, UnitSystem system) {
        return mostL > leastL
                ? Spoken.of(leastL, system) + " to " + Spoken.of(mostL, system)
                : Spoken.of(leastL, system);
    }

    private static String number(double parts) {
        return Show.number(parts, parts == Math.rint(parts) ? 0 : 2);
    }

    /** A part within a sentence. */
    static String named(Liquid.Part part) {
        return switch (part.name()) {
            case "A", "B" -> "part " + part.name();
            case "C" -> "reducer C";
            default -> Show.lower(part.name());
        };
    }
}

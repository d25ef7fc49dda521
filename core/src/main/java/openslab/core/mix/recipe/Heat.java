package openslab.core.mix.recipe;

import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;

/** A mass that stands in the pail heats itself, and goes off long before the pot life that holds for a cup of it. */
final class Heat {
    /** OURS: pot lives are told for 100 to 150 g at 25 °C; ten of these lie in a pail's bottom and are still poured in time. */
    static final double MOST_KG = 1.5;

    private static final Source SOURCE = Source.commonPractice(
            "pot life is told for 100 to 150 g at 25 °C and is shorter in a larger mass; nobody may reckon by how much");

    private Heat() {}

    static Finding of(double kg, UnitSystem system) {
        return Finding.of("mass-in-the-pail")
                .measured(Show.in(system, Dimension.MASS, kg) + " in one pail")
                .needed("out of the pail at once", SOURCE)
                .watch(
                        "heats up standing",
                        "A mass that stands heats itself and sets long before its pot life is over.",
                        "All of it out of the pail at once; nothing stays in it.");
    }
}

package openslab.core.prep.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.prep.Gates;
import openslab.core.prep.Works;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Worksheet;

/** The cove along walls that have one: thickened epoxy with sand, the gap under the wall filled with it. */
final class CoveTrowelled implements RepairRule {
    @Override
    public Optional<Repair> of(Damage damage) {
        double metres = damage.flaws().coveM();
        if (metres <= 0) {
            return Optional.empty();
        }
        var w = new Worksheet(damage.system());
        w.given("S", "walls with a cove, doors left out", metres, Unit.METRE);
        var figures = new ArrayList<Figure>();
        figures.add(w.figure("cove to trowel", "L", "S", metres, Unit.METRE, Source.arithmetic("lengths of the plan")));
        damage.flaws().coveMortar().ifPresent(figures::add);
        Step step = Step.of(
                        Works.COVE,
                        "Trowel the cove",
                        "Prime, fill the gap under the wallboard, turn it up; corners by hand.",
                        "A floor that stops at the wall lets water in behind it.")
                .careful("Amine hardener: gloves; it makes skin sensitive for good.")
                .over(metres)
                .dwells(damage.patch().setsMin())
                .until(Gates.set());
        return Optional.of(new Repair(
                "cove", "Cove", List.of(step), figures, "", Source.commonPractice("thickened epoxy with sand")));
    }
}

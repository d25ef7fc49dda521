package openslab.core.prep.repair;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.Step;
import openslab.core.floor.plan.Flaws;
import openslab.core.prep.Gates;
import openslab.core.prep.Works;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;

/** A filled crack that moves is not guaranteed, and the client is told so before anything covers it. */
final class MovingCracks implements RepairRule {
    @Override
    public Optional<Repair> of(Damage damage) {
        List<Flaws.Crack> moving =
                damage.flaws().cracks().stream().filter(Flaws.Crack::moving).toList();
        if (moving.isEmpty()) {
            return Optional.empty();
        }
        String which = moving.stream()
                .map(c -> c.id() + " (" + Show.in(damage.system(), Dimension.LENGTH, c.lengthM()) + ")")
                .collect(Collectors.joining(", "));
        Step tell = Step.of(
                        Works.TELL,
                        "Say in writing what is not promised",
                        "Cracks that move: " + which + ".",
                        "No filler and no coat holds a crack that opens and closes.")
                .until(Gates.told());
        return Optional.of(new Repair(
                "moving-cracks",
                "Cracks that move",
                List.of(tell),
                List.of(),
                "These cracks open and close with the slab: " + which
                        + ". They are filled so that the floor is whole when it is handed over. That they stay closed, and do"
                        + " not show through the coating, is not part of what is promised; their later repair is not included.",
                Source.commonPractice("a filled moving crack is not guaranteed: say so in writing")));
    }
}

package openslab.core.prep.repair;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.Step;
import openslab.core.floor.level.Lip;
import openslab.core.floor.plan.Flaws;
import openslab.core.prep.Works;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Worksheet;
import openslab.core.silica.SilicaTask;

/** Lips that may not stay, ground and sloped back. */
final class LipsGround implements RepairRule {
    @Override
    public Optional<Repair> of(Damage damage) {
        List<Flaws.Rise> lips = damage.flaws().lips();
        if (lips.isEmpty()) {
            return Optional.empty();
        }
        double m2 = lips.stream()
                .mapToDouble(l -> Lip.groundM2(l.lengthM(), l.heightM()))
                .sum();
        var w = new Worksheet(damage.system());
        Unit area = Unit.of(Dimension.AREA, damage.system());
        w.given("S", "length · 36 · height of " + lips.size() + ", added up", area.fromBase(m2), area);
        Figure ground = w.figure("lips to grind back", "A", "S", area.fromBase(m2), area, Lip.GRIND_BACK);
        Step step = Step.of(
                        Works.GRIND_LIP,
                        "Grind lips to their slope",
                        lips.stream().map(Flaws.Rise::name).collect(Collectors.joining(", ")) + ".",
                        "A lip trips, wears through first and telegraphs.")
                .careful("Silica: " + SilicaTask.HAND_GRINDER.control() + ".")
                .over(m2);
        return Optional.of(new Repair("lips", "Lips", List.of(step), List.of(ground), "", Lip.GRIND_BACK));
    }
}

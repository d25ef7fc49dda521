package openslab.core.prep.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.Step;
import openslab.core.floor.level.Gap;
import openslab.core.prep.Gates;
import openslab.core.prep.Works;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/** Low places brought up to the height that was asked for. */
final class LevelFilled implements RepairRule {
    @Override
    public Optional<Repair> of(Damage damage) {
        List<Gap.GapCheck> gaps = damage.flaws().gaps();
        Optional<Figure> fill = damage.flaws().fill();
        if (gaps.isEmpty() && fill.isEmpty()) {
            return Optional.empty();
        }
        String where = gaps.isEmpty()
                ? "By the heights of the plan."
                : "Gaps under the straightedge at "
                        + gaps.stream().map(Gap.GapCheck::id).collect(Collectors.joining(", ")) + ".";
        Step step = Step.of(
                        Works.LEVEL,
                        "Fill to level",
                        where + " In lifts of at most "
                                + Show.in(
                                        Unit.small(damage.system()),
                                        damage.patch().liftM()) + ".",
                        "Water stands in a low place, and a film is thick there.")
                .dwells(damage.patch().setsMin())
                .until(Gates.set());
        var figures = new ArrayList<Figure>();
        fill.ifPresent(figures::add);
        gaps.forEach(g -> figures.add(g.gap()));
        return Optional.of(new Repair(
                "level",
                "Fill low places",
                List.of(step),
                figures,
                "",
                Source.commonPractice("ponding is cured before an overlay, not after")));
    }
}

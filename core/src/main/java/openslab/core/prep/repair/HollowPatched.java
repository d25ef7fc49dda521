package openslab.core.prep.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.prep.Gates;
import openslab.core.prep.Works;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Worksheet;

/** Places that were cut out, built up in lifts no deeper than the product allows. */
final class HollowPatched implements RepairRule {
    private static final Source DEPTH =
            Source.ours("depth as the zone's settings have it until it is cut out and measured");

    @Override
    public Optional<Repair> of(Damage damage) {
        if (damage.hollowM2() <= 0) {
            return Optional.empty();
        }
        PatchLimits patch = damage.patch();
        int lifts = patch.lifts(patch.voidM());
        var w = new Worksheet(damage.system());
        Unit area = Unit.of(Dimension.AREA, damage.system());
        w.given("A", "drawn hollow", damage.hollowM2(), Unit.SQUARE_METRE);
        w.given("d", "cut out so deep", patch.voidM() * 1000, Unit.MILLIMETRE);
        double litres = damage.hollowM2() * patch.voidM() * 1000;
        Figure mortar = w.figure("patching mortar", "V", "A·d", litres, Unit.LITRE, DEPTH);
        var a = new Worksheet(damage.system());
        a.given("S", "drawn on the floor", area.fromBase(damage.hollowM2()), area);
        Figure patched = a.figure(
                "hollow places to patch",
                "A",
                "S",
                area.fromBase(damage.hollowM2()),
                area,
                Source.arithmetic("as drawn"));
        return Optional.of(new Repair(
                "hollow",
                "Build up what was cut out",
                steps(damage.hollowM2(), lifts, patch),
                List.of(patched, mortar, Lifts.figure("lifts", patch.voidM(), patch, damage.system())),
                "",
                Source.commonPractice(
                        "voids deeper than a lift are built up first; press it in; strike off with a straight board")));
    }

    private static List<Step> steps(double m2, int lifts, PatchLimits patch) {
        var steps = new ArrayList<Step>();
        for (int lift = 1; lift <= lifts; lift++) {
            steps.add(Step.of(
                            Works.PATCH,
                            lifts == 1 ? "Patch what was cut out" : "Patch, lift " + lift + " of " + lifts,
                            lift == lifts
                                    ? "Pressed in, corners rebuilt by hand, struck off with a straight board."
                                    : "Pressed in against the sides, left rough for the next.",
                            "A lift deeper than the product allows never sets through.")
                    .which(String.valueOf(lift))
                    .over(m2)
                    .dwells(patch.setsMin())
                    .until(Gates.set()));
        }
        return steps;
    }
}

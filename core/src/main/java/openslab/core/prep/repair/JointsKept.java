package openslab.core.prep.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.Room;
import openslab.core.prep.Works;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Joints pinned at both ends before they are buried, and cut again after: as many out as went in. */
final class JointsKept implements RepairRule {
    private static final Source PRACTICE = Source.commonPractice(
            "pin both ends of every joint before burying, snap lines, cut through; expansion joints are never bridged");

    @Override
    public Optional<Repair> of(Damage damage) {
        List<Flaws.Joint> joints = damage.flaws().joints();
        if (joints.isEmpty()) {
            return Optional.empty();
        }
        List<Flaws.Joint> open = joints.stream()
                .filter(j -> j.kind() == Room.Joint.Kind.EXPANSION)
                .toList();
        long unmarked = joints.stream().filter(j -> !j.marked()).count();
        var figures = new ArrayList<Figure>();
        figures.add(pins(joints.size(), damage.system()));
        figures.add(length("joints to cut again", joints, damage.system()));
        if (!open.isEmpty()) {
            figures.add(length("of them expansion joints, kept open", open, damage.system()));
        }
        Step step = Step.of(
                Works.MARK_JOINTS,
                "Pin both ends of every joint",
                unmarked == 0
                        ? "All are marked on the plan: look that the pins stand."
                        : unmarked + " are not marked yet.",
                "A joint that cannot be found again cracks the floor where it likes.");
        return Optional.of(new Repair("joints", "Joints", List.of(step), figures, "", PRACTICE));
    }

    private static Figure pins(int joints, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("n", "joints in the zone", joints, Unit.ONE);
        return w.figure("pins", "p", "2·n", 2.0 * joints, Unit.ONE, PRACTICE);
    }

    private static Figure length(String label, List<Flaws.Joint> joints, UnitSystem system) {
        double metres = joints.stream().mapToDouble(Flaws.Joint::lengthM).sum();
        var w = new Worksheet(system);
        w.given("S", joints.size() + " joints within the zone, added up", metres, Unit.METRE);
        return w.figure(label, "L", "S", metres, Unit.METRE, Source.arithmetic("lengths of the plan"));
    }
}

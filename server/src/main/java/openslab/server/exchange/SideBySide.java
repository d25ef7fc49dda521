package openslab.server.exchange;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.RoomPlan;

/** A plan's rooms on one sheet, a metre apart: every room has axes of its own, so where they lie to one another is not known. */
record SideBySide(List<Placed> rooms) {
    private static final double APART_M = 1;

    /** @param right how far the room was moved along x, m */
    record Placed(RoomPlan room, double right) {
        Corner on(Corner c) {
            return new Corner(c.x() + right, c.y());
        }

        List<Corner> on(List<Corner> corners) {
            return corners.stream().map(this::on).toList();
        }
    }

    static SideBySide of(PlanReport plan) {
        var placed = new ArrayList<Placed>();
        double next = 0;
        for (RoomPlan room : plan.rooms()) {
            Box box = Box.round(room.outline().corners());
            double right = placed.isEmpty() ? 0 : next - box.low().x();
            placed.add(new Placed(room, right));
            next = box.high().x() + right + APART_M;
        }
        return new SideBySide(List.copyOf(placed));
    }
}

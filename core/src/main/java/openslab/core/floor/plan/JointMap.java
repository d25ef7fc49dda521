package openslab.core.floor.plan;

import java.util.List;
import java.util.function.Predicate;

/**
 * The joints counted: as many are cut again as were buried, and as many buried as were marked, or one is lost.
 *
 * @param toMark not marked yet; {@code toCut} buried and not cut again yet
 * @param lost buried without a mark: their ends cannot be found
 */
public record JointMap(int joints, int marked, int buried, int recut, int toMark, int toCut, int lost) {
    static JointMap of(List<Room.Joint> joints) {
        return new JointMap(
                joints.size(),
                count(joints, Room.Joint::marked),
                count(joints, Room.Joint::buried),
                count(joints, Room.Joint::recut),
                count(joints, j -> !j.marked()),
                count(joints, j -> j.buried() && !j.recut()),
                count(joints, j -> j.buried() && !j.marked()));
    }

    private static int count(List<Room.Joint> joints, Predicate<Room.Joint> which) {
        return (int) joints.stream().filter(which).count();
    }
}

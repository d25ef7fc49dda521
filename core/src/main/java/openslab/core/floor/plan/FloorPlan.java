package openslab.core.floor.plan;

import java.util.List;

/** Every room of a job. @param north degrees that north lies to the right of straight up the first wall's left */
public record FloorPlan(List<Room> rooms, double north) {
    public static final FloorPlan EMPTY = new FloorPlan(List.of(), 0);

    public FloorPlan {
        rooms = List.copyOf(rooms);
    }
}

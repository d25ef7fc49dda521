package openslab.core.floor.plan;

import java.util.List;

/** Every room of a job. @param north degrees that north lies to the right of straight up the first wall's left */
public record FloorPlan(List<Room> rooms, double north) {
    public static final FloorPlan EMPTY = new FloorPlan(List.of(), 0);

    public FloorPlan {
        rooms = List.copyOf(rooms);
    }

    /** See {@link Room#places}. */
    public int places() {
        return (int) Math.min(
                Integer.MAX_VALUE, rooms.stream().mapToLong(Room::places).sum());
    }
}

package openslab.server.floor;

import java.util.List;
import java.util.function.Function;
import openslab.server.web.Named;

/**
 * One field of what stands in a room.
 *
 * @param id its name in the form
 * @param unless may stay empty where this other field says something
 * @param least metres, or a number; {@code most} likewise
 * @param freshUs what a new one begins with; of a wall or a corner, which of them
 */
public record RoomField(
        String id,
        String label,
        Kind kind,
        List<Named> choices,
        String hint,
        boolean optional,
        String unless,
        double least,
        double most,
        String freshUs,
        String freshMetric) {
    /** How a field is keyed in. */
    public enum Kind {
        /** Words in a line. */
        WORDS,
        /** A length, in feet or metres where no unit is written. */
        LENGTH,
        /** A length, in inches or millimetres where no unit is written. */
        SMALL,
        /** A whole number. */
        NUMBER,
        /** A turn: L, R, S, L 45. */
        TURN,
        TICK,
        CHOICE,
        /** A wall of the room, by its run. */
        WALL,
        /** A corner of the room, by the run that begins there. */
        CORNER,
        /** Along the first wall, and off it. */
        PLACE,
        /** Several of those. */
        PLACES
    }

    static final double SHORTEST_M = 0.005;
    static final double LONGEST_M = 1_000;
    static final double THINNEST_M = 0.0001;
    private static final String PLACES = "along, off; along, off: 3', 4'; 5', 6'";

    private static RoomField of(String id, String label, Kind kind, double least, double most) {
        return new RoomField(id, label, kind, List.of(), "", false, "", least, most, "", "");
    }

    static RoomField words(String id, String label, String fresh) {
        return of(id, label, Kind.WORDS, 1, 120).fresh(fresh, fresh);
    }

    static RoomField length(String id, String label) {
        return of(id, label, Kind.LENGTH, SHORTEST_M, LONGEST_M);
    }

    static RoomField small(String id, String label, double least, double most) {
        return of(id, label, Kind.SMALL, least, most);
    }

    static RoomField number(String id, String label, int least, int most) {
        return of(id, label, Kind.NUMBER, least, most);
    }

    static RoomField turn(String id, String label) {
        return of(id, label, Kind.TURN, 0, 0);
    }

    static RoomField tick(String id, String label) {
        return of(id, label, Kind.TICK, 0, 0);
    }

    static RoomField wall(String id, String label) {
        return of(id, label, Kind.WALL, 0, 0).fresh("0", "0");
    }

    static RoomField corner(String id, String label, int fresh) {
        return of(id, label, Kind.CORNER, 0, 0).fresh(Integer.toString(fresh), Integer.toString(fresh));
    }

    static RoomField place(String id, String what) {
        return of(id, what, Kind.PLACE, -LONGEST_M, LONGEST_M);
    }

    static RoomField places(String id, String label) {
        return of(id, label, Kind.PLACES, -LONGEST_M, LONGEST_M).hint(PLACES);
    }

    static <E extends Enum<E>> RoomField choice(String id, String label, Class<E> of, Function<E, String> words) {
        List<Named> choices = Named.all(of, words);
        String first = choices.get(0).id();
        return new RoomField(id, label, Kind.CHOICE, choices, "", false, "", 0, 0, first, first);
    }

    RoomField hint(String words) {
        return new RoomField(id, label, kind, choices, words, optional, unless, least, most, freshUs, freshMetric);
    }

    RoomField ifWanted() {
        return new RoomField(id, label, kind, choices, hint, true, unless, least, most, freshUs, freshMetric);
    }

    RoomField unless(String other) {
        return new RoomField(id, label, kind, choices, hint, optional, other, least, most, freshUs, freshMetric);
    }

    RoomField from(double metres) {
        return new RoomField(id, label, kind, choices, hint, optional, unless, metres, most, freshUs, freshMetric);
    }

    RoomField to(double metres) {
        return new RoomField(id, label, kind, choices, hint, optional, unless, least, metres, freshUs, freshMetric);
    }

    RoomField fresh(String us, String metric) {
        return new RoomField(id, label, kind, choices, hint, optional, unless, least, most, us, metric);
    }
}

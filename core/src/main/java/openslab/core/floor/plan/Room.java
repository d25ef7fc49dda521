package openslab.core.floor.plan;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.Require;

/**
 * One room or outdoor floor, as measured.
 *
 * @param edges how single walls are worked; a wall that is not named here is masked and nothing more
 * @param cuts lines that part one zone from the next
 * @param levels heights as they were read, places from the first corner
 * @param marks which zone each part is, by a place inside it
 */
public record Room(
        String id,
        String name,
        Walk walk,
        List<Edge> edges,
        List<Opening> openings,
        List<Ramp> ramps,
        List<Stair> stairs,
        List<Door> doors,
        List<Joint> joints,
        List<Crack> cracks,
        List<Cut> cuts,
        List<ZoneMark> marks,
        Optional<Heights> levels) {

    public Room {
        edges = List.copyOf(edges);
        openings = List.copyOf(openings);
        ramps = List.copyOf(ramps);
        stairs = List.copyOf(stairs);
        doors = List.copyOf(doors);
        joints = List.copyOf(joints);
        cracks = List.copyOf(cracks);
        cuts = List.copyOf(cuts);
        marks = List.copyOf(marks);
    }

    /** A room with nothing in it yet. */
    public static Room of(String id, String name, Walk walk) {
        return new Room(
                id,
                name,
                walk,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty());
    }

    /** How a wall is worked; one without a word of its own is masked and nothing more. */
    Edge edge(String run) {
        return edges.stream()
                .filter(e -> e.run().equals(run))
                .findFirst()
                .orElse(new Edge(run, true, false, false, null));
    }

    /** What doors take of a wall, m. */
    double doorsM(String run) {
        return doors.stream()
                .filter(d -> d.run().equals(run))
                .mapToDouble(Door::widthM)
                .sum();
    }

    /** What is not coated. */
    public record Opening(String id, String name, Kind kind, Ring ring) {
        public enum Kind {
            CUT_OUT("Cut-out"),
            COLUMN("Column"),
            DRAIN("Drain"),
            FIXTURE("Fixture");

            private final String label;

            Kind(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }
        }
    }

    /** How a wall meets the floor. @param run the wall's */
    public record Edge(String run, boolean mask, boolean cutIn, boolean trim, Cove cove) {}

    /**
     * A concave fillet between floor and wall.
     *
     * @param radiusM of the fillet
     * @param heightM of the coved face, the fillet included; at least the radius
     * @param thickM of the face above the fillet
     * @param gapM behind it, between floor and wallboard, to be filled
     */
    public record Cove(double radiusM, double heightM, double thickM, double gapM) {
        public Cove {
            Require.positive(radiusM, "radius");
            Require.that(heightM >= radiusM, "height must be at least the radius, got %s", heightM);
            Require.that(thickM >= 0 && gapM >= 0, "thickness and gap must be 0 or more, got %s", thickM);
        }
    }

    /** A slope within the room: {@code box} as seen from above, its length up the slope. */
    public record Ramp(String id, String name, Ring.Box box, double riseM) {
        public Ramp {
            Require.positive(riseM, "rise");
        }
    }

    /** A flight beside the floor: not part of its plan, but coated with it. */
    public record Stair(String id, String name, double widthM, int risers, double riserM, double treadM) {
        public Stair {
            Require.positive(widthM, "width");
            Require.positive(riserM, "riser");
            Require.positive(treadM, "tread");
            Require.that(risers >= 1, "risers must be at least 1, got %s", risers);
        }
    }

    /** @param run in which wall; {@code alongM} from the wall's first corner; {@code exit} a way out while coating */
    public record Door(String id, String run, double alongM, double widthM, boolean exit) {
        public Door {
            Require.that(alongM >= 0, "along must be 0 or more, got %s", alongM);
            Require.positive(widthM, "width");
        }
    }

    public record Joint(
            String id,
            Kind kind,
            Corner from,
            Corner to,
            double widthM,
            double depthM,
            boolean marked,
            boolean buried,
            boolean recut) {
        public enum Kind {
            CONTROL("Control joint"),
            CONSTRUCTION("Construction joint"),
            EXPANSION("Expansion joint");

            private final String label;

            Kind(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }
        }

        public double lengthM() {
            return Math.hypot(to.x() - from.x(), to.y() - from.y());
        }
    }

    /** @param line at least two places */
    public record Crack(String id, List<Corner> line, double widthM, double depthM, boolean moving) {
        public Crack {
            line = List.copyOf(line);
            Require.that(line.size() >= 2, "a crack must have at least 2 places, got %s", line.size());
        }

        public double lengthM() {
            double sum = 0;
            for (int i = 1; i < line.size(); i++) {
                sum += Math.hypot(
                        line.get(i).x() - line.get(i - 1).x(),
                        line.get(i).y() - line.get(i - 1).y());
            }
            return sum;
        }
    }

    /** From place to place, and on to the next wall at either end. */
    public record Cut(String id, Corner from, Corner to) {}

    /** @param in a place inside the part that is the zone's */
    public record ZoneMark(String zoneId, Corner in) {}
}

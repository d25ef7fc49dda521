package openslab.core.floor.plan;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.Levels;
import openslab.core.floor.level.Lip;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.Require;

/**
 * One room or outdoor floor, as measured.
 *
 * @param edges how single walls are worked; a wall that is not named here is masked and nothing more
 * @param cuts lines that part one zone from the next
 * @param marks which zone each part is, by a place inside it
 * @param levels heights as they were read, places from the first corner
 * @param gaps under a straightedge
 * @param lips where one surface stands above the next
 * @param filmM how wide the film is that hangs from the masking tape
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
        Optional<Levels> levels,
        List<Gap> gaps,
        List<Lip> lips,
        double filmM) {

    /** Keeps a roller's spray off a wall; a stain that is sprayed wants four feet. */
    public static final double USUAL_FILM_M = 0.6096;

    public Room {
        Require.positive(filmM, "masking film");
        edges = List.copyOf(edges);
        openings = List.copyOf(openings);
        ramps = List.copyOf(ramps);
        stairs = List.copyOf(stairs);
        doors = List.copyOf(doors);
        joints = List.copyOf(joints);
        cracks = List.copyOf(cracks);
        cuts = List.copyOf(cuts);
        marks = List.copyOf(marks);
        gaps = List.copyOf(gaps);
        lips = List.copyOf(lips);
    }

    /** Places along its walls and lines as they are drawn, curves in short steps, and its heights: what it costs. */
    public int places() {
        long n = walk.runs().stream()
                .mapToLong(r -> 1 + r.bow().offsetsM(r.lengthM()).length)
                .sum();
        n += openings.stream().mapToLong(o -> o.ring().corners().size()).sum();
        n += cracks.stream().mapToLong(c -> c.line().size()).sum();
        n += cuts.stream().mapToLong(c -> c.line().size()).sum();
        n += levels.map(l -> l.heights().heightsM().length).orElse(0);
        return (int) Math.min(Integer.MAX_VALUE, n);
    }

    /** A room with nothing in it yet. */
    public static Room of(String id, String name, Walk walk) {
        return draft(id, name, walk).room();
    }

    /** A room to put things in. */
    public static Draft draft(String id, String name, Walk walk) {
        return new Draft(id, name, walk);
    }

    /** A room while things are put in it; what is not named is not there. */
    public static final class Draft {
        private final String id;
        private final String name;
        private final Walk walk;
        private List<Edge> edges = List.of();
        private List<Opening> openings = List.of();
        private List<Ramp> ramps = List.of();
        private List<Stair> stairs = List.of();
        private List<Door> doors = List.of();
        private List<Joint> joints = List.of();
        private List<Crack> cracks = List.of();
        private List<Cut> cuts = List.of();
        private List<ZoneMark> marks = List.of();
        private Optional<Levels> levels = Optional.empty();
        private List<Gap> gaps = List.of();
        private List<Lip> lips = List.of();
        private double filmM = USUAL_FILM_M;

        private Draft(String id, String name, Walk walk) {
            this.id = id;
            this.name = name;
            this.walk = walk;
        }

        public Draft edges(List<Edge> list) {
            edges = list;
            return this;
        }

        public Draft openings(List<Opening> list) {
            openings = list;
            return this;
        }

        public Draft ramps(List<Ramp> list) {
            ramps = list;
            return this;
        }

        public Draft stairs(List<Stair> list) {
            stairs = list;
            return this;
        }

        public Draft doors(List<Door> list) {
            doors = list;
            return this;
        }

        public Draft joints(List<Joint> list) {
            joints = list;
            return this;
        }

        public Draft cracks(List<Crack> list) {
            cracks = list;
            return this;
        }

        public Draft cuts(List<Cut> list) {
            cuts = list;
            return this;
        }

        public Draft marks(List<ZoneMark> list) {
            marks = list;
            return this;
        }

        public Draft filmM(double metres) {
            filmM = metres;
            return this;
        }

        public Draft levels(Optional<Levels> read) {
            levels = read;
            return this;
        }

        public Draft gaps(List<Gap> list) {
            gaps = list;
            return this;
        }

        public Draft lips(List<Lip> list) {
            lips = list;
            return this;
        }

        public Room room() {
            return new Room(
                    id, name, walk, edges, openings, ramps, stairs, doors, joints, cracks, cuts, marks, levels, gaps,
                    lips, filmM);
        }
    }

    /** How a wall is worked; one without a word of its own is masked and nothing more. */
    Edge edge(String run) {
        for (Edge edge : edges) {
            if (edge.run().equals(run)) {
                return edge;
            }
        }
        return new Edge(run, true, false, false, null);
    }

    /** What doors take of a wall, m. */
    double doorsM(String run) {
        double sum = 0;
        for (Door door : doors) {
            sum += door.run().equals(run) ? door.widthM() : 0;
        }
        return sum;
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

        /** How much more it is along its slope than it looks from above. */
        public double moreM2() {
            return box.widthM() * (Math.sqrt(box.lengthM() * box.lengthM() + riseM * riseM) - box.lengthM());
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

        /** Its risers, and the treads between them: one fewer. */
        public double coatedM2() {
            return widthM * (risers * riserM + (risers - 1) * treadM);
        }
    }

    /** @param run in which wall; {@code alongM} from the wall's first corner; {@code exit} a way out while coating */
    public record Door(String id, String run, double alongM, double widthM, boolean exit) {
        public Door {
            Require.that(alongM >= 0, "along must be 0 or more, got %s", alongM);
            Require.positive(widthM, "width");
        }
    }

    /**
     * @param marked where its ends were pinned; {@code buried} once it was coated over; {@code recut} once it is open again
     * @param parts whether one zone ends here and the next begins
     */
    public record Joint(
            String id,
            Kind kind,
            Corner from,
            Corner to,
            double widthM,
            double depthM,
            boolean marked,
            boolean buried,
            boolean recut,
            boolean parts) {
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

    /**
     * A line between zones.
     *
     * @param line from place to place, at least two; on to the next wall at either end, unless it is a ring
     * @param ring back to its first place, round a zone within the floor
     */
    public record Cut(String id, List<Corner> line, boolean ring) {
        public Cut {
            line = List.copyOf(line);
            Require.that(line.size() >= (ring ? 3 : 2), "a line must have places enough, got %s", line.size());
        }

        /** Straight through two places, from wall to wall. */
        public static Cut through(String id, Corner from, Corner to) {
            return new Cut(id, List.of(from, to), false);
        }
    }

    /** @param in a place inside the part that is the zone's */
    public record ZoneMark(String zoneId, Corner in) {}
}

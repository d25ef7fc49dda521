package openslab.server.floor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A plan as it is keyed in: every measure as text. Lists that are left out are empty.
 *
 * @param north degrees, empty for straight up
 */
public record PlanForm(List<RoomForm> rooms, String north) {
    public static final PlanForm EMPTY = new PlanForm(List.of(), "");

    public PlanForm {
        rooms = orEmpty(rooms);
        north = north == null ? "" : north;
    }

    /** The same plan for zones of other ids. */
    public PlanForm marking(UnaryOperator<String> renamed) {
        return new PlanForm(
                rooms.stream().map(r -> r == null ? null : r.marking(renamed)).toList(), north);
    }

    private static <T> List<T> orEmpty(List<T> list) {
        return list == null ? List.of() : list;
    }

    /** @param film how wide the masking film is; left out for two feet */
    public record RoomForm(
            String id,
            String name,
            List<RunForm> runs,
            List<CheckForm> checks,
            List<EdgeForm> edges,
            List<OpeningForm> openings,
            List<RampForm> ramps,
            List<StairForm> stairs,
            List<DoorForm> doors,
            List<JointForm> joints,
            List<CrackForm> cracks,
            List<CutForm> cuts,
            List<MarkForm> marks,
            Optional<LevelsForm> levels,
            List<GapForm> gaps,
            List<LipForm> lips,
            Optional<String> film) {
        public RoomForm {
            runs = orEmpty(runs);
            checks = orEmpty(checks);
            edges = orEmpty(edges);
            openings = orEmpty(openings);
            ramps = orEmpty(ramps);
            stairs = orEmpty(stairs);
            doors = orEmpty(doors);
            joints = orEmpty(joints);
            cracks = orEmpty(cracks);
            cuts = orEmpty(cuts);
            marks = orEmpty(marks);
            levels = levels == null ? Optional.empty() : levels;
            gaps = orEmpty(gaps);
            lips = orEmpty(lips);
            film = film == null ? Optional.empty() : film;
        }

        static RoomForm of(String id, String name, List<RunForm> runs) {
            return new RoomForm(
                    id,
                    name,
                    runs,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    Optional.empty());
        }

        RoomForm withRuns(List<RunForm> other) {
            return new RoomForm(
                    id, name, other, checks, edges, openings, ramps, stairs, doors, joints, cracks, cuts, marks, levels,
                    gaps, lips, film);
        }

        RoomForm holding(
                List<OpeningForm> openings, List<JointForm> joints, List<CrackForm> cracks, List<CutForm> cuts) {
            return new RoomForm(
                    id, name, runs, checks, edges, openings, ramps, stairs, doors, joints, cracks, cuts, marks, levels,
                    gaps, lips, film);
        }

        RoomForm withMark(MarkForm mark) {
            var all = new ArrayList<>(marks);
            all.add(mark);
            return withMarks(all);
        }

        private RoomForm withMarks(List<MarkForm> other) {
            return new RoomForm(
                    id, name, runs, checks, edges, openings, ramps, stairs, doors, joints, cracks, cuts, other, levels,
                    gaps, lips, film);
        }

        private RoomForm marking(UnaryOperator<String> renamed) {
            return withMarks(marks.stream()
                    .map(m -> m == null || m.zoneId() == null ? m : new MarkForm(renamed.apply(m.zoneId()), m.in()))
                    .toList());
        }
    }

    /** @param turn at the run's first corner: L, R, S, L 45; {@code bow} empty where the wall is straight */
    public record RunForm(String id, String length, String turn, Optional<BowForm> bow) {}

    /**
     * @param kind half, rise, radius or offsets
     * @param side left or right of the run
     * @param measures none for a half circle, one for rise and radius, one or more for offsets
     */
    public record BowForm(String kind, String side, List<String> measures) {}

    /** @param from id of the run that begins at the corner; {@code to} likewise */
    public record CheckForm(String id, String from, String to, String length) {}

    /** @param cove left out where there is none */
    public record EdgeForm(String run, boolean mask, boolean cutIn, boolean trim, Optional<CoveForm> cove) {}

    public record CoveForm(String radius, String height, String thick, String gap) {}

    /** Along the first wall, and off it to the left. */
    public record PlaceForm(String along, String off) {}

    /**
     * @param width empty for a circle, whose {@code length} is its diameter about {@code at}
     * @param corners of any other shape, at least three; then the measures before it are not asked for
     */
    public record OpeningForm(
            String id,
            String name,
            String kind,
            PlaceForm at,
            String length,
            String width,
            String turn,
            List<PlaceForm> corners) {
        public OpeningForm {
            length = length == null ? "" : length;
            width = width == null ? "" : width;
            turn = turn == null ? "" : turn;
            corners = orEmpty(corners);
        }
    }

    public record RampForm(
            String id, String name, PlaceForm at, String length, String width, String turn, String rise) {
        public RampForm {
            turn = turn == null ? "" : turn;
        }
    }

    public record StairForm(String id, String name, String width, int risers, String riser, String tread) {}

    public record DoorForm(String id, String run, String along, String width, boolean exit) {}

    /** @param parts whether one zone ends at it and the next begins */
    public record JointForm(
            String id,
            String kind,
            PlaceForm from,
            PlaceForm to,
            String width,
            String depth,
            boolean marked,
            boolean buried,
            boolean recut,
            Boolean parts) {
        public JointForm {
            parts = parts != null && parts;
        }
    }

    public record CrackForm(String id, List<PlaceForm> line, String width, String depth, boolean moving) {}

    /** @param more places after {@code to}; {@code ring} back to {@code from}, round a zone within the floor */
    public record CutForm(String id, PlaceForm from, PlaceForm to, List<PlaceForm> more, Boolean ring) {
        public CutForm {
            ring = ring != null && ring;
            more = orEmpty(more);
        }
    }

    public record MarkForm(String zoneId, PlaceForm in) {}

    /**
     * Heights on a square grid, row by row from {@code at}.
     *
     * @param step between readings; {@code columns} how many a row has
     * @param heights above any datum, empty where nothing was read
     * @param fillTo height to fill to, empty for the highest reading
     * @param fall towards the drains, empty for none
     */
    public record LevelsForm(PlaceForm at, String step, int columns, List<String> heights, String fillTo, String fall) {
        public LevelsForm {
            heights = orEmpty(heights);
            fillTo = fillTo == null ? "" : fillTo;
            fall = fall == null ? "" : fall;
        }
    }

    /** @param at the middle of the straightedge */
    public record GapForm(String id, PlaceForm at, String edge, String gap) {}

    public record LipForm(String id, String name, PlaceForm from, PlaceForm to, String height) {}
}

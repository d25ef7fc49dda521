package openslab.server.floor;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.Heights;
import openslab.core.floor.level.Levels;
import openslab.core.floor.level.Lip;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.Ring;
import openslab.core.floor.plan.Room;
import openslab.core.floor.walk.Bow;
import openslab.core.floor.walk.Check;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Turn;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.FallText;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/** Reads a plan's texts: every fault is told at once, each with its path, such as {@code rooms[0].runs[2].length}. */
final class PlanReader {
    private static final int MOST_ROOMS = 60;
    private static final int MOST_RUNS = 2_000;
    private static final int MOST_CHECKED = 150;
    private static final int MOST_OF_A_KIND = 500;
    private static final int MOST_LEVELS = 20_000;
    /** Of a plan, as {@link Room#places} counts them. */
    static final int MOST_PLACES = 40_000;

    private static final double SHORTEST_M = RoomField.SHORTEST_M;
    private static final double LONGEST_M = RoomField.LONGEST_M;
    private static final double THINNEST_M = RoomField.THINNEST_M;

    private final Faults faults = new Faults();
    private final UnitSystem units;

    private PlanReader(UnitSystem units) {
        this.units = units;
    }

    /** @throws openslab.core.quantity.InvalidInput with every fault of the form */
    static FloorPlan read(PlanForm form, UnitSystem units) {
        if (form == null) {
            throw new InvalidInput("form", null, "a plan: its rooms and where north is");
        }
        var reader = new PlanReader(units);
        List<Room> rooms = reader.list("rooms", form.rooms(), MOST_ROOMS, reader::room);
        double north = reader.angle("north", form.north());
        reader.faults.check();
        reader.differ("rooms", rooms, Room::id);
        reader.faults.check();
        var plan = new FloorPlan(rooms, north);
        if (plan.places() > MOST_PLACES) {
            throw new InvalidInput(
                    "rooms",
                    plan.places() + " places",
                    "at most " + MOST_PLACES + " places along walls, curves and lines, and heights, in one plan");
        }
        return plan;
    }

    /** Reads every item at its path; nulls where something was at fault. */
    private <F, T> List<T> list(String path, List<F> forms, int most, BiFunction<String, F, T> read) {
        List<F> items = orEmpty(forms);
        if (items.size() > most) {
            faults.add(path, items.size() + " of them", "at most " + most);
            return List.of();
        }
        var out = new ArrayList<T>(items.size());
        for (int i = 0; i < items.size(); i++) {
            String here = path + "[" + i + "]";
            F item = items.get(i);
            if (item == null) {
                faults.add(here, null, "something, not null");
                continue;
            }
            T value = read.apply(here, item);
            if (value != null) {
                out.add(value);
            }
        }
        return out;
    }

    private static <F> List<F> orEmpty(List<F> forms) {
        return forms == null ? List.of() : forms;
    }

    private <T> void differ(String path, List<T> items, Function<T, String> id) {
        Set<String> seen = new HashSet<>();
        items.stream().map(id).filter(i -> !seen.add(i)).forEach(i -> faults.add(path, i, "an id of its own for each"));
    }

    private Room room(String path, PlanForm.RoomForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        String name = faults.line(path + ".name", form.name(), 1, 120);
        List<Run> runs = list(path + ".runs", form.runs(), MOST_RUNS, this::run);
        boolean whole = runs.size() == form.runs().size();
        if (whole && runs.size() < 2) {
            faults.add(path + ".runs", runs.size() + " of them", "at least 2 walls");
        }
        differ(path + ".runs", runs, Run::id);
        Map<String, Integer> corners = new HashMap<>();
        for (int i = 0; i < runs.size(); i++) {
            corners.put(runs.get(i).id(), i);
        }
        int mostChecks = runs.size() > MOST_CHECKED ? 0 : MOST_OF_A_KIND;
        List<Check> checks =
                list(path + ".checks", form.checks(), mostChecks, (p, f) -> whole ? check(p, f, corners) : null);
        List<Room.Edge> edges =
                list(path + ".edges", form.edges(), MOST_RUNS, (p, f) -> whole ? edge(p, f, corners) : null);
        List<Room.Door> doors =
                list(path + ".doors", form.doors(), MOST_OF_A_KIND, (p, f) -> whole ? door(p, f, corners) : null);
        List<Room.Opening> openings = list(path + ".openings", form.openings(), MOST_OF_A_KIND, this::opening);
        List<Room.Ramp> ramps = list(path + ".ramps", form.ramps(), MOST_OF_A_KIND, this::ramp);
        List<Room.Stair> stairs = list(path + ".stairs", form.stairs(), MOST_OF_A_KIND, this::stair);
        List<Room.Joint> joints = list(path + ".joints", form.joints(), MOST_OF_A_KIND, this::joint);
        List<Room.Crack> cracks = list(path + ".cracks", form.cracks(), MOST_OF_A_KIND, this::crack);
        List<Room.Cut> cuts = list(path + ".cuts", form.cuts(), MOST_OF_A_KIND, this::cut);
        List<Room.ZoneMark> marks = list(path + ".marks", form.marks(), MOST_OF_A_KIND, this::mark);
        Optional<Levels> levels = form.levels().flatMap(l -> levels(path + ".levels", l));
        List<Gap> gaps = list(path + ".gaps", form.gaps(), MOST_OF_A_KIND, this::gap);
        List<Lip> lips = list(path + ".lips", form.lips(), MOST_OF_A_KIND, this::lip);
        Double film = form.film().filter(t -> !t.isBlank()).isPresent()
                ? small(path + ".film", form.film().get(), 0.1, 5)
                : Double.valueOf(Room.USUAL_FILM_M);
        boolean apart = corners.size() == runs.size();
        if (id == null || name == null || film == null || !whole || !apart || runs.size() < 2) {
            return null;
        }
        return Room.draft(id, name, new Walk(runs, checks))
                .edges(edges)
                .openings(openings)
                .ramps(ramps)
                .stairs(stairs)
                .doors(doors)
                .joints(joints)
                .cracks(cracks)
                .cuts(cuts)
                .marks(marks)
                .levels(levels)
                .gaps(gaps)
                .lips(lips)
                .filmM(film)
                .room();
    }

    private Run run(String path, PlanForm.RunForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        Double length = length(path + ".length", form.length(), SHORTEST_M, LONGEST_M);
        Double turn = faults.read(() -> Turn.parse(path + ".turn", form.turn()));
        Bow bow = form.bow() == null || form.bow().isEmpty()
                ? Bow.NONE
                : length == null ? null : bow(path + ".bow", form.bow().get(), length);
        return id == null || length == null || turn == null || bow == null ? null : new Run(id, length, turn, bow);
    }

    private Bow bow(String path, PlanForm.BowForm form, double chordM) {
        String kind = form.kind() == null ? "" : form.kind().toLowerCase(Locale.ROOT);
        Integer side = "left".equals(form.side()) ? Integer.valueOf(1) : "right".equals(form.side()) ? -1 : null;
        if (side == null) {
            faults.add(path + ".side", form.side(), "left or right of the run");
            return null;
        }
        if (kind.equals("half")) {
            return new Bow.Arc(chordM / 2, side);
        }
        List<String> texts = orEmpty(form.measures());
        boolean offsets = kind.equals("offsets");
        if (texts.isEmpty() || texts.size() > (offsets ? 200 : 1)) {
            faults.add(path + ".measures", texts.size() + " of them", offsets ? "1 to 200 offsets" : "one measure");
            return null;
        }
        switch (kind) {
            case "rise":
                Double rise = length(path + ".measures[0]", texts.get(0), THINNEST_M, LONGEST_M);
                return rise == null ? null : new Bow.Arc(rise, side);
            case "radius":
                Double radius = length(path + ".measures[0]", texts.get(0), chordM / 2, 100 * LONGEST_M);
                return radius == null ? null : Bow.Arc.ofRadius(Math.max(radius, chordM / 2), chordM, side, false);
            case "offsets":
                List<Double> measured =
                        list(path + ".measures", texts, 200, (p, t) -> length(p, t, -LONGEST_M, LONGEST_M));
                return measured.size() < texts.size()
                        ? null
                        : new Bow.Offsets(measured.stream().map(o -> side * o).toList());
            default:
                faults.add(path + ".kind", form.kind(), "half, rise, radius or offsets");
                return null;
        }
    }

    private Check check(String path, PlanForm.CheckForm form, Map<String, Integer> corners) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        Integer from = known(path + ".from", form.from(), corners);
        Integer to = known(path + ".to", form.to(), corners);
        Double length = size(RoomFeature.CHECKS, "length", path, form.length());
        if (from != null && from.equals(to)) {
            faults.add(path + ".to", form.to(), "another corner than the one it begins at");
            return null;
        }
        return id == null || from == null || to == null || length == null ? null : new Check(id, from, to, length);
    }

    private Integer known(String path, String run, Map<String, Integer> corners) {
        Integer corner = corners.get(run);
        if (corner == null) {
            faults.add(path, run, "the id of a wall of this room");
        }
        return corner;
    }

    private Room.Edge edge(String path, PlanForm.EdgeForm form, Map<String, Integer> corners) {
        Integer run = known(path + ".run", form.run(), corners);
        boolean coved = form.cove() != null && form.cove().isPresent();
        Room.Cove cove = coved ? cove(path + ".cove", form.cove().get()) : null;
        return run == null || coved && cove == null
                ? null
                : new Room.Edge(form.run(), form.mask(), form.cutIn(), form.trim(), cove);
    }

    private Room.Cove cove(String path, PlanForm.CoveForm form) {
        Double radius = small(path + ".radius", form.radius(), 0.001, 0.5);
        Double height = radius == null ? null : small(path + ".height", form.height(), radius, 1);
        Double thick = small(path + ".thick", form.thick(), 0, 0.1);
        Double gap = small(path + ".gap", form.gap(), 0, 0.1);
        return height == null || thick == null || gap == null ? null : new Room.Cove(radius, height, thick, gap);
    }

    private Room.Door door(String path, PlanForm.DoorForm form, Map<String, Integer> corners) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        Integer run = known(path + ".run", form.run(), corners);
        Double along = size(RoomFeature.DOORS, "along", path, form.along());
        Double width = size(RoomFeature.DOORS, "width", path, form.width());
        return id == null || run == null || along == null || width == null
                ? null
                : new Room.Door(id, form.run(), along, width, form.exit());
    }

    private Room.Opening opening(String path, PlanForm.OpeningForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        String name = name(RoomFeature.OPENINGS, path, form.name());
        var kind = faults.oneOf(path + ".kind", form.kind(), Room.Opening.Kind.class);
        Ring ring;
        if (!form.corners().isEmpty()) {
            List<Corner> corners = list(path + ".corners", form.corners(), MOST_RUNS, this::place);
            boolean whole = corners.size() == form.corners().size();
            if (whole && corners.size() < 3) {
                faults.add(path + ".corners", corners.size() + " places", "at least 3 places, round the opening");
            }
            ring = whole && corners.size() >= 3 ? new Ring.Path(corners) : null;
        } else if (form.width().isBlank()) {
            Corner centre = place(path + ".at", form.at());
            Double diameter = size(RoomFeature.OPENINGS, "length", path, form.length());
            ring = centre == null || diameter == null ? null : new Ring.Circle(centre, diameter);
        } else {
            ring = box(RoomFeature.OPENINGS, path, form.at(), form.length(), form.width(), form.turn());
        }
        return id == null || name == null || kind == null || ring == null
                ? null
                : new Room.Opening(id, name, kind, ring);
    }

    private Ring.Box box(
            RoomFeature of, String path, PlanForm.PlaceForm at, String lengthText, String widthText, String turnText) {
        Corner corner = place(path + ".at", at);
        Double length = size(of, "length", path, lengthText);
        Double width = size(of, "width", path, widthText);
        Double turn = turnText == null || turnText.isBlank()
                ? Double.valueOf(0)
                : faults.read(() -> Turn.parse(path + ".turn", turnText));
        return corner == null || length == null || width == null || turn == null
                ? null
                : new Ring.Box(corner, length, width, turn);
    }

    private Room.Ramp ramp(String path, PlanForm.RampForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        String name = name(RoomFeature.RAMPS, path, form.name());
        Ring.Box box = box(RoomFeature.RAMPS, path, form.at(), form.length(), form.width(), form.turn());
        Double rise = size(RoomFeature.RAMPS, "rise", path, form.rise());
        return id == null || name == null || box == null || rise == null ? null : new Room.Ramp(id, name, box, rise);
    }

    private Room.Stair stair(String path, PlanForm.StairForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        String name = name(RoomFeature.STAIRS, path, form.name());
        Double width = size(RoomFeature.STAIRS, "width", path, form.width());
        RoomField risers = RoomFeature.STAIRS.field("risers");
        if (form.risers() < risers.least() || form.risers() > risers.most()) {
            faults.add(
                    path + ".risers",
                    form.risers(),
                    "a whole number from " + (int) risers.least() + " to " + (int) risers.most());
            return null;
        }
        Double riser = size(RoomFeature.STAIRS, "riser", path, form.riser());
        Double tread = size(RoomFeature.STAIRS, "tread", path, form.tread());
        return id == null || name == null || width == null || riser == null || tread == null
                ? null
                : new Room.Stair(id, name, width, form.risers(), riser, tread);
    }

    private Room.Joint joint(String path, PlanForm.JointForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        var kind = faults.oneOf(path + ".kind", form.kind(), Room.Joint.Kind.class);
        Corner from = place(path + ".from", form.from());
        Corner to = place(path + ".to", form.to());
        Double width = size(RoomFeature.JOINTS, "width", path, form.width());
        Double depth = size(RoomFeature.JOINTS, "depth", path, form.depth());
        return id == null || kind == null || width == null || depth == null || !apart(path + ".to", from, to)
                ? null
                : new Room.Joint(
                        id, kind, from, to, width, depth, form.marked(), form.buried(), form.recut(), form.parts());
    }

    /** @param path of the second place */
    private boolean apart(String path, Corner from, Corner to) {
        if (from != null && from.equals(to)) {
            faults.add(path, "the place it begins at", "another place");
        }
        return from != null && to != null && !from.equals(to);
    }

    private Room.Crack crack(String path, PlanForm.CrackForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        List<Corner> line = list(path + ".line", form.line(), MOST_OF_A_KIND, this::place);
        if (orEmpty(form.line()).size() < 2) {
            faults.add(path + ".line", orEmpty(form.line()).size() + " places", "at least 2 places");
        }
        Double width = size(RoomFeature.CRACKS, "width", path, form.width());
        Double depth = size(RoomFeature.CRACKS, "depth", path, form.depth());
        return id == null || line.size() < 2 || width == null || depth == null
                ? null
                : new Room.Crack(id, line, width, depth, form.moving());
    }

    private Room.Cut cut(String path, PlanForm.CutForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        var line = new ArrayList<Corner>();
        line.add(place(path + ".from", form.from()));
        line.add(place(path + ".to", form.to()));
        line.addAll(list(path + ".more", form.more(), MOST_RUNS, this::place));
        boolean whole = !line.contains(null) && line.size() == 2 + form.more().size();
        for (int i = 1; whole && i < line.size(); i++) {
            whole = apart(i == 1 ? path + ".to" : path + ".more[" + (i - 2) + "]", line.get(i - 1), line.get(i));
        }
        if (whole && form.ring() && line.size() < 3) {
            faults.add(path + ".more", null, "at least one place more: a ring has three or more");
            return null;
        }
        return id == null || !whole ? null : new Room.Cut(id, line, form.ring());
    }

    private Gap gap(String path, PlanForm.GapForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        Corner at = place(path + ".at", form.at());
        Double edge = size(RoomFeature.GAPS, "edge", path, form.edge());
        Double gap = size(RoomFeature.GAPS, "gap", path, form.gap());
        return id == null || at == null || edge == null || gap == null ? null : new Gap(id, at, edge, gap);
    }

    private Lip lip(String path, PlanForm.LipForm form) {
        String id = faults.line(path + ".id", form.id(), 1, 60);
        String name = name(RoomFeature.LIPS, path, form.name());
        Corner from = place(path + ".from", form.from());
        Corner to = place(path + ".to", form.to());
        Double height = size(RoomFeature.LIPS, "height", path, form.height());
        return id == null || name == null || height == null || !apart(path + ".to", from, to)
                ? null
                : new Lip(id, name, from, to, height);
    }

    private Room.ZoneMark mark(String path, PlanForm.MarkForm form) {
        String zone = faults.line(path + ".zoneId", form.zoneId(), 1, 60);
        Corner in = place(path + ".in", form.in());
        return zone == null || in == null ? null : new Room.ZoneMark(zone, in);
    }

    private Optional<Levels> levels(String path, PlanForm.LevelsForm form) {
        Corner at = place(path + ".at", form.at());
        Double step = length(path + ".step", form.step(), 0.05, 50);
        int n = form.heights().size();
        if (form.columns() < 2 || n < 2 * form.columns() || n % form.columns() != 0 || n > MOST_LEVELS) {
            faults.add(
                    path + ".heights",
                    n + " in rows of " + form.columns(),
                    "whole rows of at least 2, at least 2 of them, at most " + MOST_LEVELS + " in all");
            return Optional.empty();
        }
        double[] heights = new double[n];
        boolean whole = true;
        for (int i = 0; i < n; i++) {
            String here = path + ".heights[" + i + "]";
            String text = form.heights().get(i);
            boolean unread = text == null || text.isBlank();
            Double height = unread ? Double.valueOf(Double.NaN) : small(here, text, -20, 20);
            whole &= height != null;
            heights[i] = height == null ? 0 : height;
        }
        Optional<Double> to = form.fillTo().isBlank()
                ? Optional.empty()
                : Optional.ofNullable(small(path + ".fillTo", form.fillTo(), -20, 20));
        Double fall = form.fall().isBlank()
                ? Double.valueOf(0)
                : faults.read(() -> FallText.parse(path + ".fall", form.fall()));
        return at == null || step == null || !whole || fall == null
                ? Optional.empty()
                : Optional.of(new Levels(new Heights(at, step, form.columns(), heights), to, fall));
    }

    private Corner place(String path, PlanForm.PlaceForm form) {
        if (form == null) {
            faults.add(path, null, "how far along the first wall, and off it");
            return null;
        }
        Double along = length(path + ".along", form.along(), -LONGEST_M, LONGEST_M);
        Double off = length(path + ".off", form.off(), -LONGEST_M, LONGEST_M);
        return along == null || off == null ? null : new Corner(along, off);
    }

    private double angle(String path, String text) {
        if (text == null || text.isBlank()) {
            return 0;
        }
        Double degrees = faults.read(() -> Measure.parse(path, text, Unit.ONE, -360, 360));
        return degrees == null ? 0 : degrees;
    }

    /** Within the bounds that the field of a feature has. */
    private Double size(RoomFeature of, String id, String path, String text) {
        RoomField field = of.field(id);
        String here = path + "." + id;
        return field.kind() == RoomField.Kind.SMALL
                ? small(here, text, field.least(), field.most())
                : length(here, text, field.least(), field.most());
    }

    private String name(RoomFeature of, String path, String text) {
        RoomField field = of.field("name");
        return faults.line(path + ".name", text, (int) field.least(), (int) field.most());
    }

    /** Feet or metres where no unit is written. */
    private Double length(String path, String text, double min, double max) {
        return faults.read(() -> Measure.parse(path, text, units == UnitSystem.US ? Unit.FOOT : Unit.METRE, min, max));
    }

    /** Inches or millimetres where no unit is written. */
    private Double small(String path, String text, double min, double max) {
        return faults.read(
                () -> Measure.parse(path, text, units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE, min, max));
    }
}

package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** What runs along the walls and over the floor, in its reader's units. */
record Lengths(Room room, List<RoomPlan.Wall> walls, UnitSystem system) {
    private static final Source GEOMETRY = Source.arithmetic("plane geometry");

    private Unit length() {
        return Unit.of(Dimension.LENGTH, system);
    }

    private double read(double metres) {
        return length().fromBase(metres);
    }

    Figure perimeter() {
        return sum("perimeter", walls, wall -> wall.name(), RoomPlan.Wall::lengthM)
                .orElseThrow();
    }

    List<Figure> all() {
        var all = new ArrayList<Figure>();
        walled("to mask", e -> e.mask()).ifPresent(masked -> {
            all.add(masked);
            all.add(film(masked));
        });
        walled("to cut in", e -> e.cutIn()).ifPresent(all::add);
        walled("trim to take off", e -> e.trim()).ifPresent(all::add);
        walled("cove", e -> e.cove() != null).ifPresent(all::add);
        sum("doorways", room.doors(), d -> wallName(d.run()), Room.Door::widthM).ifPresent(all::add);
        for (Room.Opening.Kind kind : Room.Opening.Kind.values()) {
            List<Room.Opening> ofKind =
                    room.openings().stream().filter(o -> o.kind() == kind).toList();
            sum("round " + kind.label().toLowerCase(Locale.ROOT) + "s", ofKind, Room.Opening::name, o -> o.ring()
                            .perimeterM())
                    .ifPresent(all::add);
        }
        for (Room.Joint.Kind kind : Room.Joint.Kind.values()) {
            List<Room.Joint> ofKind =
                    room.joints().stream().filter(j -> j.kind() == kind).toList();
            sum(kind.label().toLowerCase(Locale.ROOT) + "s", ofKind, Room.Joint::id, Room.Joint::lengthM)
                    .ifPresent(all::add);
        }
        sum("cracks", room.cracks(), Room.Crack::id, Room.Crack::lengthM).ifPresent(all::add);
        sum("nosings", room.stairs(), Room.Stair::name, s -> s.risers() * s.widthM())
                .ifPresent(all::add);
        return List.copyOf(all);
    }

    private String wallName(String run) {
        return walls.stream()
                .filter(w -> w.run().equals(run))
                .map(RoomPlan.Wall::name)
                .findFirst()
                .orElse(run);
    }

    /** What hangs from the tape: as much as a sheet of film that keeps the roller's spray off a wall. */
    private Figure film(Figure masked) {
        var w = new Worksheet(system);
        double tape = w.from("L", masked);
        double wide = w.given("w", "width of the film", read(room.filmM()), length());
        return w.figure(
                "masking film",
                "F",
                "L·w",
                tape * wide,
                Unit.of(Dimension.AREA, system),
                Source.ours("as wide as the room says, two feet where it says nothing"));
    }

    /** Walls that {@code wanted} says so of, doors left out; a wall without a word of its own is only masked. */
    private Optional<Figure> walled(String label, Predicate<Room.Edge> wanted) {
        List<RoomPlan.Wall> chosen = walls.stream()
                .filter(wall -> wanted.test(room.edge(wall.run())))
                .toList();
        return sum(label, chosen, RoomPlan.Wall::name, wall -> wall.lengthM() - room.doorsM(wall.run()));
    }

    /** Σ of lengths, listed one by one while they can be read. */
    private <T> Optional<Figure> sum(
            String label, List<T> items, Function<T, String> name, ToDoubleFunction<T> metres) {
        if (items.isEmpty()) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        double total = 0;
        var formula = new StringBuilder();
        for (int i = 0; i < items.size(); i++) {
            double each = read(metres.applyAsDouble(items.get(i)));
            total += each;
            if (items.size() <= Quantities.MOST_LISTED) {
                w.given("l" + (i + 1), name.apply(items.get(i)), each, length());
                formula.append(i == 0 ? "" : "+").append("l").append(i + 1);
            }
        }
        if (items.size() > Quantities.MOST_LISTED) {
            w.given("S", items.size() + " of them, added up", total, length());
            formula.append("S");
        }
        return Optional.of(w.figure(label, "L", formula.toString(), total, length(), GEOMETRY));
    }
}

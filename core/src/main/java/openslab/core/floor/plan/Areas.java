package openslab.core.floor.plan;

import java.util.List;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** A room seen from above, and as it is coated, in its reader's units. */
record Areas(Room room, List<RoomPlan.Wall> walls, UnitSystem system) {
    private static final Source GEOMETRY = Source.arithmetic("plane geometry");

    private Unit length() {
        return Unit.of(Dimension.LENGTH, system);
    }

    private Unit area() {
        return Unit.of(Dimension.AREA, system);
    }

    private double read(double metres) {
        return length().fromBase(metres);
    }

    /** By the shoelace: for every corner x·y' - x'·y, halved, and what curved walls add or take. */
    Figure gross(Outline outline) {
        var w = new Worksheet(system);
        int n = walls.size();
        double squared = area().fromBase(1);
        double signed = new Outline(walls.stream().map(p -> p.points().get(0)).toList()).signedAreaM2();
        double turnedRight = signed < 0 ? -1 : 1;
        double bows = outline.areaM2() - Math.abs(signed);
        var formula = new StringBuilder();
        if (n <= Quantities.MOST_LISTED) {
            for (int i = 0; i < n; i++) {
                String name = RoomPlan.cornerName(i);
                Corner c = walls.get(i).points().get(0);
                w.given("x" + name, name + ", along the first wall", read(c.x()), length());
                w.given("y" + name, name + ", off it", read(c.y()), length());
            }
            double sum = 0;
            for (int i = 0; i < n; i++) {
                String a = RoomPlan.cornerName(i);
                String b = RoomPlan.cornerName((i + 1) % n);
                Corner from = walls.get(i).points().get(0);
                Corner to = walls.get((i + 1) % n).points().get(0);
                double t = (from.x() * to.y() - to.x() * from.y()) / 2 * squared;
                w.let(
                        "t" + a + b,
                        "triangle to " + a + "–" + b,
                        "(x%s·y%s-x%s·y%s)/2".formatted(a, b, b, a),
                        t,
                        area());
                formula.append(i == 0 ? "" : "+").append("t").append(a).append(b);
                sum += t;
            }
            w.let(
                    "T",
                    "straight between the corners",
                    (turnedRight < 0 ? "0-(" : "(") + formula + ")",
                    sum * turnedRight,
                    area());
        } else {
            w.given(
                    "T",
                    "straight between the " + n + " corners, by the shoelace sum",
                    Math.abs(signed) * squared,
                    area());
        }
        if (Math.abs(bows) > 1e-12) {
            w.given("b", "what curved walls add", bows * squared, area());
        }
        return w.figure(
                "gross area",
                "G",
                Math.abs(bows) > 1e-12 ? "T+b" : "T",
                outline.areaM2() * squared,
                area(),
                Source.arithmetic("shoelace sum over the corners; curves by segment or Simpson's rule"));
    }

    Figure net(Figure gross, double openM2) {
        var w = new Worksheet(system);
        w.from("G", gross);
        w.given("o", "cut-outs, columns, drains, fixtures", area().fromBase(openM2), area());
        return w.figure("net area", "N", "G-o", gross.value() - area().fromBase(openM2), area(), GEOMETRY);
    }

    Figure trueArea(Figure net) {
        var w = new Worksheet(system);
        double sum = w.from("N", net);
        var formula = new StringBuilder("N");
        int i = 1;
        for (Room.Ramp ramp : room.ramps()) {
            w.given("r" + i, ramp.name() + ", level length", read(ramp.box().lengthM()), length());
            w.given("h" + i, ramp.name() + ", rise", read(ramp.riseM()), length());
            w.given("w" + i, ramp.name() + ", width", read(ramp.box().widthM()), length());
            sum += w.let(
                    "e" + i,
                    ramp.name() + ", more than it looks from above",
                    "w%1$d·((r%1$d^2+h%1$d^2)^0.5-r%1$d)".formatted(i),
                    area().fromBase(ramp.moreM2()),
                    area());
            formula.append("+e").append(i++);
        }
        for (Room.Stair stair : room.stairs()) {
            w.given("w" + i, stair.name() + ", width", read(stair.widthM()), length());
            w.given("n" + i, stair.name() + ", risers", stair.risers(), Unit.ONE);
            w.given("h" + i, stair.name() + ", riser", read(stair.riserM()), length());
            w.given("d" + i, stair.name() + ", tread", read(stair.treadM()), length());
            sum += w.let(
                    "e" + i,
                    stair.name() + ", risers and the treads between them",
                    "w%1$d·(n%1$d·h%1$d+(n%1$d-1)·d%1$d)".formatted(i),
                    area().fromBase(stair.coatedM2()),
                    area());
            formula.append("+e").append(i++);
        }
        return w.figure(
                "area to coat",
                "A",
                formula.toString(),
                sum,
                area(),
                Source.arithmetic("slopes at their own length; a flight has one tread fewer than risers"));
    }
}

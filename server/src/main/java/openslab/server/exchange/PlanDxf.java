package openslab.server.exchange;

import java.util.List;
import java.util.Locale;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.trace.Role;

/** A plan as ASCII DXF of release 12, in metres, a layer for everything that can be told apart: docs/formats/plan-dxf.md. */
final class PlanDxf {
    private static final double LETTERS_M = 0.25;

    private final StringBuilder out = new StringBuilder();

    private PlanDxf() {}

    static String of(PlanReport plan) {
        var dxf = new PlanDxf();
        dxf.group(999, "metres");
        dxf.group(0, "SECTION")
                .group(2, "HEADER")
                .group(9, "$INSUNITS")
                .group(70, "6")
                .group(0, "ENDSEC");
        dxf.group(0, "SECTION").group(2, "ENTITIES");
        for (SideBySide.Placed placed : SideBySide.of(plan).rooms()) {
            dxf.room(placed);
        }
        return dxf.group(0, "ENDSEC").group(0, "EOF").out.toString();
    }

    private void room(SideBySide.Placed placed) {
        RoomPlan room = placed.room();
        polyline(Role.ROOM.name(), placed.on(room.outline().corners()), true);
        room.pieces().forEach(p -> p.rings().forEach(ring -> polyline("PARTS", placed.on(ring), true)));
        room.openings().forEach(o -> polyline(o.kind().name(), placed.on(o.ring()), true));
        for (DrawnLine line : room.lines()) {
            polyline(line.kind().name(), placed.on(line.points()), false);
        }
        room.pieces().stream().findFirst().ifPresent(p -> text(room.name(), placed.on(p.label())));
    }

    private PlanDxf group(int code, String value) {
        out.append(code).append("\r\n").append(value).append("\r\n");
        return this;
    }

    private PlanDxf at(Corner c) {
        return group(10, number(c.x())).group(20, number(c.y()));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.7f", value);
    }

    private void polyline(String layer, List<Corner> points, boolean closed) {
        group(0, "POLYLINE").group(8, layer).group(66, "1").at(new Corner(0, 0)).group(70, closed ? "1" : "0");
        points.forEach(p -> group(0, "VERTEX").group(8, layer).at(p));
        group(0, "SEQEND").group(8, layer);
    }

    private void text(String words, Corner at) {
        String plain = words.replaceAll("[^\\x20-\\x7e]", "?");
        group(0, "TEXT").group(8, "NAMES").at(at).group(40, number(LETTERS_M)).group(1, plain);
    }
}

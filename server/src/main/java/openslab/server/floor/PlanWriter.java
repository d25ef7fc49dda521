package openslab.server.floor;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Ring;
import openslab.core.floor.plan.Room;
import openslab.core.floor.walk.Bow;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Turn;
import openslab.core.quantity.Measure;
import openslab.core.quantity.TapeText;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/** Writes a room that was traced as the texts a hand would have keyed in; {@link PlanReader} reads them again. */
public final class PlanWriter {
    /** A tape's words are used where they say the length to this. */
    private static final double AS_GOOD_M = 1e-7;

    private static final int DECIMALS = 7;

    private final UnitSystem units;

    private PlanWriter(UnitSystem units) {
        this.units = units;
    }

    /** Its walls, openings, joints, cracks and zone lines: what a drawing gives. */
    public static PlanForm.RoomForm form(Room room, UnitSystem units) {
        return new PlanWriter(units).room(room);
    }

    private PlanForm.RoomForm room(Room room) {
        var runs = room.walk().runs().stream().map(this::run).toList();
        return PlanForm.RoomForm.of(room.id(), room.name(), runs)
                .holding(
                        room.openings().stream().map(this::opening).toList(),
                        room.joints().stream().map(this::joint).toList(),
                        room.cracks().stream().map(this::crack).toList(),
                        room.cuts().stream().map(this::cut).toList());
    }

    private PlanForm.RunForm run(Run run) {
        return new PlanForm.RunForm(run.id(), length(run.lengthM()), Turn.text(run.turn()), bow(run.bow()));
    }

    private Optional<PlanForm.BowForm> bow(Bow bow) {
        return bow instanceof Bow.Arc arc
                ? Optional.of(
                        new PlanForm.BowForm("rise", arc.side() > 0 ? "left" : "right", List.of(length(arc.riseM()))))
                : Optional.empty();
    }

    private PlanForm.OpeningForm opening(Room.Opening opening) {
        String id = opening.id();
        String name = opening.name();
        String kind = opening.kind().name();
        if (opening.ring() instanceof Ring.Circle circle) {
            return new PlanForm.OpeningForm(
                    id, name, kind, place(circle.centre()), length(circle.diameterM()), "", "", List.of());
        }
        if (opening.ring() instanceof Ring.Box box) {
            return new PlanForm.OpeningForm(
                    id,
                    name,
                    kind,
                    place(box.corner()),
                    length(box.lengthM()),
                    length(box.widthM()),
                    Turn.text(box.turn()),
                    List.of());
        }
        return new PlanForm.OpeningForm(
                id, name, kind, null, "", "", "", places(opening.ring().corners()));
    }

    private PlanForm.JointForm joint(Room.Joint j) {
        return new PlanForm.JointForm(
                j.id(),
                j.kind().name(),
                place(j.from()),
                place(j.to()),
                length(j.widthM()),
                length(j.depthM()),
                j.marked(),
                j.buried(),
                j.recut(),
                j.parts());
    }

    private PlanForm.CrackForm crack(Room.Crack c) {
        return new PlanForm.CrackForm(c.id(), places(c.line()), length(c.widthM()), length(c.depthM()), c.moving());
    }

    private PlanForm.CutForm cut(Room.Cut c) {
        List<PlanForm.PlaceForm> line = places(c.line());
        return new PlanForm.CutForm(c.id(), line.get(0), line.get(1), line.subList(2, line.size()), c.ring());
    }

    private List<PlanForm.PlaceForm> places(List<Corner> corners) {
        return corners.stream().map(this::place).toList();
    }

    private PlanForm.PlaceForm place(Corner c) {
        return new PlanForm.PlaceForm(length(c.x()), length(c.y()));
    }

    /** As a tape reads where that is exact, otherwise in decimals. */
    private String length(double metres) {
        Unit unit = units == UnitSystem.US ? Unit.FOOT : Unit.METRE;
        if (metres >= 0) {
            String tape = TapeText.of(metres, units);
            if (Math.abs(Measure.parse("length", tape, unit, 0, 1e6) - metres) < AS_GOOD_M) {
                return tape;
            }
        }
        return new BigDecimal(unit.fromBase(metres))
                        .setScale(DECIMALS, RoundingMode.HALF_EVEN)
                        .stripTrailingZeros()
                        .toPlainString()
                + " " + unit.symbol();
    }
}

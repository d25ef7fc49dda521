package openslab.server.floor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Shape;
import openslab.core.floor.Shapes;
import openslab.core.floor.joint.SawCuts;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.PlanZone;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.SawPlan;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Turn;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.TapeText;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.server.form.ZoneForm;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.ZoneStore;
import openslab.server.store.Snapshot;
import openslab.server.store.Writes;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/** What can be done with a plan. Every write is one revision, and a zone never loses its floor by one. */
@Service
public class Plans {
    /**
     * A plan, and what follows from it.
     *
     * @param version to send back with the next write
     */
    public record PlanView(int version, boolean canUndo, boolean canRedo, PlanForm form, PlanReport report) {}

    private static final double THINNEST_SLAB_M = 0.05;
    private static final double THICKEST_SLAB_M = 1;

    private final PlanStore plans;
    private final JobStore jobStore;
    private final ZoneStore zones;
    private final Jobs jobs;
    private final Writes writes;
    private final Snapshot snapshot;
    private final ObjectMapper json;

    Plans(
            PlanStore plans,
            JobStore jobStore,
            ZoneStore zones,
            Jobs jobs,
            Writes writes,
            Snapshot snapshot,
            ObjectMapper json) {
        this.plans = plans;
        this.jobStore = jobStore;
        this.zones = zones;
        this.jobs = jobs;
        this.writes = writes;
        this.snapshot = snapshot;
        this.json = json;
    }

    public PlanView view(UUID jobId) {
        return snapshot.of(() -> {
            UnitSystem units = jobStore.get(jobId).facts().units();
            var stored = plans.get(jobId);
            return new PlanView(
                    stored.version(),
                    stored.revision() > 0,
                    stored.wentTo().isPresent(),
                    stored.form(),
                    plans.report(jobId, units));
        });
    }

    /** What would follow from a plan; nothing is stored. */
    PlanReport echo(PlanForm form, String unitSystem) {
        var faults = new Faults();
        UnitSystem units = faults.oneOf("units", unitSystem, UnitSystem.class);
        faults.check();
        return PlanStore.report(form, units);
    }

    SawCuts sawCuts(UUID jobId, String roomId, String thickness, boolean early) {
        UnitSystem units = units(jobId);
        Unit bare = units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        double metres = Measure.parse("thickness", thickness, bare, THINNEST_SLAB_M, THICKEST_SLAB_M);
        return plans.report(jobId, units).rooms().stream()
                .filter(r -> r.id().equals(roomId))
                .findFirst()
                .map(r -> SawPlan.propose(r, metres, early, units))
                .orElseThrow(() -> new InvalidInput("roomId", roomId, "a room of this plan"));
    }

    public void put(UUID jobId, Jobs.Seen seen, PlanForm form) {
        writes.onceIn(jobId, seen.key(), List.of("plan", jobId, seen.version(), form), () -> {
            store(jobId, seen.version(), units(jobId), form);
            return jobId.toString();
        });
    }

    private UnitSystem units(UUID jobId) {
        return jobStore.get(jobId).facts().units();
    }

    private void store(UUID jobId, int seen, UnitSystem units, PlanForm form) {
        // read once as it was typed, so that faults name what was typed, and once as it will be stored
        PlanStore.report(form, units);
        PlanForm spelled = PlanUnits.spelled(form, units, json);
        requireFloors(jobId, PlanStore.report(spelled, units));
        plans.add(jobId, seen, spelled);
    }

    /** A zone that stands on the plan keeps a part of it, and a part belongs to no zone of another job. */
    private void requireFloors(UUID jobId, PlanReport report) {
        var stored = zones.of(jobId);
        Set<String> known = stored.stream().map(z -> z.id().toString()).collect(Collectors.toSet());
        report.rooms().stream()
                .flatMap(r -> r.pieces().stream())
                .flatMap(p -> p.zoneId().stream())
                .filter(id -> !known.contains(id))
                .findFirst()
                .ifPresent(id -> {
                    throw new InvalidInput("rooms.marks.zoneId", id, "a zone of this job");
                });
        stored.stream()
                .filter(z -> z.choice().shape().equals(PlanZone.KIND))
                .filter(z -> report.zone(z.id().toString()).isEmpty())
                .findFirst()
                .ifPresent(z -> {
                    throw new Refusal(
                            "zone-without-floor",
                            z.choice().name() + " would have no floor left.",
                            "Leave it a part of the plan, or give the zone typed sides first.");
                });
    }

    /** The plan of a job that is read from a file, within that write. */
    public void take(UUID jobId, PlanForm form) {
        if (form.equals(PlanForm.EMPTY)) {
            requireFloors(jobId, PlanReport.of(FloorPlan.EMPTY, UnitSystem.METRIC));
        } else {
            store(jobId, 0, units(jobId), form);
        }
    }

    /**
     * Puts rooms beside those that are there.
     *
     * @param request what was asked, for the key
     * @param rooms made when the number of the first is known
     */
    public void addRooms(UUID jobId, Jobs.Seen seen, Object request, IntFunction<List<Room>> rooms) {
        writes.onceIn(jobId, seen.key(), List.of("rooms", jobId, seen.version(), request), () -> {
            UnitSystem units = units(jobId);
            var form = plans.get(jobId).form();
            var all = new ArrayList<>(form.rooms());
            rooms.apply(freeNumber(form)).forEach(room -> all.add(PlanWriter.form(room, units)));
            store(jobId, seen.version(), units, new PlanForm(all, form.north()));
            return jobId.toString();
        });
    }

    /** One more than any room is numbered with. */
    private static int freeNumber(PlanForm form) {
        return form.rooms().stream()
                        .map(PlanForm.RoomForm::id)
                        .filter(id -> id.matches("room-\\d{1,6}"))
                        .mapToInt(id -> Integer.parseInt(id.substring("room-".length())))
                        .max()
                        .orElse(0)
                + 1;
    }

    public void undo(UUID jobId, Jobs.Seen seen) {
        writes.onceIn(jobId, seen.key(), List.of("plan-undo", jobId, seen.version()), () -> {
            var stored = plans.get(jobId);
            if (stored.revision() == 0) {
                throw new Refusal("nothing-to-undo", "This is where the plan began.", "There is nothing before it.");
            }
            return moveTo(jobId, seen.version(), stored.cameFrom());
        });
    }

    public void redo(UUID jobId, Jobs.Seen seen) {
        writes.onceIn(jobId, seen.key(), List.of("plan-redo", jobId, seen.version()), () -> {
            int next = plans.get(jobId)
                    .wentTo()
                    .orElseThrow(() ->
                            new Refusal("nothing-to-redo", "Nothing was undone here.", "Redo takes back an undo."));
            return moveTo(jobId, seen.version(), next);
        });
    }

    private String moveTo(UUID jobId, int seen, int revision) {
        requireFloors(jobId, PlanStore.report(plans.formOf(jobId, revision), units(jobId)));
        plans.move(jobId, seen, revision);
        return jobId.toString();
    }

    /** Puts one corner elsewhere: the walls and turns beside it are measured anew. */
    public void moveCorner(UUID jobId, Jobs.Seen seen, String roomId, int corner, PlanForm.PlaceForm to) {
        var faults = new Faults();
        requireSaid(faults, "to", to, "the corner's new place");
        faults.check();
        writes.onceIn(jobId, seen.key(), List.of("corner", jobId, seen.version(), roomId, corner, to), () -> {
            UnitSystem units = units(jobId);
            var form = plans.get(jobId).form();
            Room room = PlanReader.read(form, units).rooms().stream()
                    .filter(r -> r.id().equals(roomId))
                    .findFirst()
                    .orElseThrow(() -> new InvalidInput("roomId", roomId, "a room of this plan"));
            int corners = room.walk().runs().size();
            if (corner < 0 || corner >= corners) {
                throw new InvalidInput("corner", corner + "", "a whole number from 0 to " + (corners - 1));
            }
            Unit unit = units == UnitSystem.US ? Unit.FOOT : Unit.METRE;
            var place = new Corner(
                    Measure.parse("to.along", to.along(), unit, -1000, 1000),
                    Measure.parse("to.off", to.off(), unit, -1000, 1000));
            var moved = room.walk().moved(corner, place).runs();
            store(jobId, seen.version(), units, edited(form, roomId, r -> walked(r, room, moved, units)));
            return jobId.toString();
        });
    }

    private static PlanForm edited(PlanForm form, String roomId, UnaryOperator<PlanForm.RoomForm> edit) {
        return new PlanForm(
                form.rooms().stream()
                        .map(r -> r.id().equals(roomId) ? edit.apply(r) : r)
                        .toList(),
                form.north());
    }

    /** The runs that moved are written as the tape would read them; what did not move keeps its words. */
    private static PlanForm.RoomForm walked(PlanForm.RoomForm form, Room room, List<Run> moved, UnitSystem units) {
        var runs = new ArrayList<PlanForm.RunForm>();
        for (int i = 0; i < moved.size(); i++) {
            Run was = room.walk().runs().get(i);
            Run is = moved.get(i);
            PlanForm.RunForm typed = form.runs().get(i);
            runs.add(new PlanForm.RunForm(
                    typed.id(),
                    Math.abs(is.lengthM() - was.lengthM()) < 1e-9 ? typed.length() : TapeText.of(is.lengthM(), units),
                    Math.abs(is.turn() - was.turn()) < 1e-9 ? typed.turn() : Turn.text(is.turn()),
                    typed.bow()));
        }
        return form.withRuns(runs);
    }

    /** Makes a part of the plan a zone of its own; answers its id. */
    public UUID addZone(UUID jobId, Jobs.Seen seen, String roomId, PlanForm.PlaceForm in, ZoneForm zone) {
        var faults = new Faults();
        requireSaid(faults, "roomId", roomId, "a room of this plan");
        requireSaid(faults, "in", in, "a place in the part that is to be the zone");
        requireSaid(faults, "zone", zone, "the zone's name and how it is worked");
        faults.check();
        return UUID.fromString(
                writes.onceIn(jobId, seen.key(), List.of("plan-zone", jobId, seen.version(), roomId, in, zone), () -> {
                    UUID zoneId = jobs.insertOnPlan(jobId, zone);
                    var form = plans.get(jobId).form();
                    store(jobId, seen.version(), units(jobId), marked(form, roomId, zoneId, in));
                    return zoneId.toString();
                }));
    }

    private static void requireSaid(Faults faults, String field, Object said, String accepted) {
        if (said == null) {
            faults.add(field, null, accepted);
        }
    }

    private static PlanForm marked(PlanForm form, String roomId, UUID zoneId, PlanForm.PlaceForm in) {
        if (form.rooms().stream().noneMatch(r -> r.id().equals(roomId))) {
            throw new InvalidInput("roomId", roomId, "a room of this plan");
        }
        return edited(form, roomId, r -> r.withMark(new PlanForm.MarkForm(zoneId.toString(), in)));
    }

    /** Puts a zone of typed sides on the plan, as a room of its own that can be walked on from there. */
    public void walk(UUID jobId, UUID zoneId, Jobs.Seen seen) {
        writes.onceIn(jobId, seen.key(), List.of("walk", jobId, zoneId, seen.version()), () -> {
            var zone = zones.get(jobId, zoneId);
            if (zone.choice().shape().equals(PlanZone.KIND)) {
                throw new Refusal(
                        "on-plan-already", zone.choice().name() + " is on the plan already.", "Edit its walls there.");
            }
            UnitSystem units = units(jobId);
            var form = plans.get(jobId).form();
            var rooms = new ArrayList<>(form.rooms());
            rooms.add(room(zone, units));
            jobs.putOnPlan(jobId, zoneId);
            store(jobId, seen.version(), units, new PlanForm(rooms, form.north()));
            return zoneId.toString();
        });
    }

    private static PlanForm.RoomForm room(ZoneStore.StoredZone zone, UnitSystem units) {
        Shape shape = Shapes.of(zone.choice().shape(), Value.bases(zone.choice().values()));
        List<Corner> corners = shape.outline().corners();
        var runs = new ArrayList<PlanForm.RunForm>();
        double heading = 0;
        for (int i = 0; i < corners.size(); i++) {
            Corner from = corners.get(i);
            Corner to = corners.get((i + 1) % corners.size());
            double bearing = Math.atan2(to.y() - from.y(), to.x() - from.x());
            runs.add(new PlanForm.RunForm(
                    "w" + (i + 1),
                    TapeText.of(Math.hypot(to.x() - from.x(), to.y() - from.y()), units),
                    Turn.text(bearing - heading),
                    Optional.empty()));
            heading = bearing;
        }
        // a hand's breadth inside the first corner is inside any rectangle or L
        var inside = new PlanForm.PlaceForm("50 mm", "50 mm");
        return PlanForm.RoomForm.of(zone.id().toString(), zone.choice().name(), runs)
                .withMark(new PlanForm.MarkForm(zone.id().toString(), inside));
    }
}

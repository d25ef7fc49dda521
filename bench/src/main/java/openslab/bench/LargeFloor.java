package openslab.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.floor.level.Levels;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.UnitSystem;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** Everything that follows from one large room: 200 cracks, 10,000 levels; the budget is 16 ms, p99, at 2,000 corners. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class LargeFloor {
    private static final int CRACKS = 200;
    private static final int GRID = 100;

    @Param({"250", "500", "1000", "2000", "4000", "8000"})
    public int corners;

    private Room room;

    @Setup
    public void measure() {
        var random = new Random(1);
        var cracks = new ArrayList<Room.Crack>();
        for (int i = 0; i < CRACKS; i++) {
            var from = new Corner(random.nextGaussian() * 5, random.nextGaussian() * 5);
            var to = new Corner(from.x() + random.nextGaussian(), from.y() + random.nextGaussian());
            cracks.add(new Room.Crack("k" + i, List.of(from, to), 0.001, 0.01, false));
        }
        double[] heights = random.doubles(GRID * GRID, -0.01, 0.01).toArray();
        var cut = Room.Cut.through("c", new Corner(0, -10), new Corner(0.5, 10));
        room = Room.draft("large", "Large", walk(random, corners))
                .cracks(cracks)
                .cuts(List.of(cut))
                .levels(Optional.of(Levels.of(new Heights(new Corner(-10, -10), 0.2, GRID, heights))))
                .room();
    }

    /** A curved wall measured point by point: three bays, and a hand that is not quite steady. */
    private static Walk walk(Random random, int corners) {
        var ring = new ArrayList<Corner>();
        for (int i = 0; i < corners; i++) {
            double a = 2 * Math.PI * (i + 0.5 * random.nextDouble()) / corners;
            double r = 16 + 2 * Math.sin(3 * a) + 0.02 * random.nextDouble();
            ring.add(new Corner(r * Math.cos(a), r * Math.sin(a)));
        }
        var runs = new ArrayList<Run>();
        double heading = 0;
        for (int i = 0; i < corners; i++) {
            Corner from = ring.get(i);
            Corner to = ring.get((i + 1) % corners);
            double bearing = Math.atan2(to.y() - from.y(), to.x() - from.x());
            runs.add(Run.straight("r" + i, Math.hypot(to.x() - from.x(), to.y() - from.y()), bearing - heading));
            heading = bearing;
        }
        return new Walk(runs, List.of());
    }

    @Benchmark
    public RoomPlan everything() {
        return RoomPlan.of(room, UnitSystem.US);
    }
}

package openslab.server.form;

import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.LogEntry;
import openslab.core.quantity.Faults;
import openslab.core.survey.area.DefectArea;
import org.jspecify.annotations.Nullable;

/** Rings of corners that somebody drew on a floor. */
final class Rings {
    private Rings() {}

    /** One that goes round something once, near the floor; none where none was sent, or a fault of it was told. */
    static List<Corner> read(Faults faults, String path, @Nullable List<Corner> ring) {
        if (!Said.is(ring)) {
            return List.of();
        }
        boolean near = ring.stream().allMatch(c -> c != null && Math.hypot(c.x(), c.y()) <= LogEntry.REACH_M);
        if (!near) {
            faults.add(path, ring.size() + " corners", "corners within " + (int) LogEntry.REACH_M + " m of the first");
            return List.of();
        }
        List<Corner> read = faults.read(() -> {
            DefectArea.require(path, ring);
            return ring;
        });
        return read == null ? List.of() : read;
    }
}

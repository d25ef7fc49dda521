package openslab.bench;

import java.util.concurrent.TimeUnit;
import openslab.core.Stories;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.UnitSystem;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** A floor with so many batches logged of one layer, all spread too far: ten times as many are to take ten times as long, not a hundred. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ManyBatches {
    private static final double HOURS_EACH = 1 / 60.0;

    @Param({"500", "5000"})
    public int batches;

    private ZoneFacts zone;

    @Setup
    public void log() {
        var story = new Stories().surveyed().ground();
        for (int i = 0; i < batches; i++) {
            story.batch(40 + i * HOURS_EACH, "primer", "volume=0.01 L area=1");
        }
        zone = story.facts();
    }

    @Benchmark
    public ZoneReport recomputed() {
        return ZoneReport.of(zone, UnitSystem.METRIC, Stories.WHERE, Stories.moment(40 + batches * HOURS_EACH));
    }
}

package openslab.bench;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import openslab.core.Stories;
import openslab.core.floor.Ell;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.CandidateReport;
import openslab.core.job.ChoiceReport;
import openslab.core.job.LayerChoice;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneReport;
import openslab.core.prep.PrepAsks;
import openslab.core.product.LayerRole;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.Candidate;
import openslab.core.system.Face;
import openslab.core.system.FloorSystem;
import openslab.core.system.Rung;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** Everything that follows from a large job, recomputed from its facts: the budget is 16 ms, p99. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class WholeJob {
    private static final int ZONES = 20;
    private static final int READINGS = 25;

    /** As many as may lie on concrete, each of three sheets with limits. */
    private static final List<Candidate> CANDIDATES = Stream.of("a", "b", "c", "d", "e")
            .map(id -> new Candidate(
                    system(id),
                    Stories.epoxyWithFlake().stream().map(LayerChoice::sheet).toList(),
                    Stories.epoxyWithFlake().stream().map(LayerChoice::way).toList()))
            .toList();

    private static FloorSystem system(String id) {
        var layer = new FloorSystem.Layer("primer", "Primer", LayerRole.PRIMER, "primer", "", "", "", false);
        return new FloorSystem(
                id,
                id,
                "",
                Set.of(Substrate.BARE_CONCRETE),
                Set.of(),
                EnumSet.allOf(Use.class),
                List.of(layer),
                Rung.COAT,
                new Face(Face.Tone.UNIFORM, Face.Texture.SMOOTH, Face.Grip.NONE, Face.Later.ABRADE, 1),
                Set.of(),
                Set.of(),
                "",
                "",
                PrepAsks.NOTHING,
                "");
    }

    private final List<ZoneFacts> zones = new ArrayList<>();

    public WholeJob() {
        for (int i = 0; i < ZONES; i++) {
            var story = new Stories().floor(new Ell(12 + i, 9, 3, 2)).surveyed().ground();
            // with the 16 of a full survey, 25 a zone
            for (int k = 16; k < READINGS; k++) {
                story.reading(1, "in-slab-rh", "P" + k, "rh=70 % depth=40 mm thickness=100 mm drying=one wait=30 h");
            }
            zones.add(story.coat(10, "primer").coat(22, "body").facts());
        }
    }

    /** Every system weighed for every zone. */
    @Benchmark
    public List<ChoiceReport> chosen() {
        return zones.stream()
                .map(z -> ChoiceReport.of(CANDIDATES, z, UnitSystem.US, Stories.moment(30)))
                .toList();
    }

    /** What an answer about the job is worked out from. */
    @Benchmark
    public List<ZoneReport> recomputed() {
        return zones.stream()
                .map(z -> ZoneReport.of(z, UnitSystem.US, Stories.WHERE, Stories.moment(30)))
                .toList();
    }

    /** What the screen of what could go on a floor asks for on its own, here of all of them. */
    @Benchmark
    public List<List<CandidateReport>> candidates() {
        return zones.stream()
                .map(z -> CandidateReport.of(CANDIDATES, z, UnitSystem.US, Stories.moment(30)))
                .toList();
    }
}

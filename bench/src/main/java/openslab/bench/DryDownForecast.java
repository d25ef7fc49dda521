package openslab.bench;

import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import openslab.core.Stories;
import openslab.core.floor.Substrate;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Site;
import openslab.core.survey.dry.DryDown;
import openslab.core.survey.judge.Survey;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** When a slab with three probes, each read five times, will be dry enough: the budget is 250 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class DryDownForecast {
    private static final DryDown.Means MEANS = new DryDown.Means(32, 0.3, 60, 45, 720);

    private final Survey survey;
    private final Site site =
            new Site(Stories.LIMITS, Substrate.BARE_CONCRETE, 80, UnitSystem.METRIC, Stories.moment(30 * 24));

    public DryDownForecast() {
        var story = new Stories().reading(0, "concrete-age", "", "age=40 d");
        story.reading(0, "climate", "", "air=21 °C rh=50 % slab=20 °C");
        for (String place : List.of("A", "B", "C")) {
            for (int week = 0; week < 5; week++) {
                String rh = String.format(Locale.ROOT, "%.1f", 92 - 2.1 * week);
                story.reading(
                        week * 168,
                        "in-slab-rh",
                        place,
                        "rh=" + rh + " % depth=40 mm thickness=100 mm drying=one wait=48 h");
            }
        }
        survey = story.facts().survey();
    }

    @Benchmark
    public DryDown threeProbesFiveWays() {
        return DryDown.of(survey, site, MEANS);
    }
}

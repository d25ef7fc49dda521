package openslab.bench;

import java.net.InetAddress;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Prints every figure beside the name of the machine that made it. */
public final class Main {
    private Main() {}

    /** @param args the application's jar */
    public static void main(String[] args) throws Exception {
        System.out.printf(
                Locale.ROOT,
                "Machine %s, %d cores, Java %s%n",
                InetAddress.getLocalHost().getHostName(),
                Runtime.getRuntime().availableProcessors(),
                Runtime.version());
        for (RunResult result : measured(WholeJob.class)) {
            boolean candidates = result.getPrimaryResult().getLabel().equals("candidates");
            print(
                    candidates
                            ? "Core, four candidates judged for each of 20 zones (500 readings)"
                            : "Core, whole job recomputed (20 zones, 500 readings)",
                    result,
                    " (budget p99 16 ms)");
        }
        for (RunResult result : measured(DryDownForecast.class)) {
            print("Core, dry-down forecast (3 probes, 5 ways)", result, " (budget 250 ms)");
        }
        growing(
                LargeFloor.class,
                "corners",
                n -> "Core, a floor of " + n + " corners, 200 cracks, 10000 levels",
                Map.of("2000", " (budget p99 16 ms)"));
        growing(
                KitBuying.class,
                "units",
                n -> "Core, " + n + " units bought out of 50 sizes",
                Map.of("100000", " (budget p99 50 ms)"));
        growing(ManyBatches.class, "batches", n -> "Core, a floor of " + n + " batches recomputed", Map.of());
        OnTheWire.run(Path.of(args[0]));
        ApiLoad.run(Path.of(args[0]));
        ManyJobs.run(Path.of(args[0]));
        ManyFloors.run(Path.of(args[0]));
        // last: the disk is busy for a while after it
        LoggerImport.run(Path.of(args[0]));
    }

    /** @param budgets by the size that each is for */
    private static void growing(
            Class<?> benchmark, String size, UnaryOperator<String> what, Map<String, String> budgets)
            throws RunnerException {
        double before = 0;
        for (RunResult result : measured(benchmark)) {
            String n = result.getParams().getParam(size);
            double median = result.getPrimaryResult().getStatistics().getPercentile(50);
            print(
                    what.apply(n),
                    result,
                    budgets.getOrDefault(n, "")
                            + (before > 0
                                    ? String.format(Locale.ROOT, ", %.2f times the one before", median / before)
                                    : ""));
            before = median;
        }
    }

    private static Collection<RunResult> measured(Class<?> benchmark) throws RunnerException {
        var options = new OptionsBuilder()
                .include(benchmark.getSimpleName())
                .forks(1)
                .warmupIterations(3)
                .warmupTime(TimeValue.seconds(3))
                .measurementIterations(5)
                .measurementTime(TimeValue.seconds(3))
                .verbosity(VerboseMode.SILENT)
                .build();
        return new Runner(options).run();
    }

    private static void print(String what, RunResult result, String besides) {
        var times = result.getPrimaryResult().getStatistics();
        System.out.printf(
                Locale.ROOT,
                "%s: p50 %.2f ms, p99 %.2f ms, worst %.2f ms%s%n",
                what,
                times.getPercentile(50),
                times.getPercentile(99),
                times.getMax(),
                besides);
    }
}

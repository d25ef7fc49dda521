package openslab.bench;

import java.net.InetAddress;
import java.nio.file.Path;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
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
        var options = new OptionsBuilder()
                .include(WholeJob.class.getSimpleName())
                .forks(1)
                .warmupIterations(3)
                .warmupTime(TimeValue.seconds(3))
                .measurementIterations(5)
                .measurementTime(TimeValue.seconds(3))
                .verbosity(VerboseMode.SILENT)
                .build();
        for (RunResult result : new Runner(options).run()) {
            var times = result.getPrimaryResult().getStatistics();
            System.out.printf(
                    Locale.ROOT,
                    "Core, whole job recomputed (20 zones, 500 readings): p50 %.2f ms, p99 %.2f ms, worst %.2f ms (budget p99 16 ms)%n",
                    times.getPercentile(50),
                    times.getPercentile(99),
                    times.getMax());
        }
        ApiLoad.run(Path.of(args[0]));
    }
}

package openslab.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import openslab.core.buy.KitCover;
import openslab.core.product.Kit;
import openslab.core.product.Packed;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** The cheapest kits for so many units out of fifty sizes, none of which divides another; the budget is 50 ms at 100,000. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class KitBuying {
    private static final int SIZES = 50;

    @Param({"12500", "25000", "50000", "100000"})
    public int units;

    private List<Kit> kits;

    @Setup
    public void stock() {
        kits = IntStream.range(0, SIZES)
                .mapToObj(i -> new Kit("size " + i, new Packed(101 + 37 * i), 1_000 + 313L * i + i * i % 97))
                .toList();
    }

    @Benchmark
    public KitCover cheapest() {
        return KitCover.of(new Packed(units), kits);
    }
}

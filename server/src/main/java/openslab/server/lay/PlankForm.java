package openslab.server.lay;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import openslab.core.layout.plank.PlankRules;
import openslab.core.layout.plank.Planks;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * How planks are laid out, as it is typed.
 *
 * @param grain degrees that the planks run to the left of along the first wall
 * @param widths of the rows, taken in turn, apart by commas
 * @param shortest no plank that somebody cuts is shorter; {@code longest} none longer where it can be helped
 * @param frame how wide an opening is framed; 0 for no frame
 * @param seed another draws another floor
 */
public record PlankForm(
        String grain,
        String widths,
        String shortest,
        String longest,
        String frame,
        String seed,
        List<NudgeForm> nudges) {
    /** A butt that was moved. @param by along the grain, with its unit */
    public record NudgeForm(int row, int run, int butt, String by) {}

    private static final int MOST_WIDTHS = 12;
    private static final int MOST_NUDGES = 500;
    private static final double WIDEST_M = 1;
    private static final double LONGEST_M = 12;
    /** Dragged past the end of its run it stays within it. */
    private static final double FARTHEST_M = 1000;

    /** As it is laid where nobody said otherwise. */
    static PlankForm usual(UnitSystem system) {
        return system == UnitSystem.US
                ? new PlankForm("0", "4 in, 8 in, 6 in", "12 in", "6 ft", "4 in", "1", List.of())
                : new PlankForm("0", "100 mm, 200 mm, 150 mm", "300 mm", "1.8 m", "100 mm", "1", List.of());
    }

    /** What is laid out by it. */
    public record Read(PlankRules rules, List<Planks.Nudge> nudges) {}

    /** @throws openslab.core.quantity.InvalidInput naming every fault */
    public Read read(UnitSystem system) {
        var faults = new Faults();
        Unit small = Unit.small(system);
        Double degrees = faults.read(() -> Measure.parse("grain", grain, Unit.ONE, -180, 180));
        List<Double> rows = widths(faults, small);
        Double least = faults.read(() -> Measure.parse("shortest", shortest, small, 0.1, LONGEST_M / 2));
        Double most = faults.read(
                () -> Measure.parse("longest", longest, Unit.of(small.dimension(), system), 0.2, LONGEST_M));
        if (least != null && most != null && most < 2 * least) {
            faults.add("longest", longest, "at least twice the shortest");
        }
        Double wide = faults.read(() -> Measure.parse("frame", frame, small, 0, WIDEST_M));
        if (seed == null || !seed.strip().matches("\\d{1,9}")) {
            faults.add("seed", seed, "a whole number of up to 9 digits");
        }
        List<Planks.Nudge> moved = nudges(faults, small);
        faults.check();
        PlankRules usual = PlankRules.usual(0, 0);
        return new Read(
                new PlankRules(
                        rows,
                        least,
                        most,
                        Math.min(usual.staggerM(), least),
                        usual.offJointM(),
                        wide,
                        Math.toRadians(degrees),
                        Long.parseLong(seed.strip())),
                moved);
    }

    private List<Double> widths(Faults faults, Unit small) {
        String[] typed = widths == null ? new String[0] : widths.split("[,;]");
        if (typed.length == 0 || typed.length > MOST_WIDTHS) {
            faults.add("widths", widths, "1 to " + MOST_WIDTHS + " widths, apart by commas");
        }
        return Arrays.stream(typed)
                .limit(MOST_WIDTHS)
                .map(t -> faults.read(() -> Measure.parse("widths", t, small, 0.02, WIDEST_M)))
                .toList();
    }

    private List<Planks.Nudge> nudges(Faults faults, Unit small) {
        List<NudgeForm> all = nudges == null ? List.of() : nudges;
        if (all.size() > MOST_NUDGES) {
            faults.add("nudges", all.size() + " butts", "at most " + MOST_NUDGES);
        }
        record Of(int row, int run, int butt) {}
        Set<Of> seen = new HashSet<>();
        var read = new ArrayList<Planks.Nudge>();
        for (int i = 0; i < Math.min(MOST_NUDGES, all.size()); i++) {
            NudgeForm n = all.get(i);
            String at = "nudges[" + i + "]";
            Double by = faults.read(() -> Measure.parse(at + ".by", n.by(), small, -FARTHEST_M, FARTHEST_M));
            if (n.row() < 0 || n.run() < 0 || n.butt() < 0 || !seen.add(new Of(n.row(), n.run(), n.butt()))) {
                faults.add(at, n.row() + ", " + n.run() + ", " + n.butt(), "a butt of the layout, each once");
            } else if (by != null) {
                read.add(new Planks.Nudge(n.row(), n.run(), n.butt(), by));
            }
        }
        return read;
    }
}

package openslab.core.prep.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.floor.joint.Cracks;
import openslab.core.floor.plan.Flaws;
import openslab.core.prep.Gates;
import openslab.core.prep.Works;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.silica.SilicaTask;

/** Cracks chased open, taped, filled, sand broadcast into the wet filler. What the width asks for is {@link Cracks}'s. */
final class CracksFilled implements RepairRule {
    private static final double CHASE_WIDE_M = Unit.INCH.toBase(0.25);
    private static final double CHASE_DEEP_M = Unit.INCH.toBase(0.5);
    /** Sand lies a hand's breadth over the crack, m. */
    private static final double BAND_M = 0.1;
    /** 0.5 lb/ft², TDS range 0.3 to 1.0, kg/m². */
    private static final double SAND_KG_M2 = 2.44;

    private static final Source PRACTICE = Source.commonPractice(
            "1/4 in parts flexible from structural filler; chased at least 1/4 in wide and 1/2 in deep and sand at 0.5 lb/ft² are ours");

    @Override
    public Optional<Repair> of(Damage damage) {
        List<Flaws.Crack> all = damage.flaws().cracks();
        if (all.isEmpty()) {
            return Optional.empty();
        }
        UnitSystem system = damage.system();
        double length = all.stream().mapToDouble(Flaws.Crack::lengthM).sum();
        double deepest = all.stream().mapToDouble(CracksFilled::deep).max().orElseThrow();
        int lifts = damage.patch().lifts(deepest);
        var figures = new ArrayList<Figure>();
        figures.add(length(all, length, system));
        filler(
                        "flexible filler",
                        all.stream().filter(c -> !Cracks.isWide(c.widthM())).toList(),
                        system)
                .ifPresent(figures::add);
        filler(
                        "structural filler",
                        all.stream().filter(c -> Cracks.isWide(c.widthM())).toList(),
                        system)
                .ifPresent(figures::add);
        figures.add(Lifts.figure("lifts in the deepest crack", deepest, damage.patch(), system));
        figures.add(sand(length, system));
        return Optional.of(new Repair(
                "cracks", "Chase and fill cracks", steps(length, lifts, damage.patch()), figures, "", PRACTICE));
    }

    private static double wide(Flaws.Crack c) {
        return Math.max(c.widthM(), CHASE_WIDE_M);
    }

    private static double deep(Flaws.Crack c) {
        return Math.max(c.depthM(), CHASE_DEEP_M);
    }

    private static List<Step> steps(double length, int lifts, PatchLimits patch) {
        var steps = new ArrayList<Step>();
        steps.add(Step.of(
                        Works.CHASE,
                        "Chase the cracks open",
                        "Diamond blade along each, old sealant out, vacuumed to the bottom.",
                        "Filler holds to clean sides, not to dirt.")
                .careful("Silica: " + SilicaTask.HAND_GRINDER.control() + ". Blades: two hands, goggles.")
                .over(length));
        for (int lift = 1; lift <= lifts; lift++) {
            boolean last = lift == lifts;
            steps.add(Step.of(
                            Works.FILL,
                            lifts == 1 ? "Tape and fill the cracks" : "Fill the cracks, lift " + lift + " of " + lifts,
                            (lift == 1 ? "Reinforcing tape in the chase, filler pressed in" : "Filler pressed in")
                                    + (last ? ", sand broadcast while it is wet." : ", left rough."),
                            last
                                    ? "Sand gives the primer something to hold on a filler that sets smooth."
                                    : "A lift deeper than the product allows never sets through.")
                    .which(String.valueOf(lift))
                    .over(length)
                    .dwells(patch.setsMin())
                    .until(Gates.set()));
        }
        return steps;
    }

    private static Figure length(List<Flaws.Crack> cracks, double length, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("S", cracks.size() + " cracks within the zone, added up", length, Unit.METRE);
        return w.figure(
                "cracks to chase and tape", "L", "S", length, Unit.METRE, Source.arithmetic("lengths of the plan"));
    }

    private static Optional<Figure> filler(String label, List<Flaws.Crack> cracks, UnitSystem system) {
        if (cracks.isEmpty()) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        double litres = cracks.stream()
                .mapToDouble(c -> 1000 * c.lengthM() * wide(c) * deep(c))
                .sum();
        w.given("S", "length · width · depth as chased, of " + cracks.size() + ", added up", litres, Unit.LITRE);
        return Optional.of(w.figure(label, "V", "S", litres, Unit.LITRE, PRACTICE));
    }

    private static Figure sand(double length, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("L", "cracks", length, Unit.METRE);
        w.given("b", "strewn so wide", BAND_M, Unit.METRE);
        w.given("r", "sand", SAND_KG_M2, Unit.KILOGRAM_PER_SQUARE_METRE);
        return w.figure("30-mesh sand", "m", "L·b·r", length * BAND_M * SAND_KG_M2, Unit.KILOGRAM, PRACTICE);
    }
}

package openslab.core.course.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.silica.SilicaTask;

/**
 * A kind of work. A new one is one line in the list of the stage that does it.
 *
 * @param pace of one person: m² or m an hour, or the hours it takes where it is measured by neither
 * @param hands how many do it
 * @param items what lies ready for it
 * @param wears what it uses up
 * @param waterLPerM2 on the floor, and to be picked up again; makes it wet
 * @param dustM how much of the surface it turns to dust, m
 * @param wheelM of a handheld grinder, m; 0 where there is none
 */
public record Work(
        String id,
        String title,
        Per per,
        double pace,
        int hands,
        List<Item> items,
        List<Wear> wears,
        double waterLPerM2,
        double dustM,
        double wheelM,
        Optional<SilicaTask> silica) {
    /** What it is measured by. */
    public enum Per {
        /** The floor, m². */
        FLOOR(Unit.SQUARE_FOOT, Unit.SQUARE_METRE, Unit.SQUARE_FOOT_PER_HOUR, Unit.SQUARE_METRE_PER_HOUR),
        /** Its perimeter, m. */
        EDGE(Unit.FOOT, Unit.METRE, Unit.FOOT_PER_HOUR, Unit.METRE_PER_HOUR),
        /** As long as it takes, whatever the floor: the pace is hours. */
        ONCE(Unit.HOUR, Unit.HOUR, Unit.HOUR, Unit.HOUR);

        private final Unit usAmount;
        private final Unit metricAmount;
        private final Unit usPace;
        private final Unit metricPace;

        Per(Unit usAmount, Unit metricAmount, Unit usPace, Unit metricPace) {
            this.usAmount = usAmount;
            this.metricAmount = metricAmount;
            this.usPace = usPace;
            this.metricPace = metricPace;
        }

        Unit amount() {
            return metricAmount;
        }

        /** Of a pace that is kept in m² or m an hour. */
        Unit paceUnit() {
            return metricPace;
        }
    }

    /**
     * Something that a work uses up.
     *
     * @param lasts what one of it lasts for, m² or m; times where the work is done once
     * @param keeps whether what is left of one serves the next step: a can, a box, a roll; what sets or clogs does not
     */
    public record Wear(String label, double lasts, boolean keeps) {
        private static final double ROUNDING = 1e-9;

        /** How many a step of so much takes: whole ones, unless what is left keeps. */
        public double of(double amount) {
            return keeps ? amount / lasts : whole(amount);
        }

        /** How many lie ready for a step of so much. */
        double whole(double amount) {
            return Math.ceil(amount / lasts - ROUNDING);
        }
    }

    /** The field that says how much of it was done, m² or m. */
    public static final String AMOUNT = "amount";

    private static final double MOST = 100_000;

    private static final double SLOWEST = 0.05;
    private static final double FASTEST = 2000;

    public Work {
        items = List.copyOf(items);
        wears = List.copyOf(wears);
    }

    public static Work of(String id, String title, Per per, double pace, Item... items) {
        return new Work(id, title, per, pace, 1, List.of(items), List.of(), 0, 0, 0, Optional.empty());
    }

    /** Whether it is the same kind of work, whatever else lies ready for it. */
    public boolean is(Work other) {
        return id.equals(other.id);
    }

    /** The same work, with these lying ready too. */
    public Work with(List<Item> more) {
        List<Item> all = Stream.concat(items.stream(), more.stream()).distinct().toList();
        return new Work(id, title, per, pace, hands, all, wears, waterLPerM2, dustM, wheelM, silica);
    }

    /** The same work, done with another thing. */
    public Work swapping(Item out, Item in) {
        List<Item> swapped =
                items.stream().map(i -> i == out ? in : i).distinct().toList();
        return new Work(id, title, per, pace, hands, swapped, wears, waterLPerM2, dustM, wheelM, silica);
    }

    /** The same work, which uses up none of this. */
    public Work sparing(String label) {
        List<Wear> left = wears.stream().filter(w -> !w.label().equals(label)).toList();
        return new Work(id, title, per, pace, hands, items, left, waterLPerM2, dustM, wheelM, silica);
    }

    public Work hands(int n) {
        return new Work(id, title, per, pace, n, items, wears, waterLPerM2, dustM, wheelM, silica);
    }

    public Work wears(String label, double lasts) {
        return using(new Wear(label, lasts, false));
    }

    /** Uses up what keeps for the next step: out of a can, off a roll. */
    public Work draws(String label, double lasts) {
        return using(new Wear(label, lasts, true));
    }

    private Work using(Wear wear) {
        var more = new ArrayList<>(wears);
        more.add(wear);
        return new Work(id, title, per, pace, hands, items, more, waterLPerM2, dustM, wheelM, silica);
    }

    public Work wet(double litresPerM2) {
        return new Work(id, title, per, pace, hands, items, wears, litresPerM2, dustM, wheelM, silica);
    }

    /** @param depthM of concrete that goes */
    public Work dust(double depthM, SilicaTask task) {
        return new Work(id, title, per, pace, hands, items, wears, waterLPerM2, depthM, wheelM, Optional.of(task));
    }

    public Work wheel(double diameterM) {
        return new Work(id, title, per, pace, hands, items, wears, waterLPerM2, dustM, diameterM, silica);
    }

    public boolean isWet() {
        return waterLPerM2 > 0;
    }

    /** What a crew did otherwise than its step says: pressure, distance, rinses, a richer mix, another tool. */
    public static final Field HOW = Field.words(
                    "how", "Done otherwise than it says", 80, "2500 psi, a hand away, rinsed four times")
            .ifWanted();

    /** What is keyed in when it is done; a pace is learned where every number of it is. */
    public List<Field> doneFields() {
        var fields = new ArrayList<Field>();
        if (per != Per.ONCE) {
            fields.add(Field.quantity(AMOUNT, "Done", per.usAmount, per.metricAmount, 0.01, MOST, "")
                    .ifWanted());
        }
        fields.add(Field.quantity("hours", "Hours worked", Unit.HOUR, 0.01, 1000, "")
                .ifWanted());
        fields.add(Field.quantity("hands", "Hands", Unit.ONE, 1, 50, "").ifWanted());
        fields.add(HOW);
        return List.copyOf(fields);
    }

    /** How its pace is keyed in. */
    public Field paceField() {
        return Field.quantity(
                "pace",
                title,
                per.usPace,
                per.metricPace,
                per.metricPace.toBase(SLOWEST),
                per.metricPace.toBase(FASTEST),
                "of one person");
    }
}

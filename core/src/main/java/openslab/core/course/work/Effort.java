package openslab.core.course.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.silica.Airflow;
import openslab.core.silica.Respirator;
import openslab.core.silica.SilicaTask;

/**
 * What a piece of work comes to on one floor.
 *
 * @param work its id
 * @param amount of floor or edge; empty for what is done once
 * @param time by the clock, with all hands at it
 * @param used up of each consumable, whole ones
 * @param dust to bag and carry out; empty where it makes none, {@code water} likewise
 * @param airflow at the shroud of a handheld grinder
 */
public record Effort(
        String work,
        Optional<Figure> amount,
        Figure pace,
        Figure time,
        int hands,
        List<Figure> used,
        Optional<Figure> dust,
        Optional<Figure> water,
        Optional<Figure> airflow,
        Optional<Dusty> silica) {
    /**
     * What the task table says of it.
     *
     * @param title of the row
     * @param hours of one shift at every listed task of the preparation together, at most; {@code shown} them in words
     * @param respirator empty where the table does not list it there; {@code worn} says which in words
     */
    public record Dusty(
            SilicaTask task,
            String title,
            String control,
            boolean indoors,
            Figure hours,
            String shown,
            Optional<Respirator> respirator,
            String worn,
            Source source) {
        private static final String ASSESS = "not in the table here: exposure is assessed before anybody works so";

        static Dusty of(SilicaTask task, boolean indoors, Figure hours) {
            Optional<Respirator> respirator = task.respirator(indoors, hours.value());
            String worn = respirator.map(Respirator::words).orElse(ASSESS);
            return new Dusty(
                    task,
                    task.label(),
                    task.control(),
                    indoors,
                    hours,
                    SilicaTask.text(hours.value()),
                    respirator,
                    worn,
                    task.source());
        }
    }

    /** Normal-weight concrete, kg/m³ (STANDARDS 12.3, from memory). */
    private static final double CONCRETE = 2300;

    private static final double SHIFT_H = 8;
    private static final Source RATES = Source.ours("rates to begin with; what a crew uses up beats them");
    private static final Source COUNT = Source.arithmetic("amount over pace and hands");

    /** @param amount base unit; ignored for what is done once */
    public static Effort of(Work work, double amount, boolean indoors, Paces paces, UnitSystem system) {
        boolean once = work.per() == Work.Per.ONCE;
        Figure pace = paces.of(work, system);
        var w = new Worksheet(system);
        double hours;
        Figure time;
        if (once) {
            w.from("p", pace);
            hours = pace.value();
            time = w.figure("time", "t", "p", hours, Unit.HOUR, COUNT);
        } else {
            w.given("a", "amount", amount, work.per().amount());
            w.from("p", pace);
            w.given("n", "hands", work.hands(), Unit.ONE);
            hours = amount / (pace.value() * work.hands());
            time = w.figure("time", "t", "a/(p·n)", hours, Unit.HOUR, COUNT);
        }
        boolean floor = work.per() == Work.Per.FLOOR;
        return new Effort(
                work.id(),
                once ? Optional.empty() : Optional.of(amount(amount, work, system)),
                pace,
                time,
                work.hands(),
                used(work, once ? 1 : amount, system),
                work.dustM() > 0 && floor ? Optional.of(dust(work, amount, system)) : Optional.empty(),
                work.isWet() && floor ? Optional.of(water(work, amount, system)) : Optional.empty(),
                work.wheelM() > 0 ? Optional.of(Airflow.atLeast(work.wheelM(), system)) : Optional.empty(),
                work.silica().map(task -> dusty(task, indoors, hours, system)));
    }

    private static Figure amount(double amount, Work work, UnitSystem system) {
        var w = new Worksheet(system);
        w.given(
                "m",
                work.per() == Work.Per.FLOOR ? "measured floor" : "measured length",
                amount,
                work.per().amount());
        return w.figure("amount", "a", "m", amount, work.per().amount(), Source.arithmetic("as measured"));
    }

    private static List<Figure> used(Work work, double amount, UnitSystem system) {
        var used = new ArrayList<Figure>();
        for (Work.Wear wear : work.wears()) {
            var w = new Worksheet(system);
            Unit unit = work.per() == Work.Per.ONCE ? Unit.ONE : work.per().amount();
            w.given("a", work.per() == Work.Per.ONCE ? "times" : "amount", amount, unit);
            w.given("l", "one lasts for", wear.lasts(), unit);
            w.let("x", "before whole ones are counted", "a/l", amount / wear.lasts(), Unit.ONE);
            used.add(w.figure(wear.label(), "n", "ceil(x)", wear.whole(amount), Unit.ONE, RATES));
        }
        return List.copyOf(used);
    }

    private static Figure dust(Work work, double m2, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "floor", m2, Unit.SQUARE_METRE);
        w.given("d", "taken off", work.dustM() * 1000, Unit.MILLIMETRE);
        w.given("r", "concrete, kg in each m² and mm", CONCRETE / 1000, Unit.ONE);
        return w.figure("dust", "m", "A·d·r", m2 * work.dustM() * CONCRETE, Unit.KILOGRAM, RATES);
    }

    private static Figure water(Work work, double m2, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "floor", m2, Unit.SQUARE_METRE);
        w.given("k", "litres on each m²", work.waterLPerM2(), Unit.ONE);
        return w.figure("water, to be picked up again", "V", "A·k", m2 * work.waterLPerM2(), Unit.LITRE, RATES);
    }

    /**
     * The same efforts, each with the respirator for all of their listed tasks in one shift: one person may do them all, one
     * after the other, and their hours add up.
     */
    public static List<Effort> inOneShift(List<Effort> efforts, UnitSystem system) {
        var w = new Worksheet(system);
        var terms = new ArrayList<String>();
        double sum = 0;
        for (Effort e : efforts) {
            if (e.silica.map(d -> d.task().isListed()).orElse(false)) {
                terms.add("t" + (terms.size() + 1));
                sum += w.from(terms.get(terms.size() - 1), e.time);
            }
        }
        if (terms.size() < 2) {
            return efforts;
        }
        w.given("s", "one shift", SHIFT_H, Unit.HOUR);
        Figure hours = w.figure(
                "dusty tasks in one shift, at most",
                "h",
                "min(" + String.join("+", terms) + ",s)",
                Math.min(sum, SHIFT_H),
                Unit.HOUR,
                Source.published(
                        "OSHA 29 CFR 1926.1153(c)(1), from memory: where tasks of Table 1 add up to more than four hours of a shift, each asks for the protection of more than four hours"));
        return efforts.stream().map(e -> e.dusty(hours)).toList();
    }

    private Effort dusty(Figure hours) {
        return silica.filter(d -> d.task().isListed())
                .map(d -> new Effort(
                        work,
                        amount,
                        pace,
                        time,
                        hands,
                        used,
                        dust,
                        water,
                        airflow,
                        Optional.of(Dusty.of(d.task(), d.indoors(), hours))))
                .orElse(this);
    }

    private static Dusty dusty(SilicaTask task, boolean indoors, double hours, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("t", "time of the whole task", hours, Unit.HOUR);
        w.given("s", "one shift", SHIFT_H, Unit.HOUR);
        double most = Math.min(hours, SHIFT_H);
        Figure shift = w.figure(
                "in one shift, at most", "h", "min(t,s)", most, Unit.HOUR, Source.arithmetic("a shift of 8 h"));
        return Dusty.of(task, indoors, shift);
    }
}

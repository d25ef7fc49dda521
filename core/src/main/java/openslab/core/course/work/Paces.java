package openslab.core.course.work;

import java.util.List;
import java.util.Map;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * How fast each kind of work goes: what this crew logged on floors enough, else what somebody set, else our default.
 *
 * @param set by work id, base unit of its pace
 * @param logged by work id
 */
public record Paces(Map<String, Double> set, Map<String, List<Logged>> logged) {
    /** A few: a single floor may have been an odd one. */
    public static final int FLOORS_ENOUGH = 3;

    /**
     * Work that was logged as done.
     *
     * @param floor the zone it was on; many entries of one floor count as one floor
     * @param amount m², m, or 1 for each time
     * @param personHours hours times hands
     */
    public record Logged(String floor, double amount, double personHours) {}

    /** Nothing set and nothing logged. */
    public static final Paces DEFAULT = new Paces(Map.of(), Map.of());

    public Paces {
        set = Map.copyOf(set);
        logged = Map.copyOf(logged);
    }

    /** On how many floors it was logged. */
    public int floors(Work work) {
        return (int) logged.getOrDefault(work.id(), List.of()).stream()
                .map(Logged::floor)
                .distinct()
                .count();
    }

    /** m², m an hour, or hours each time: of one person, with where it comes from. */
    public Figure of(Work work, UnitSystem system) {
        Unit unit = work.per().paceUnit();
        List<Logged> own = logged.getOrDefault(work.id(), List.of());
        int floors = floors(work);
        var w = new Worksheet(system);
        if (floors >= FLOORS_ENOUGH) {
            boolean once = work.per() == Work.Per.ONCE;
            double amount = own.stream().mapToDouble(Logged::amount).sum();
            double hours = own.stream().mapToDouble(Logged::personHours).sum();
            Source log = Source.ours("this crew's own pace on " + floors + " floors, from the log");
            w.given(
                    "a",
                    once ? "times it was done" : "done so far",
                    amount,
                    once ? Unit.ONE : work.per().amount());
            w.given("t", "hours of one person for it", hours, Unit.HOUR);
            return once
                    ? w.figure("pace of one person", "p", "t/a", hours / amount, unit, log)
                    : w.figure("pace of one person", "p", "a/t", amount / hours, unit, log);
        }
        Double chosen = set.get(work.id());
        double pace = chosen != null ? unit.fromBase(chosen) : work.pace();
        w.given("s", chosen != null ? "set here" : "to begin with", pace, unit);
        String learning = floors == 0
                ? "a crew's own numbers replace it after " + FLOORS_ENOUGH + " floors"
                : "logged on " + floors + " of the " + FLOORS_ENOUGH
                        + " floors after which the crew's own numbers replace it";
        Source source = Source.ours((chosen != null ? "set by the shop; " : "a start; ") + learning);
        return w.figure("pace of one person", "p", "s", pace, unit, source);
    }
}

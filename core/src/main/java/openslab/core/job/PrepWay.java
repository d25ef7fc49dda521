package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.course.work.Effort;
import openslab.core.course.work.Item;
import openslab.core.course.work.Paces;
import openslab.core.prep.Demand;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepPlan;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * One way of preparing that fits a floor, and what it would take.
 *
 * @param because why it fits this floor; {@code why} why the system takes it, empty where it says nothing
 * @param chosen whether it is the one that is planned
 * @param profile that it leaves; empty where it leaves the surface as rough as it was
 * @param hours of one person, all steps together; {@code waits} what passes by itself, drying most of it
 * @param demands what it asks of the place: "is loud"
 * @param tools that only the crew brings
 */
public record PrepWay(
        String id,
        String title,
        String because,
        String why,
        boolean chosen,
        String profile,
        Optional<Figure> hours,
        Optional<Figure> waits,
        Optional<Figure> dust,
        Optional<Figure> water,
        List<String> demands,
        List<String> tools) {
    private static final Source WAITS = Source.arithmetic("what dwells and dries, one after another");

    /** Every way that fits, the best first. */
    static List<PrepWay> all(ZoneFacts zone, PrepPlan plan, Paces paces, UnitSystem system, Instant now) {
        var waiting = Waiting.on(zone, now);
        String chosen = plan.method().map(PrepMethod::id).orElse("");
        return plan.fits().stream()
                .map(f -> of(f, f.method().id().equals(chosen), zone, plan, paces, waiting, system))
                .toList();
    }

    private static PrepWay of(
            PrepPlan.Fit fit,
            boolean chosen,
            ZoneFacts zone,
            PrepPlan plan,
            Paces paces,
            Waiting waiting,
            UnitSystem system) {
        PrepPlan own = chosen ? plan : PrepLog.by(fit.method(), zone, plan.need(), system);
        List<Effort> efforts = PrepSheet.efforts(zone, own, paces, system);
        PrepMethod.About about = fit.method().about();
        return new PrepWay(
                fit.method().id(),
                fit.method().title(),
                fit.because(),
                fit.why(),
                chosen,
                about.profileTo() == 0 ? "" : profile(about.profileFrom(), about.profileTo()),
                PrepSheet.hours(efforts, system),
                waits(own.steps(), waiting, system),
                PrepSheet.sum("dust", efforts, Effort::dust, system),
                PrepSheet.sum("water to pick up", efforts, Effort::water, system),
                about.demands().stream().sorted().map(Demand::words).toList(),
                own.steps().stream()
                        .flatMap(s -> s.work().items().stream())
                        .filter(i -> i.kind() == Item.Kind.TOOL && i.isOwn())
                        .distinct()
                        .map(Item::label)
                        .toList());
    }

    private static String profile(int from, int to) {
        return from == to ? "CSP " + from : "CSP " + from + " to " + to;
    }

    private static Optional<Figure> waits(List<Step> steps, Waiting waiting, UnitSystem system) {
        var w = new Worksheet(system);
        var terms = new ArrayList<String>();
        double hours = 0;
        for (Step step : steps) {
            if (step.waits().isAny()) {
                String symbol = "t" + (terms.size() + 1);
                terms.add(symbol);
                hours += w.given(
                        symbol, Show.lower(step.title()), Unit.HOUR.fromBase(waiting.usual(step.waits())), Unit.HOUR);
            }
        }
        return terms.isEmpty()
                ? Optional.empty()
                : Optional.of(w.figure("dwells and dries", "t", String.join("+", terms), hours, Unit.HOUR, WAITS));
    }
}

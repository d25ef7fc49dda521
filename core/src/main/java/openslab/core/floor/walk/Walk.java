package openslab.core.floor.walk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Require;

/**
 * A walk round the walls: the runs in order, and whatever was measured across. It begins at the origin.
 *
 * @param runs at least two; the last ends where the first begins
 */
public record Walk(List<Run> runs, List<Check> checks) {
    /** Baarda's limit for one misreading among many measures, one in a thousand wrongly named; from memory. */
    private static final double MISREAD = 3.29;

    public Walk {
        runs = List.copyOf(runs);
        checks = List.copyOf(checks);
        Require.that(runs.size() >= 2, "runs must be at least 2, got %s", runs.size());
        var ids = new HashSet<String>();
        for (Run run : runs) {
            Require.that(ids.add(run.id()), "run ids must differ, got %s twice", run.id());
        }
        for (Check check : checks) {
            Require.that(
                    Math.max(check.from(), check.to()) < runs.size() && Math.min(check.from(), check.to()) >= 0,
                    "a check must join two corners of the walk, got %s",
                    check);
        }
    }

    /** How the corners came to agree with the tape. */
    public enum Method {
        /** It closed by itself. */
        CLOSED,
        /** The misclosure was shared out by the length of the runs. */
        SHARED,
        /** Everything was adjusted together, checks included. */
        ADJUSTED,
        /** Too far off: shared out for drawing only. */
        OPEN
    }

    /**
     * A measure that may have been misread.
     *
     * @param wouldBe what it would have to read for the walk to close; empty where only its residual speaks
     */
    public record Suspect(String id, Residual.Kind kind, double measured, Optional<Double> wouldBe) {}

    /**
     * The walk, closed.
     *
     * @param walked where the tape went, one corner more than there are runs
     * @param corners made to agree
     * @param residuals empty where nothing was adjusted together
     * @param suspects likeliest first; empty where everything agrees
     */
    public record Closed(
            List<Corner> walked,
            List<Corner> corners,
            Closure closure,
            Method method,
            List<Residual> residuals,
            List<Suspect> suspects) {
        /** Good enough to coat by. */
        public boolean holds() {
            return method != Method.OPEN && suspects.isEmpty();
        }
    }

    public Closed close() {
        List<Corner> walked = walked();
        Corner end = walked.get(runs.size());
        double way = runs.stream().mapToDouble(Run::lengthM).sum();
        Closure closure = Closure.of(end.x(), end.y(), way);
        List<Corner> shared = shared(walked, closure);
        if (!checks.isEmpty()) {
            return adjusted(walked, shared, closure);
        }
        if (!closure.isWithinTolerance()) {
            return new Closed(walked, shared, closure, Method.OPEN, List.of(), suspects(walked, closure));
        }
        Method method = closure.lengthM() <= 1e-9 * way ? Method.CLOSED : Method.SHARED;
        return new Closed(walked, shared, closure, method, List.of(), List.of());
    }

    /**
     * The walk with one corner somewhere else: the two runs that meet there and the turns at their ends are measured
     * anew, everything else stays as the tape read it.
     *
     * @param to seen from the first corner as it was
     */
    public Walk moved(int corner, Corner to) {
        int n = runs.size();
        Require.that(corner >= 0 && corner < n, "corner must be one of " + n + ", got %s", corner);
        var corners = new ArrayList<>(close().corners());
        corners.set(corner, to);
        var moved = new ArrayList<Run>(n);
        double heading = 0;
        for (int i = 0; i < n; i++) {
            Run run = runs.get(i);
            Corner a = corners.get(i);
            Corner b = corners.get((i + 1) % n);
            double bearing = Math.atan2(b.y() - a.y(), b.x() - a.x());
            boolean touched = i == corner || (i + 1) % n == corner;
            boolean turned = touched || i == (corner + 1) % n;
            moved.add(new Run(
                    run.id(),
                    touched ? Math.hypot(b.x() - a.x(), b.y() - a.y()) : run.lengthM(),
                    turned ? Network.wrapped(bearing - heading) : run.turn(),
                    run.bow()));
            heading = bearing;
        }
        return new Walk(moved, checks);
    }

    /** Where the tape went, one corner more than there are runs. */
    private List<Corner> walked() {
        var corners = new ArrayList<Corner>(runs.size() + 1);
        double x = 0;
        double y = 0;
        double heading = 0;
        corners.add(new Corner(0, 0));
        for (Run run : runs) {
            heading = Network.wrapped(heading + run.turn());
            x += run.lengthM() * cosine(heading);
            y += run.lengthM() * cosine(heading - Math.PI / 2);
            corners.add(new Corner(x, y));
        }
        return List.copyOf(corners);
    }

    /** Square corners stay square to the last bit. */
    private static double cosine(double angle) {
        double quarters = angle / (Math.PI / 2);
        double whole = Math.rint(quarters);
        if (Math.abs(quarters - whole) < 1e-12) {
            return (int) whole % 4 == 0 ? 1 : (int) whole % 2 == 0 ? -1 : 0;
        }
        return Math.cos(angle);
    }

    /**
     * The compass rule: every corner takes the share of the misclosure that the way to it is of the whole way. The first wall
     * keeps its bearing, since places are told along it and off it: the whole is turned back about its first corner.
     */
    private List<Corner> shared(List<Corner> walked, Closure closure) {
        var corners = new ArrayList<Corner>(runs.size());
        double way = 0;
        for (int i = 0; i < runs.size(); i++) {
            double share = way / closure.walkedM();
            Corner c = walked.get(i);
            corners.add(new Corner(c.x() - share * closure.dxM(), c.y() - share * closure.dyM()));
            way += runs.get(i).lengthM();
        }
        Corner second = corners.get(1);
        double turned = Network.wrapped(runs.get(0).turn() - Math.atan2(second.y(), second.x()));
        return Math.abs(turned) < 1e-15
                ? List.copyOf(corners)
                : corners.stream().map(c -> turnedAbout(c, turned)).toList();
    }

    private static Corner turnedAbout(Corner c, double angle) {
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return new Corner(cos * c.x() - sin * c.y(), sin * c.x() + cos * c.y());
    }

    private Closed adjusted(List<Corner> walked, List<Corner> shared, Closure closure) {
        Network.Adjusted network = Network.adjust(runs, checks, shared);
        List<Suspect> suspects = network.residuals().stream()
                .filter(r -> Math.abs(r.standardized()) > MISREAD)
                .sorted(Comparator.comparingDouble((Residual r) -> -Math.abs(r.standardized())))
                .map(r -> new Suspect(r.what(), r.kind(), r.measured(), Optional.empty()))
                .toList();
        return new Closed(walked, network.corners(), closure, Method.ADJUSTED, network.residuals(), suspects);
    }

    /** Which single run, or which single turn, could account for the whole misclosure. */
    private List<Suspect> suspects(List<Corner> walked, Closure closure) {
        record Scored(Suspect suspect, double leftM) {}
        var scored = new ArrayList<Scored>();
        Corner end = walked.get(runs.size());
        for (int i = 0; i < runs.size(); i++) {
            Run run = runs.get(i);
            Corner a = walked.get(i);
            Corner b = walked.get(i + 1);
            double ux = (b.x() - a.x()) / run.lengthM();
            double uy = (b.y() - a.y()) / run.lengthM();
            double along = closure.dxM() * ux + closure.dyM() * uy;
            double across = Math.abs(closure.dxM() * uy - closure.dyM() * ux);
            if (across <= closure.toleranceM() && run.lengthM() - along > 0) {
                scored.add(new Scored(
                        new Suspect(run.id(), Residual.Kind.LENGTH, run.lengthM(), Optional.of(run.lengthM() - along)),
                        across));
            }
            // a wrong turn swings all that follows about its corner
            double toEnd = Math.hypot(end.x() - a.x(), end.y() - a.y());
            double toStart = Math.hypot(a.x(), a.y());
            if (i > 0 && Math.abs(toEnd - toStart) <= closure.toleranceM() && toStart > closure.toleranceM()) {
                double swing =
                        Network.wrapped(Math.atan2(-a.y(), -a.x()) - Math.atan2(end.y() - a.y(), end.x() - a.x()));
                double turn = Network.wrapped(run.turn() + swing);
                scored.add(new Scored(
                        new Suspect(run.id(), Residual.Kind.TURN, run.turn(), Optional.of(turn)),
                        Math.abs(toEnd - toStart)));
            }
        }
        return scored.stream()
                .sorted(Comparator.comparingDouble(Scored::leftM))
                .map(Scored::suspect)
                .toList();
    }
}

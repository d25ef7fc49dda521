package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * In which order bays are coated: whoever coats one gets to it, and away from it, over bays that are still dry, and the one at the
 * way out is the last. From the way out a path leads to every bay; each is coated before the one that leads to it.
 */
final class DryOrder {
    private final List<List<Integer>> neighbours;
    private final IntToDoubleFunction away;
    private final boolean[] seen;
    private final List<Integer> order = new ArrayList<>();

    private DryOrder(List<List<Integer>> neighbours, IntToDoubleFunction away) {
        this.neighbours = neighbours;
        this.away = away;
        this.seen = new boolean[neighbours.size()];
    }

    /**
     * @param among the bays that hang together, of which {@code exit} is the one at the way out
     * @param away how far a bay is from the way out: what is far is coated first
     * @return these as they are coated; those that nobody gets to from the way out stand first
     */
    static List<Integer> of(List<List<Integer>> neighbours, List<Integer> among, int exit, IntToDoubleFunction away) {
        var dry = new DryOrder(neighbours, away);
        dry.visit(exit);
        var main = new ArrayList<>(dry.order);
        dry.order.clear();
        for (int bay : among) {
            if (!dry.seen[bay]) {
                dry.visit(bay);
            }
        }
        var all = new ArrayList<>(dry.order);
        all.addAll(main);
        return all;
    }

    /** A bay after all that lie behind it, without calling itself: a corridor may have thousands. */
    private void visit(int from) {
        var path = new ArrayList<int[]>();
        var next = new ArrayList<List<Integer>>();
        seen[from] = true;
        path.add(new int[] {from, 0});
        next.add(sorted(from));
        while (!path.isEmpty()) {
            int[] top = path.get(path.size() - 1);
            List<Integer> behind = next.get(next.size() - 1);
            if (top[1] == behind.size()) {
                order.add(top[0]);
                path.remove(path.size() - 1);
                next.remove(next.size() - 1);
                continue;
            }
            int to = behind.get(top[1]++);
            if (!seen[to]) {
                seen[to] = true;
                path.add(new int[] {to, 0});
                next.add(sorted(to));
            }
        }
    }

    private List<Integer> sorted(int bay) {
        return neighbours.get(bay).stream()
                .sorted(Comparator.comparingDouble((Integer b) -> -away.applyAsDouble(b)))
                .toList();
    }
}

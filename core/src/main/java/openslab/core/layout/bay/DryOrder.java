package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * In which order bays are coated: whoever coats one gets to it, and away from it, over bays that are still dry, and the one at the
 * way out is the last. Of all that may come next it is one that lies beside what was coated latest, so that the edge is still wet;
 * of several such, the one that would be left with the fewest beside it, and the one that is farthest from the way out.
 */
final class DryOrder {
    private static final int NEVER = -1;

    private final List<List<Integer>> neighbours;
    private final IntToDoubleFunction away;
    /** When each was coated; {@link #NEVER} while it is dry. */
    private final int[] coated;
    /** When the latest of those beside each was coated. */
    private final int[] wettest;
    /** How many beside each are dry: a bay in a corner that is passed by is begun later without a wet edge. */
    private final int[] dryBeside;

    private DryOrder(List<List<Integer>> neighbours, IntToDoubleFunction away) {
        this.neighbours = neighbours;
        this.away = away;
        this.coated = new int[neighbours.size()];
        this.wettest = new int[neighbours.size()];
        this.dryBeside = neighbours.stream().mapToInt(List::size).toArray();
        Arrays.fill(coated, NEVER);
        Arrays.fill(wettest, NEVER);
    }

    /**
     * @param among the bays that hang together, of which {@code exit} is the one at the way out
     * @param away how far a bay is from the way out: the first is the one that is farthest
     * @return these as they are coated; those that nobody gets to from the way out stand first
     */
    static List<Integer> of(List<List<Integer>> neighbours, List<Integer> among, int exit, IntToDoubleFunction away) {
        var all = new ArrayList<Integer>();
        List<Integer> main = hanging(neighbours, exit);
        var behind = new ArrayList<>(among);
        behind.removeAll(main);
        while (!behind.isEmpty()) {
            List<Integer> apart = hanging(neighbours, behind.get(0));
            all.addAll(new DryOrder(neighbours, away).coat(apart, behind.get(0)));
            behind.removeAll(apart);
        }
        all.addAll(new DryOrder(neighbours, away).coat(main, exit));
        return all;
    }

    /** All that somebody gets to from {@code from}. */
    private static List<Integer> hanging(List<List<Integer>> neighbours, int from) {
        var seen = new boolean[neighbours.size()];
        seen[from] = true;
        var reached = new ArrayList<>(List.of(from));
        for (int i = 0; i < reached.size(); i++) {
            for (int next : neighbours.get(reached.get(i))) {
                if (!seen[next]) {
                    seen[next] = true;
                    reached.add(next);
                }
            }
        }
        return reached;
    }

    private List<Integer> coat(List<Integer> bays, int exit) {
        var order = new ArrayList<Integer>();
        Comparator<Integer> farthest = Comparator.comparingDouble(away::applyAsDouble);
        Comparator<Integer> best = Comparator.comparingInt((Integer b) -> wettest[b])
                .thenComparingInt(b -> -dryBeside[b])
                .thenComparing(farthest);
        while (order.size() < bays.size() - 1) {
            boolean[] holds = holding(exit);
            int next = bays.stream()
                    .filter(b -> coated[b] == NEVER && b != exit && !holds[b])
                    .max(order.isEmpty() ? farthest : best)
                    .orElseThrow();
            coated[next] = order.size();
            for (int beside : neighbours.get(next)) {
                wettest[beside] = order.size();
                dryBeside[beside]--;
            }
            order.add(next);
        }
        order.add(exit);
        return order;
    }

    /**
     * Which dry bays others are only got to over, from the way out: one of a search from there that no bay behind it gets round
     * (cut vertices, after Hopcroft and Tarjan 1973). It does not call itself: a corridor may have hundreds.
     */
    private boolean[] holding(int exit) {
        int n = neighbours.size();
        var holds = new boolean[n];
        var seen = new int[n];
        var low = new int[n];
        var from = new int[n];
        var at = new int[n];
        int time = 1;
        seen[exit] = time;
        low[exit] = time;
        from[exit] = NEVER;
        int bay = exit;
        while (bay != NEVER) {
            List<Integer> beside = neighbours.get(bay);
            if (at[bay] < beside.size()) {
                int next = beside.get(at[bay]++);
                if (coated[next] != NEVER || next == from[bay]) {
                    continue;
                }
                if (seen[next] != 0) {
                    low[bay] = Math.min(low[bay], seen[next]);
                } else {
                    seen[next] = ++time;
                    low[next] = time;
                    from[next] = bay;
                    bay = next;
                }
            } else {
                int back = from[bay];
                if (back != NEVER) {
                    low[back] = Math.min(low[back], low[bay]);
                    holds[back] |= low[bay] >= seen[back];
                }
                bay = back;
            }
        }
        return holds;
    }
}

package openslab.core.layout.bay;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/**
 * Cells put together into as few bays as can be, each in one piece and none larger than it may be. Exact up to
 * {@value #EXACT} cells; beyond, the best of several ways to hang the floor on a tree, each parted as well as its tree can be.
 */
final class Grouping {
    static final int EXACT = 12;

    /** Trees that are tried besides the one from the way out; fewer on a floor of very many cells. */
    private static final int TREES = 200;

    private static final int STEPS = 100_000;

    private static final double ROUNDING = 1e-9;

    private final double[] areas;
    private final List<List<Integer>> neighbours;
    private final double most;

    private Grouping(double[] areas, List<List<Integer>> neighbours, double most) {
        this.areas = areas;
        this.neighbours = neighbours;
        this.most = most * (1 + ROUNDING);
    }

    /** @param from the cell at the way out */
    static List<List<Integer>> of(double[] areas, List<List<Integer>> neighbours, double most, int from) {
        var grouping = new Grouping(areas, neighbours, most);
        return areas.length <= EXACT ? grouping.exact() : grouping.onTrees(from);
    }

    /** As floors of many cells are parted. */
    static List<List<Integer>> onTrees(double[] areas, List<List<Integer>> neighbours, double most, int from) {
        return new Grouping(areas, neighbours, most).onTrees(from);
    }

    /** The fewest connected sets that cover all, of these the ones whose largest is least (dynamic programming over sets). */
    private List<List<Integer>> exact() {
        int n = areas.length;
        int all = (1 << n) - 1;
        boolean[] may = new boolean[all + 1];
        double[] sum = new double[all + 1];
        for (int set = 1; set <= all; set++) {
            int low = Integer.numberOfTrailingZeros(set);
            sum[set] = sum[set & (set - 1)] + areas[low];
            may[set] = (set & (set - 1)) == 0 || sum[set] <= most && isOnePiece(set);
        }
        int[] count = new int[all + 1];
        double[] largest = new double[all + 1];
        int[] taken = new int[all + 1];
        Arrays.fill(count, Integer.MAX_VALUE);
        count[0] = 0;
        for (int set = 1; set <= all; set++) {
            int low = set & -set;
            int rest = set ^ low;
            // every set that holds the first of them
            for (int more = rest; ; more = (more - 1) & rest) {
                int group = more | low;
                if (may[group]) {
                    int c = count[set ^ group] + 1;
                    double l = Math.max(largest[set ^ group], sum[group]);
                    if (c < count[set] || c == count[set] && l < largest[set] - ROUNDING) {
                        count[set] = c;
                        largest[set] = l;
                        taken[set] = group;
                    }
                }
                if (more == 0) {
                    break;
                }
            }
        }
        var groups = new ArrayList<List<Integer>>();
        for (int set = all; set != 0; set ^= taken[set]) {
            groups.add(BitSet.valueOf(new long[] {taken[set]}).stream().boxed().toList());
        }
        return groups;
    }

    private boolean isOnePiece(int set) {
        int reached = set & -set;
        int before = 0;
        while (reached != before) {
            before = reached;
            for (int i = 0; i < areas.length; i++) {
                if ((reached & (1 << i)) != 0) {
                    for (int j : neighbours.get(i)) {
                        reached |= set & (1 << j);
                    }
                }
            }
        }
        return reached == set;
    }

    private List<List<Integer>> onTrees(int from) {
        List<List<Integer>> best = parted(tree(from, null));
        // the same floor has the same bays whenever it is asked
        var random = new Random(areas.length);
        int trees = Math.min(TREES, STEPS / areas.length);
        for (int i = 0; i < trees; i++) {
            List<List<Integer>> other = parted(tree(from, random));
            if (other.size() < best.size()
                    || other.size() == best.size() && largest(other) < largest(best) - ROUNDING) {
                best = other;
            }
        }
        return best;
    }

    private double largest(List<List<Integer>> groups) {
        return groups.stream()
                .mapToDouble(g -> g.stream().mapToDouble(i -> areas[i]).sum())
                .max()
                .orElse(0);
    }

    /** Parents and the order in which cells were reached; cells that nobody gets to begin trees of their own. */
    private record Tree(int[] parent, List<Integer> order) {}

    /** @param random which borders count first; without it the tree goes from the way out in the order of nearness */
    private Tree tree(int from, Random random) {
        List<List<Integer>> open = random == null ? neighbours : spanning(random);
        int[] parent = new int[areas.length];
        Arrays.fill(parent, -2);
        var order = new ArrayList<Integer>();
        for (int k = 0; k < areas.length; k++) {
            int root = (from + k) % areas.length;
            if (parent[root] != -2) {
                continue;
            }
            parent[root] = -1;
            var queue = new ArrayDeque<Integer>(List.of(root));
            while (!queue.isEmpty()) {
                int at = queue.pollFirst();
                order.add(at);
                for (int n : open.get(at)) {
                    if (parent[n] == -2) {
                        parent[n] = at;
                        queue.add(n);
                    }
                }
            }
        }
        return new Tree(parent, order);
    }

    /** A tree by chance: borders in any order, each kept that closes no ring. */
    private List<List<Integer>> spanning(Random random) {
        var borders = new ArrayList<int[]>();
        var kept = new ArrayList<List<Integer>>();
        for (int a = 0; a < areas.length; a++) {
            kept.add(new ArrayList<>());
            for (int b : neighbours.get(a)) {
                if (a < b) {
                    borders.add(new int[] {a, b});
                }
            }
        }
        Collections.shuffle(borders, random);
        int[] root = new int[areas.length];
        Arrays.setAll(root, i -> i);
        for (int[] border : borders) {
            int a = rootOf(root, border[0]);
            int b = rootOf(root, border[1]);
            if (a != b) {
                root[a] = b;
                kept.get(border[0]).add(border[1]);
                kept.get(border[1]).add(border[0]);
            }
        }
        return kept;
    }

    private static int rootOf(int[] root, int of) {
        int at = of;
        while (root[at] != at) {
            root[at] = root[root[at]];
            at = root[at];
        }
        return at;
    }

    /** From the leaves up: what is too much together is cut off, the heaviest first, which no cutting of the tree betters. */
    private List<List<Integer>> parted(Tree tree) {
        int n = areas.length;
        double[] hangs = areas.clone();
        boolean[] cut = new boolean[n];
        var children = new ArrayList<List<Integer>>();
        for (int i = 0; i < n; i++) {
            children.add(new ArrayList<>());
        }
        for (int at : tree.order) {
            if (tree.parent[at] >= 0) {
                children.get(tree.parent[at]).add(at);
            }
        }
        for (int k = n - 1; k >= 0; k--) {
            int at = tree.order.get(k);
            List<Integer> below = children.get(at);
            below.sort(Comparator.comparingDouble((Integer c) -> hangs[c]));
            for (int c : below) {
                hangs[at] += hangs[c];
            }
            for (int i = below.size() - 1; i >= 0 && hangs[at] > most; i--) {
                cut[below.get(i)] = true;
                hangs[at] -= hangs[below.get(i)];
            }
        }
        int[] group = new int[n];
        var groups = new ArrayList<List<Integer>>();
        for (int at : tree.order) {
            if (tree.parent[at] < 0 || cut[at]) {
                group[at] = groups.size();
                groups.add(new ArrayList<>());
            } else {
                group[at] = group[tree.parent[at]];
            }
            groups.get(group[at]).add(at);
        }
        return groups;
    }
}

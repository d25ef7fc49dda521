package openslab.core.floor.level;

import java.util.Arrays;

/**
 * How high water stands on a grid when it may run off at some cells: every cell at the lowest level over which it can leave.
 * Priority flood with a pit queue (Barnes, Lehman and Mulla, Computers and Geosciences 62, 2014, algorithm 2; from memory):
 * what lies under the water that reached it is settled at once, only the rest waits in the heap. Primitive arrays, since a
 * plan is reckoned again with every key.
 */
final class Flood {
    private final double[] ground;
    private final double[] water;
    private final int columns;
    private final int[] heap;
    private int waiting;
    private final int[] pit;
    private int sunk;

    private Flood(double[] ground, int columns) {
        this.ground = ground;
        this.columns = columns;
        water = new double[ground.length];
        Arrays.fill(water, Double.NaN);
        heap = new int[ground.length + 1];
        pit = new int[ground.length];
    }

    /**
     * @param ground NaN where nothing was read
     * @param outlets cells at which water leaves
     * @return NaN where nothing was read or no water comes
     */
    static double[] level(double[] ground, int columns, int[] outlets) {
        var flood = new Flood(ground, columns);
        for (int cell : outlets) {
            if (!Double.isNaN(ground[cell]) && Double.isNaN(flood.water[cell])) {
                flood.water[cell] = ground[cell];
                flood.push(cell);
            }
        }
        flood.rise();
        return flood.water;
    }

    private void rise() {
        while (waiting > 0 || sunk > 0) {
            int cell = sunk > 0 ? pit[--sunk] : pop();
            int column = cell % columns;
            if (column > 0) {
                reach(cell - 1, water[cell]);
            }
            if (column < columns - 1) {
                reach(cell + 1, water[cell]);
            }
            if (cell >= columns) {
                reach(cell - columns, water[cell]);
            }
            if (cell + columns < ground.length) {
                reach(cell + columns, water[cell]);
            }
        }
    }

    private void reach(int cell, double level) {
        if (!Double.isNaN(water[cell]) || Double.isNaN(ground[cell])) {
            return;
        }
        if (ground[cell] <= level) {
            water[cell] = level;
            pit[sunk++] = cell;
        } else {
            water[cell] = ground[cell];
            push(cell);
        }
    }

    /** A binary heap, lowest water first; place 0 is not used. */
    private void push(int cell) {
        int at = ++waiting;
        double level = water[cell];
        while (at > 1 && water[heap[at / 2]] > level) {
            heap[at] = heap[at / 2];
            at /= 2;
        }
        heap[at] = cell;
    }

    private int pop() {
        int top = heap[1];
        int last = heap[waiting--];
        double level = water[last];
        int at = 1;
        while (2 * at <= waiting) {
            int child = 2 * at;
            if (child < waiting && water[heap[child + 1]] < water[heap[child]]) {
                child++;
            }
            if (water[heap[child]] >= level) {
                break;
            }
            heap[at] = heap[child];
            at = child;
        }
        heap[at] = last;
        return top;
    }
}

package openslab.core.survey.dry;

import java.util.Arrays;

/**
 * Pore humidity through a slab as it dries: {@code ∂H/∂t = ∂/∂x(D(H)·∂H/∂x)}, its open face at the humidity of the air,
 * the other end sealed: the base, or the middle of a slab that dries from both faces. Second order in depth and time.
 * After a change at the face the first steps are backward Euler, so that the jump does not ring; the rest are
 * Crank-Nicolson, each longer than the one before, as the drying slows.
 */
public final class Drying {
    /** Fine enough for a thousandth of the difference between slab and air: see the tests. */
    public static final int CELLS = 60;

    private static final int EULER_STEPS = 4;
    /** Steps grow by this share of the time gone by, over the cells: a finer grid takes finer steps too. */
    private static final double GROWTH = 2.4;

    private static final double FIRST_FOURIER = 0.072;

    /** Within this of humidity the diffusivity is straight enough. */
    private static final double STEEP = 0.004;

    private final double pathM;
    private final double cellM;
    private Diffusivity diffusivity;
    private double face;
    private double elapsedS;
    private double sinceChangeS;
    private int steps;

    private double[] now;
    private double[] next;
    private final double[] faces;
    private final double[] below;
    private final double[] middle;
    private final double[] above;
    private final double[] right;

    /**
     * @param thicknessM of the slab
     * @param initial pore humidity all through, share
     * @param face humidity of the air, share
     */
    public Drying(double thicknessM, boolean bothFaces, Diffusivity diffusivity, double initial, double face) {
        this(thicknessM, bothFaces, diffusivity, initial, face, CELLS);
    }

    /** @param cells through the slab, or through the half of it that dries to one face */
    public Drying(
            double thicknessM, boolean bothFaces, Diffusivity diffusivity, double initial, double face, int cells) {
        this.pathM = bothFaces ? thicknessM / 2 : thicknessM;
        this.cellM = pathM / cells;
        this.diffusivity = diffusivity;
        this.face = face;
        now = new double[cells + 1];
        next = new double[cells + 1];
        faces = new double[cells];
        below = new double[cells + 1];
        middle = new double[cells + 1];
        above = new double[cells + 1];
        right = new double[cells + 1];
        Arrays.fill(now, initial);
    }

    /** The same slab as it stands, to go on otherwise. */
    public Drying copy() {
        var copy = new Drying(pathM, false, diffusivity, 0, face, faces.length);
        System.arraycopy(now, 0, copy.now, 0, now.length);
        copy.elapsedS = elapsedS;
        copy.sinceChangeS = sinceChangeS;
        copy.steps = steps;
        return copy;
    }

    /** @param faster how many times as fast the slab dries from here on; {@code otherFace} the air over it */
    public void change(double faster, double otherFace) {
        diffusivity = new Diffusivity(
                diffusivity.d1() * faster, diffusivity.alpha(), diffusivity.middle(), diffusivity.steepness());
        face = otherFace;
        sinceChangeS = 0;
        steps = 0;
    }

    public double elapsedS() {
        return elapsedS;
    }

    /** @param untilS since the start; not before {@link #elapsedS} */
    public void advance(double untilS) {
        while (elapsedS < untilS - 1e-6) {
            step(Math.min(stepS(), untilS - elapsedS));
        }
    }

    private double stepS() {
        return Math.max(FIRST_FOURIER * cellM * cellM / diffusivity.d1(), GROWTH / faces.length * sinceChangeS);
    }

    /** Goes on until {@code depthM} is down to {@code humidity}; seconds since the start, or infinite when it is not by then. */
    public double reaches(double depthM, double humidity, double latestS) {
        double before = at(depthM);
        double beforeS = elapsedS;
        while (before > humidity) {
            if (elapsedS >= latestS) {
                return Double.POSITIVE_INFINITY;
            }
            beforeS = elapsedS;
            step(stepS());
            double after = at(depthM);
            if (after <= humidity) {
                return beforeS + (elapsedS - beforeS) * (before - humidity) / (before - after);
            }
            before = after;
        }
        return beforeS;
    }

    /** Humidity at a depth below an open face; between two points along the curve through the four nearest. */
    public double at(double depthM) {
        double x = Math.max(0, Math.min(now.length - 1, (pathM - depthM) / cellM));
        int i = Math.max(0, Math.min(now.length - 4, (int) x - 1));
        double s = x - i;
        return now[i] * (s - 1) * (s - 2) * (s - 3) / -6
                + now[i + 1] * s * (s - 2) * (s - 3) / 2
                + now[i + 2] * s * (s - 1) * (s - 3) / -2
                + now[i + 3] * s * (s - 1) * (s - 2) / 6;
    }

    /** Humidity of the slab as a whole. */
    public double mean() {
        double sum = (now[0] + now[now.length - 1]) / 2;
        for (int i = 1; i < now.length - 1; i++) {
            sum += now[i];
        }
        return sum / (now.length - 1);
    }

    private void step(double dt) {
        boolean euler = steps < EULER_STEPS;
        double implicit = euler ? 1 : 0.5;
        now[now.length - 1] = face;
        System.arraycopy(now, 0, next, 0, now.length);
        // once with what is known, once more with what that gave: the diffusivity follows the humidity
        for (int pass = 0; pass < 2; pass++) {
            between(implicit);
            for (int i = 0; i < faces.length; i++) {
                faces[i] *= dt / (cellM * cellM);
            }
            solve(implicit);
        }
        double[] spare = now;
        now = next;
        next = spare;
        elapsedS += dt;
        sinceChangeS += dt;
        steps++;
    }

    /** Diffusivity from point to point, averaged over the humidities between them: it falls steeply near the face. */
    private void between(double implicit) {
        double from = now[0] + implicit * (next[0] - now[0]);
        double atFrom = diffusivity.at(from);
        for (int i = 0; i < faces.length; i++) {
            double to = now[i + 1] + implicit * (next[i + 1] - now[i + 1]);
            double atTo = diffusivity.at(to);
            double ends = (atFrom + atTo) / 2;
            boolean steep = Math.abs(to - from) > STEEP;
            faces[i] = steep ? (ends + 2 * diffusivity.at((from + to) / 2)) / 3 : ends;
            from = to;
            atFrom = atTo;
        }
    }

    /** One tridiagonal system: {@code implicit} of the flow by the new humidities, the rest by the old. */
    private void solve(double implicit) {
        int last = now.length - 1;
        for (int i = 0; i < last; i++) {
            // half a cell at the sealed end takes up twice as fast
            double down = i == 0 ? 0 : faces[i - 1];
            double up = i == 0 ? 2 * faces[0] : faces[i];
            below[i] = -implicit * down;
            above[i] = -implicit * up;
            middle[i] = 1 + implicit * (down + up);
            double flow = up * (now[i + 1] - now[i]) - (i == 0 ? 0 : down * (now[i] - now[i - 1]));
            right[i] = now[i] + (1 - implicit) * flow;
        }
        // every pivot is divided by twice and kept as one over itself
        middle[0] = 1 / middle[0];
        for (int i = 1; i < last; i++) {
            double factor = below[i] * middle[i - 1];
            middle[i] = 1 / (middle[i] - factor * above[i - 1]);
            right[i] -= factor * right[i - 1];
        }
        next[last] = face;
        for (int i = last - 1; i >= 0; i--) {
            next[i] = (right[i] - above[i] * next[i + 1]) * middle[i];
        }
    }
}

package openslab.core.floor.level;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** An edge where one surface stands above the next, from place to place. */
public record Lip(String id, String name, Corner from, Corner to, double heightM) {
    private static final Source ADA = Source.published("2010 ADA Standards 303 and 405.2, from memory");
    public static final Source GRIND_BACK =
            Source.commonPractice("a 1/2 in lip is ground and sloped back about 18 in, 1:36");
    /** How far back it is sloped, for its height. */
    private static final double BACK = 36;

    private static final double INCH_M = 0.0254;
    private static final double UPRIGHT_M = INCH_M / 4;
    private static final double BEVELLED_M = INCH_M / 2;
    private static final double HAIR = 1 + 1e-9;

    public Lip {
        Require.positive(heightM, "height");
    }

    /**
     * What a lip needs, judged.
     *
     * @param fits true where it may stay as it is
     * @param word what it needs, in a few words
     * @param needs the level length of the bevel or ramp, and of grinding it back; empty where it may stay
     */
    public record LipCheck(String id, String name, boolean fits, String word, List<Figure> needs) {
        public LipCheck {
            needs = List.copyOf(needs);
        }
    }

    /** Of floor that is ground where a lip is sloped back, m². */
    public static double groundM2(double lengthM, double heightM) {
        return lengthM * BACK * heightM;
    }

    public double lengthM() {
        return Math.hypot(to.x() - from.x(), to.y() - from.y());
    }

    public LipCheck judge(UnitSystem system) {
        Unit small = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        double h = small.fromBase(heightM);
        var needs = new ArrayList<Figure>();
        if (heightM <= UPRIGHT_M * HAIR) {
            return new LipCheck(id, name, true, "may stay upright, up to 1/4 in", needs);
        }
        boolean bevel = heightM <= BEVELLED_M * HAIR;
        if (bevel) {
            var w = new Worksheet(system);
            w.given("h", "height of the lip", h, small);
            double upright = w.given("u", "may stay upright", small.fromBase(UPRIGHT_M), small);
            needs.add(w.figure("bevel, level length", "b", "2·(h-u)", 2 * (h - upright), small, ADA));
        } else {
            var w = new Worksheet(system);
            w.given("h", "height of the lip", h, small);
            needs.add(w.figure("ramp, level length", "r", "12·h", 12 * h, small, ADA));
        }
        var w = new Worksheet(system);
        w.given("h", "height of the lip", h, small);
        needs.add(w.figure("ground and sloped back", "g", "36·h", BACK * h, small, GRIND_BACK));
        String word = bevel ? "bevel 1:2 what stands above 1/4 in" : "over 1/2 in: ramp it, 1:12 at most";
        return new LipCheck(id, name, false, word, needs);
    }
}

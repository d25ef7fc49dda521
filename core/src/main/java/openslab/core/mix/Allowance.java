package openslab.core.mix;

import openslab.core.quantity.Require;

/**
 * What goes on top of the bare arithmetic of area and spread.
 *
 * @param texture how much more surface a floor has than its plan, 1 where it is flat; only what is spread feels it
 * @param loss what stays in pails, rollers and on the shoes, 0–1
 * @param reserve what is bought and held back for touching up, 0–1; nobody mixes it with the rest
 */
public record Allowance(double texture, double loss, double reserve) {
    public static final double MOST_TEXTURE = 2;

    public Allowance {
        Require.that(
                texture >= 1 && texture <= MOST_TEXTURE,
                "texture must be from 1 to " + MOST_TEXTURE + ", got %s",
                texture);
        Require.that(loss >= 0 && loss <= 1, "loss must be from 0 to 1, got %s", loss);
        Require.that(reserve >= 0 && reserve <= 1, "reserve must be from 0 to 1, got %s", reserve);
    }

    /** On a flat floor, nothing held back. */
    public static Allowance of(double loss) {
        return new Allowance(1, loss, 0);
    }

    /** The same on a floor of this texture. */
    public Allowance on(double rough) {
        return new Allowance(rough, loss, reserve);
    }

    /** The same, holding so much back. */
    public Allowance keeping(double held) {
        return new Allowance(texture, loss, held);
    }

    /** The same with another loss. */
    public Allowance losing(double lost) {
        return new Allowance(texture, lost, reserve);
    }

    /** What the bare arithmetic is multiplied by, the texture left out. */
    double onTop() {
        return 1 + loss + reserve;
    }
}

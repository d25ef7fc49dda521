package openslab.core.floor.joint;

import openslab.core.quantity.Bound;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/** What is done with a crack, by its width and by whether it moves: one rule for whoever reads it, draws it or fills it. */
public final class Cracks {
    private static final Bound NARROW = Bound.below(Unit.INCH.toBase(0.25), Unit.INCH);

    public static final Source PRACTICE = Source.commonPractice(
            "1/4 in parts flexible filler from structural patch; 1/4 in itself is patched, which is ours");

    /** A filled moving crack is not guaranteed; nothing holds it shut. */
    public static final String MOVING =
            "Fill it so that the floor is whole, and say in writing that it will come through; or treat it as a joint and keep it open.";

    private Cracks() {}

    /** Whether it takes a structural patch; narrower than 1/4 in a flexible filler is enough. */
    public static boolean isWide(double widthM) {
        return !NARROW.holds(widthM);
    }

    /** Its width in the unit that is read, as finely as it takes to see whether it is wide. */
    public static String text(double widthM, Unit unit) {
        return Bound.below(NARROW.limit(), unit).with(unit == Unit.INCH ? 3 : 1).text(widthM);
    }
}

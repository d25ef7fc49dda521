package openslab.core.product;

/**
 * What a sheet says of mixing it beside its ratio.
 *
 * @param ownPails whether each part is measured in a pail of its own, never on top of another
 * @param mostL litres that may be mixed at once; 0 where the sheet is silent
 * @param gritMost litres of grit to a litre, at most; 0 likewise
 * @param thinMost litres of thinner to a litre, at most; 0 likewise
 */
public record Dosing(boolean ownPails, double mostL, double gritMost, double thinMost) {
    public static final Dosing SILENT = new Dosing(false, 0, 0, 0);
}

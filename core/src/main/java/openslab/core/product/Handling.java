package openslab.core.product;

/**
 * How a material is handled, as far as its sheet says.
 *
 * @param stirMin minutes that each part is stirred by itself; 0 where the sheet is silent
 * @param combineMin minutes that all parts are stirred together; 0 likewise
 * @param standMin minutes that the mix stands before it is used; 0 where it is used at once
 * @param tool what it is put on with, nap and width; empty where the sheet is silent
 * @param rainSafeMin minutes until rain does no harm; 0 where the sheet is silent
 * @param keepsMin minutes that an opened can keeps, well closed; 0 where the sheet is silent
 * @param dosing what it says of mixing it beside its ratio
 */
public record Handling(
        double stirMin,
        double combineMin,
        double standMin,
        String tool,
        Fan fan,
        double rainSafeMin,
        double keepsMin,
        Dosing dosing) {
    /** Of a sheet that says nothing of it. */
    public static final Handling SILENT = new Handling(0, 0, 0, "", Fan.UNSAID, 0, 0, Dosing.SILENT);
}

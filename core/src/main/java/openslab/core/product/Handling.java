package openslab.core.product;

import java.util.List;

/**
 * How a material is handled, as far as its sheet says.
 *
 * @param stirMin minutes that each part is stirred by itself; 0 where the sheet is silent
 * @param combineMin minutes that all parts are stirred together; 0 likewise
 * @param standMin minutes that the mix stands before it is used; 0 where it is used at once
 * @param tool what it is put on with, nap and width; empty where the sheet is silent
 * @param box what lies in one pack of it, piece by piece; empty where the sheet does not count it up
 * @param rainSafeMin minutes until rain does no harm; 0 where the sheet is silent
 * @param keepsMin minutes that an opened can keeps, well closed; 0 where the sheet is silent
 * @param dosing what it says of mixing it beside its ratio
 */
public record Handling(
        double stirMin,
        double combineMin,
        double standMin,
        String tool,
        List<String> box,
        Fan fan,
        double rainSafeMin,
        double keepsMin,
        Dosing dosing) {
    public Handling {
        box = List.copyOf(box);
    }

    /** Of a sheet that says nothing of it. */
    public static final Handling SILENT = new Handling(0, 0, 0, "", List.of(), Fan.UNSAID, 0, 0, Dosing.SILENT);
}

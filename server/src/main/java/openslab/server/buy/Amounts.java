package openslab.server.buy;

import openslab.core.product.ProductSheet;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;

/** How much of a sheet's material is keyed in: as a volume of what is spread, as a mass of all else. */
final class Amounts {
    private static final Field LITRES =
            Field.quantity("amount", "How much", Unit.GALLON, Unit.LITRE, 0.001, 100_000, "");
    private static final Field KILOGRAMS =
            Field.quantity("amount", "How much", Unit.POUND, Unit.KILOGRAM, 0.001, 100_000, "");

    private Amounts() {}

    static Field field(ProductSheet sheet) {
        return sheet.liquid().isPresent() ? LITRES : KILOGRAMS;
    }
}

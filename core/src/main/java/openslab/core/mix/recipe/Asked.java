package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.mix.Allowance;
import openslab.core.prep.wash.Ratio;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/**
 * A recipe as somebody asks for it: the fields they fill in, and what these mean.
 *
 * @param values for the way's own fields; {@code vessel} and {@code extras} likewise
 */
public record Asked(
        Way way,
        Measuring measuring,
        Map<String, String> values,
        Map<String, String> vessel,
        Map<String, String> extras) {
    private static final Field HOLDS = Field.quantity(
                    "holds", "One vessel is filled to", Unit.GALLON, Unit.LITRE, 0.05, 5000, "empty: 4 gal, 15 L")
            .ifWanted();
    private static final Field TARE = Field.quantity(
                    "tare",
                    "Empty it weighs",
                    Unit.POUND,
                    Unit.KILOGRAM,
                    0,
                    500,
                    "empty: the scale is set to 0 with it on")
            .ifWanted();
    private static final Field LINES = Field.quantity(
                    "lines", "Lines on it", Unit.ONE, 1, 100, "apart alike, the last where it is filled to")
            .ifWanted();

    /** What a scoop holds: of a recipe as of a wash. */
    public static final Field SCOOP = Field.quantity(
                    "scoop", "A level scoop holds", Unit.FLUID_OUNCE, Unit.MILLILITRE, 0.001, 5, "empty: no scoop")
            .ifWanted();

    /** What is said of the vessel, and of what is measured with. */
    public static final List<Field> VESSEL = List.of(HOLDS, TARE, LINES, SCOOP);

    private static final Field GRIT =
            Field.words("grit", "Grit in it", 40, "1 qt/5 gal, or 5 %").ifWanted();
    private static final Field THINNER = Field.choice(
                    "thinner",
                    "Thinned with",
                    Arrays.stream(Thinner.values())
                            .map(t -> new Field.Choice(t.id(), t.label()))
                            .toArray(Field.Choice[]::new))
            .ifWanted();
    private static final Field THIN =
            Field.words("thin", "Thinner to it", 40, "1 qt/5 gal, 5 %, or 1:10").ifWanted();
    private static final Field PREVIEW = Field.yesNo("preview", "A mist to preview a dye: 1 part into 9 of acetone")
            .ifWanted();
    private static final Field VOC = Field.quantity(
                    "vocMost", "VOC at most, here", Unit.GRAM_PER_LITRE, 1, 900, "by the law of the place; look it up")
            .ifWanted();

    /** What may be stirred in besides. */
    public static List<Field> extras(ProductSheet sheet) {
        return sheet.liquid()
                .filter(Liquid::isFilm)
                .map(l -> l.kind() == Material.Kind.ONE_PART
                        ? List.of(GRIT, THINNER, THIN, PREVIEW, VOC)
                        : List.of(GRIT, THINNER, THIN, VOC))
                .orElse(List.of());
    }

    public static List<Way> ways(ProductSheet sheet) {
        return Arrays.stream(Way.values()).filter(w -> w.isFor(sheet)).toList();
    }

    /** The vessel that was meant. @throws openslab.core.quantity.InvalidInput naming every fault */
    public Vessel vessel(UnitSystem units) {
        Map<String, Value> read = Field.parseAll("vessel", VESSEL, vessel, units);
        return new Vessel(
                base(read, HOLDS, Vessel.pailL(units)),
                base(read, TARE, 0),
                (int) Math.round(base(read, LINES, 0)),
                base(read, SCOOP, 0));
    }

    private static double base(Map<String, Value> values, Field field, double otherwise) {
        return Optional.ofNullable(values.get(field.id())).map(Value::base).orElse(otherwise);
    }

    /**
     * The recipe.
     *
     * @param allowance that goes on top where it is put on
     * @throws openslab.core.quantity.InvalidInput naming every fault at once
     */
    public Recipe recipe(ProductSheet sheet, Allowance allowance, UnitSystem units) {
        var faults = new Faults();
        if (!way.isFor(sheet)) {
            faults.add("way", way.label(), "a way that " + sheet.name() + " is asked for");
            faults.check();
        }
        Map<String, Value> read = faults.read(() -> Field.parseAll("values", way.fields(sheet), values, units));
        Vessel pail = faults.read(() -> vessel(units));
        Map<String, Value> more = faults.read(() -> Field.parseAll("extras", extras(sheet), extras, units));
        List<Extra> stirredIn = more == null ? null : faults.read(() -> stirredIn(more, sheet));
        faults.check();
        Recipe recipe = Recipe.of(sheet, way.wanted(sheet, read), pail, measuring, stirredIn, units)
                .covering(sheet, allowance, units);
        Value limit = more.get(VOC.id());
        return limit == null
                ? recipe
                : recipe.with(VocLimit.of(sheet, recipe, Unit.GRAM_PER_LITRE.fromBase(limit.base())));
    }

    private static List<Extra> stirredIn(Map<String, Value> more, ProductSheet sheet) {
        var faults = new Faults();
        var extras = new ArrayList<Extra>();
        Value thinner = more.get(THINNER.id());
        Value thin = more.get(THIN.id());
        boolean preview =
                more.containsKey(PREVIEW.id()) && more.get(PREVIEW.id()).typed().equals("yes");
        if ((thinner == null) != (thin == null)) {
            faults.add(
                    "extras." + (thin == null ? THIN.id() : THINNER.id()),
                    null,
                    thin == null ? "how much of it, such as 5 % or 1 qt/5 gal" : "what it is thinned with");
        } else if (thin != null && preview) {
            faults.add("extras." + PREVIEW.id(), "yes", "either thinned, or a preview");
        } else if (thin != null) {
            Thinner with = Thinner.valueOf(thinner.typed().toUpperCase(java.util.Locale.ROOT));
            Extra read = faults.read(() -> Extra.Thin.of(thin.typed(), with, share(THIN, thin), sheet));
            if (read != null) {
                extras.add(read);
            }
        } else if (preview) {
            extras.add(Extra.Thin.PREVIEW);
        }
        Value grit = more.get(GRIT.id());
        if (grit != null) {
            Extra read = faults.read(() -> Extra.Grit.of(grit.typed(), share(GRIT, grit), sheet));
            if (read != null) {
                extras.add(read);
            }
        }
        faults.check();
        return extras;
    }

    /** Litres to one litre of what it goes into: "5 %" and "1:20" of an additive are to a hundred and to twenty of it. */
    private static double share(Field field, Value typed) {
        String text = typed.typed();
        if (text.endsWith("%")) {
            return openslab.core.quantity.Measure.parse("extras." + field.id(), text, Unit.PERCENT, 0.01, 1000) / 100;
        }
        double into = Ratio.parse("extras." + field.id(), text).water();
        return into == 0 ? Double.POSITIVE_INFINITY : 1 / into;
    }
}

package openslab.server.mix;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import openslab.core.mix.Allowance;
import openslab.core.mix.recipe.Asked;
import openslab.core.mix.recipe.Measuring;
import openslab.core.mix.recipe.Recipe;
import openslab.core.mix.recipe.Vessel;
import openslab.core.mix.recipe.Way;
import openslab.core.mix.recipe.WeighIn;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.jspecify.annotations.Nullable;

/** Recipes as they are asked for and told; the shelf and a layer of a floor ask alike. */
public final class Recipes {
    /**
     * How a sheet may be asked for.
     *
     * @param measurings how its parts may be measured, the usual one first
     */
    public record RecipeFieldsView(
            List<WayView> ways, List<Field> vessel, List<Field> extras, List<Field.Choice> measurings) {}

    /** A way to say how much is wanted. */
    public record WayView(String id, String label, List<Field> fields) {}

    /**
     * @param way how much is wanted, by id of {@link Way}
     * @param measuring by id of {@link Measuring}
     * @param values for the fields of the way; {@code vessel} and {@code extras} likewise
     */
    public record RecipeForm(
            String way,
            String measuring,
            Map<String, String> values,
            Map<String, String> vessel,
            Map<String, String> extras,
            String units) {}

    /**
     * @param readings what the scale showed after each part that is in, in pour order
     * @param most what vessel and pot life allow in all, as a mass; empty: what the vessel holds of it
     * @param stood how long the parts have been together; empty while they are not
     * @param life pot life at the slab's temperature; empty where none runs
     */
    public record WeighForm(
            RecipeForm recipe,
            List<String> readings,
            @Nullable String most,
            @Nullable String stood,
            @Nullable String life) {}

    private static final Field READING =
            Field.quantity("reading", "The scale shows", Unit.POUND, Unit.KILOGRAM, 0.0005, 5000, "");
    private static final Field STOOD = Field.quantity("stood", "Together for", Unit.MINUTE, 0, 10_000, "");

    private Recipes() {}

    /** How {@code product} may be asked for. */
    public static RecipeFieldsView fields(ProductSheet product) {
        Measuring usual = Recipe.usual(product);
        var measurings = new ArrayList<Measuring>(List.of(usual));
        if (usual != Measuring.OWN_PAILS) {
            Arrays.stream(Measuring.values()).filter(m -> m != usual).forEach(measurings::add);
        }
        return new RecipeFieldsView(
                Asked.ways(product).stream()
                        .map(w -> new WayView(w.id(), w.label(), w.fields(product)))
                        .toList(),
                Asked.VESSEL,
                Asked.extras(product),
                measurings.stream()
                        .map(m -> new Field.Choice(m.id(), m.label()))
                        .toList());
    }

    /**
     * @param allowance that goes on top where it is put on
     * @throws openslab.core.quantity.InvalidInput naming every fault
     */
    public static Recipe of(ProductSheet product, Allowance allowance, RecipeForm form) {
        UnitSystem units = units(form);
        return asked(form).recipe(product, allowance, units);
    }

    /** What the scale showed, and what follows. @param allowance that goes on top where it is put on; @throws openslab.core.quantity.InvalidInput naming every fault */
    public static WeighIn weighIn(ProductSheet product, Allowance allowance, WeighForm form) {
        if (form.recipe() == null) {
            throw new InvalidInput("recipe", null, "the recipe that is weighed, as it was asked for");
        }
        UnitSystem units = units(form.recipe());
        Asked asked = asked(form.recipe());
        Recipe recipe = asked.recipe(product, allowance, units);
        Vessel vessel = asked.vessel(units);
        var faults = new Faults();
        List<Double> readings = readings(form, recipe, vessel, units, faults);
        Double most = read(form.most(), () -> READING.parse("most", form.most(), units), faults);
        Double stood = read(form.stood(), () -> STOOD.parse("stood", form.stood(), units), faults);
        Double life = read(form.life(), () -> STOOD.parse("life", form.life(), units), faults);
        faults.check();
        double room = recipe.kg() * vessel.holdsL() / recipe.each().base();
        double share = stood == null || life == null || life == 0 ? 0 : stood / life;
        return WeighIn.of(recipe, vessel, readings, most == null ? room : most, share, units);
    }

    private static Double read(String text, Supplier<Value> parse, Faults faults) {
        Value value = text == null || text.isBlank() ? null : faults.read(parse);
        return value == null ? null : value.base();
    }

    private static List<Double> readings(
            WeighForm form, Recipe recipe, Vessel vessel, UnitSystem units, Faults faults) {
        long most =
                recipe.portions().stream().filter(p -> p.scale().isPresent()).count();
        int given = form.readings() == null ? 0 : form.readings().size();
        if (given == 0 || given > most) {
            faults.add("readings", given + " readings", "1 to " + most + ", one for each part that is weighed");
            faults.check();
        }
        var readings = new ArrayList<Double>();
        double before = vessel.tareKg();
        for (int i = 0; i < given; i++) {
            String at = "readings[" + i + "]";
            String typed = form.readings().get(i);
            Value value = faults.read(() -> READING.parse(at, typed, units));
            if (value != null && value.base() <= before) {
                faults.add(at, typed, "more than the scale showed before it");
            }
            if (value != null) {
                before = value.base();
                readings.add(value.base());
            }
        }
        faults.check();
        return readings;
    }

    private static UnitSystem units(RecipeForm form) {
        var faults = new Faults();
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        faults.check();
        return units;
    }

    private static Asked asked(RecipeForm form) {
        var faults = new Faults();
        Way way = faults.oneOf("way", form.way(), Way.class);
        String spoken = form.measuring() == null ? null : form.measuring().replace('-', '_');
        Measuring measuring = faults.oneOf("measuring", spoken, Measuring.class);
        faults.check();
        return new Asked(way, measuring, orNone(form.values()), orNone(form.vessel()), orNone(form.extras()));
    }

    private static Map<String, String> orNone(Map<String, String> typed) {
        return typed == null ? Map.of() : typed;
    }
}

package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import openslab.core.product.Kit;
import openslab.core.product.Liquid;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;

/** A way to say how much is wanted, and what is keyed in for it. */
public enum Way {
    FLOOR("For so much floor") {
        @Override
        public boolean isFor(ProductSheet sheet) {
            return true;
        }

        @Override
        public List<Field> fields(ProductSheet sheet) {
            return List.of(AREA, ALLOWANCE);
        }

        @Override
        Wanted wanted(ProductSheet sheet, Map<String, Value> values) {
            Value allowance = values.get(ALLOWANCE.id());
            return new Wanted.Floor(values.get(AREA.id()).base(), allowance == null ? 0 : allowance.base() / 100);
        }
    },
    MIXED("So much of it") {
        @Override
        public boolean isFor(ProductSheet sheet) {
            return true;
        }

        @Override
        public List<Field> fields(ProductSheet sheet) {
            return List.of(VOLUME);
        }

        @Override
        Wanted wanted(ProductSheet sheet, Map<String, Value> values) {
            return new Wanted.Mixed(values.get(VOLUME.id()).base());
        }
    },
    KIT("A share of a kit") {
        @Override
        public boolean isFor(ProductSheet sheet) {
            return !sheet.kits().isEmpty() && sheet.powder().isEmpty();
        }

        @Override
        public List<Field> fields(ProductSheet sheet) {
            var choices = new ArrayList<Field.Choice>();
            for (int i = 0; i < sheet.kits().size(); i++) {
                choices.add(new Field.Choice(
                        String.valueOf(i + 1), sheet.kits().get(i).label()));
            }
            return List.of(Field.choice("kit", "Kit", choices.toArray(Field.Choice[]::new)), SHARE);
        }

        @Override
        Wanted wanted(ProductSheet sheet, Map<String, Value> values) {
            Kit kit = sheet.kits().get(Integer.parseInt(values.get("kit").typed()) - 1);
            return new Wanted.OfKit(kit, values.get(SHARE.id()).base());
        }
    },
    CANS("All that the cans in hand make") {
        @Override
        public boolean isFor(ProductSheet sheet) {
            return sheet.liquid().map(Liquid::isTwoPart).orElse(false);
        }

        @Override
        public List<Field> fields(ProductSheet sheet) {
            return sheet.liquid().orElseThrow().parts().stream()
                    .map(p -> Field.quantity(
                            can(p), "In the cans of " + p.name(), Unit.GALLON, Unit.LITRE, 0.001, 2000, "by the label"))
                    .toList();
        }

        @Override
        Wanted wanted(ProductSheet sheet, Map<String, Value> values) {
            return new Wanted.Cans(sheet.liquid().orElseThrow().parts().stream()
                    .collect(Collectors.toMap(
                            Liquid.Part::name, p -> values.get(can(p)).base())));
        }

        private String can(Liquid.Part part) {
            return "can" + part.name();
        }
    },
    BAGS("So many bags") {
        @Override
        public boolean isFor(ProductSheet sheet) {
            return sheet.powder().isPresent();
        }

        @Override
        public List<Field> fields(ProductSheet sheet) {
            return List.of(COUNT);
        }

        @Override
        Wanted wanted(ProductSheet sheet, Map<String, Value> values) {
            return new Wanted.Bags(values.get(COUNT.id()).base());
        }
    };

    private static final Field AREA =
            Field.quantity("area", "Floor", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0.005, 100_000, "");
    private static final Field ALLOWANCE = Field.quantity(
                    "allowance", "Allowance", Unit.PERCENT, 0, 100, "on top; empty: none")
            .ifWanted();
    private static final Field VOLUME = Field.quantity(
            "volume", "Mixed, all parts together", Unit.GALLON, Unit.LITRE, 0.001, 5000, "10 fl oz, 1.5 gal, 300 gal");
    private static final Field SHARE =
            Field.quantity("share", "How many of it", Unit.ONE, 0.01, 1000, "1/2: half of A and half of B");
    private static final Field COUNT = Field.quantity("bags", "Bags", Unit.BAG, 0.05, 10_000, "1/2 is weighed out");

    private final String label;

    Way(String label) {
        this.label = label;
    }

    /** As a choice names it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String label() {
        return label;
    }

    /** Whether such a sheet is asked for so. */
    public abstract boolean isFor(ProductSheet sheet);

    /** What is keyed in. */
    public abstract List<Field> fields(ProductSheet sheet);

    /** What was keyed in, read by {@link #fields}. */
    abstract Wanted wanted(ProductSheet sheet, Map<String, Value> values);
}

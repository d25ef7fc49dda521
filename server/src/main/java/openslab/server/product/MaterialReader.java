package openslab.server.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.product.Broadcast;
import openslab.core.product.Concentrate;
import openslab.core.product.Dye;
import openslab.core.product.Finish;
import openslab.core.product.LayerRole;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.OnePart;
import openslab.core.product.Powder;
import openslab.core.product.Spread;
import openslab.core.product.Stain;
import openslab.core.product.TwoPart;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/** Reads what a sheet is a sheet of: its kind, and the numbers of that kind. */
final class MaterialReader {
    /** Kinds that a form shows by its other fields. */
    private static final Set<Material.Kind> SHOWN =
            Set.of(Material.Kind.TWO_PART, Material.Kind.ONE_PART, Material.Kind.BROADCAST);

    /** OURS: a twenty-fifth of its weight. */
    private static final double LEAST_B = 0.005;

    private static final double WETS_L_PER_KG = 0.04;

    private final SheetForm form;
    private final UnitSystem units;
    private final Faults faults;
    private final Material.Kind kind;
    private final Map<String, Value> flat = new TreeMap<>();
    private Map<String, Value> numbers = Map.of();
    private Value thrown;
    private List<Broadcast.Thrown> classes = List.of();
    private TwoPart.First first;

    MaterialReader(SheetForm form, LayerRole role, UnitSystem units, Faults faults) {
        this.form = form;
        this.units = units;
        this.faults = faults;
        this.kind = kind(role);
        read();
    }

    private Material.Kind kind(LayerRole role) {
        if (form.kind() != null && !form.kind().isBlank()) {
            return faults.oneOf("kind", form.kind(), Material.Kind.class);
        }
        if (role == LayerRole.BROADCAST) {
            return Material.Kind.BROADCAST;
        }
        return isZero(form.partsB()) ? Material.Kind.ONE_PART : Material.Kind.TWO_PART;
    }

    /** Whether what was typed for part B says that there is none. */
    private static boolean isZero(String text) {
        return text == null || text.isBlank() || text.strip().matches("0+([.,]0*)?");
    }

    private void read() {
        if (kind == null) {
            return;
        }
        SheetFields.LIQUID.get(kind).forEach(this::put);
        if (kind == Material.Kind.ONE_PART) {
            flat.put(SheetFields.PARTS_A.id(), new Value(wholeOr(form.partsA(), "1"), 1));
            flat.put(SheetFields.PARTS_B.id(), new Value(wholeOr(form.partsB(), "0"), 0));
        }
        if (kind == Material.Kind.TWO_PART || kind == Material.Kind.ONE_PART) {
            first = faults.oneOf("firstIn", form.firstIn() == null ? "A" : form.firstIn(), TwoPart.First.class);
        }
        if (kind == Material.Kind.BROADCAST) {
            thrown = faults.read(() -> SheetFields.BROADCAST.parse("broadcast", form.broadcast(), units));
        }
        Map<String, String> typed = form.numbers() == null ? Map.of() : form.numbers();
        Map<String, Value> read =
                faults.read(() -> Field.parseAll("numbers", SheetFields.NUMBERS.get(kind), typed, units));
        numbers = read == null ? Map.of() : read;
        ordered("spreadMin", "spreadMax");
        ordered("waterMin", "waterMax");
        ordered("colourMin", "colourMax");
        ordered("depth", "lift");
        ordered("look", "usual");
        ordered("usual", "deep");
        wetted();
        hardened();
        within();
        classes = readClasses();
    }

    /** Ounces heard for quarts: less water than this wets no bag. */
    private void wetted() {
        if (has("bag") && has("waterMin") && number("waterMin") < WETS_L_PER_KG * number("bag")) {
            faults.add(
                    "numbers.waterMin",
                    numbers.get("waterMin").typed(),
                    "at least " + Show.in(Unit.of(Dimension.VOLUME, units), WETS_L_PER_KG * number("bag"))
                            + " to such a bag: less cannot wet it; were quarts meant? The sheet in hand says so");
        }
    }

    /** OURS: a drop of hardener hardens nothing. */
    private void hardened() {
        Value a = flat.get(SheetFields.PARTS_A.id());
        Value b = flat.get(SheetFields.PARTS_B.id());
        if (kind == Material.Kind.TWO_PART && a != null && b != null && b.base() < LEAST_B * a.base()) {
            faults.add(
                    "partsB",
                    b.typed(),
                    "0 for one part, or at least " + Show.number(LEAST_B * a.base(), 4)
                            + " to so much of A: less hardens nothing");
        }
    }

    private void put(Field field) {
        String text = text(field);
        if (!field.needed() && (text == null || text.isBlank())) {
            return;
        }
        Value value = faults.read(() -> field.parse(field.id(), text, units));
        if (value != null) {
            flat.put(field.id(), value);
        }
    }

    private String text(Field field) {
        return switch (field.id()) {
            case "partsA" -> form.partsA();
            case "partsB" -> form.partsB();
            case "densityA" -> form.densityA();
            case "densityB" -> form.densityB();
            case "volumeSolids" -> form.volumeSolids();
            case "spread" -> form.spread();
            default -> throw new IllegalArgumentException("no field of a liquid is called " + field.id());
        };
    }

    /** The only part of one part is one of it, however somebody wrote that. */
    private static String wholeOr(String text, String otherwise) {
        return text == null || text.isBlank() ? otherwise : text.strip();
    }

    private void ordered(String low, String high) {
        if (has(low) && has(high) && numbers.get(low).base() > numbers.get(high).base()) {
            faults.add(
                    "numbers." + low,
                    numbers.get(low).typed(),
                    "at most " + numbers.get(high).typed());
        }
    }

    /** The rate that is reckoned with lies within the range. */
    private void within() {
        Value usual = flat.get("spread");
        if (usual == null) {
            return;
        }
        if (has("spreadMin") && usual.base() < numbers.get("spreadMin").base()) {
            faults.add(
                    "spread",
                    usual.typed(),
                    "at least " + numbers.get("spreadMin").typed());
        }
        if (has("spreadMax") && usual.base() > numbers.get("spreadMax").base()) {
            faults.add(
                    "spread",
                    usual.typed(),
                    "at most " + numbers.get("spreadMax").typed());
        }
    }

    private boolean has(String number) {
        return numbers.containsKey(number);
    }

    private double number(String id) {
        return has(id) ? numbers.get(id).base() : 0;
    }

    private double typedIn(String id) {
        return flat.get(id).base();
    }

    private double solids() {
        return flat.containsKey("volumeSolids") ? typedIn("volumeSolids") / 100 : 0;
    }

    private Spread spread() {
        double usual = typedIn("spread");
        return new Spread(
                has("spreadMin") ? number("spreadMin") : usual, usual, has("spreadMax") ? number("spreadMax") : usual);
    }

    /** Once nothing was at fault. */
    Material material() {
        return switch (kind) {
            case TWO_PART ->
                new TwoPart(
                        new Liquid.Part("A", typedIn("partsA"), typedIn("densityA")),
                        new Liquid.Part("B", typedIn("partsB"), typedIn("densityB")),
                        has("partsC")
                                ? Optional.of(new Liquid.Part(
                                        "C", number("partsC"), has("densityC") ? number("densityC") : 1))
                                : Optional.empty(),
                        solids(),
                        spread(),
                        first);
            case ONE_PART -> new OnePart(typedIn("densityA"), solids(), spread());
            case FINISH -> new Finish(typedIn("densityA"), solids(), spread());
            case CONCENTRATE -> new Concentrate(number("water"), typedIn("densityA"), solids(), spread());
            case STAIN -> new Stain(typedIn("densityA"), spread(), number("look"), number("usual"), number("deep"));
            case DYE ->
                new Dye(
                        typedIn("densityA"),
                        Dye.Solvent.valueOf(numbers.get("solvent").typed().toUpperCase(java.util.Locale.ROOT)),
                        spread());
            case POWDER ->
                new Powder(
                        number("bag"),
                        number("yield"),
                        number("waterMin"),
                        number("waterMax"),
                        number("colourMin"),
                        has("colourMax") ? number("colourMax") : number("colourMin"),
                        number("depth"),
                        number("lift"));
            case BROADCAST ->
                new Broadcast(
                        thrown.base(),
                        !has("refusal") || numbers.get("refusal").typed().equals("yes"),
                        classes);
        };
    }

    /** How else it is thrown: a name and a rate, apart by semicolons. */
    private List<Broadcast.Thrown> readClasses() {
        if (!has("classes")) {
            return List.of();
        }
        var read = new ArrayList<Broadcast.Thrown>();
        for (String one : numbers.get("classes").typed().split(";")) {
            int colon = one.lastIndexOf(':');
            String name = one.substring(0, Math.max(0, colon)).strip();
            if (name.isEmpty() || read.stream().anyMatch(c -> c.name().equalsIgnoreCase(name))) {
                faults.add(
                        "numbers.classes",
                        one.strip(),
                        "a name and a rate, each name once, such as light: 0.02 lb/ft²");
                continue;
            }
            Value rate = faults.read(() -> SheetFields.BROADCAST.parse(
                    "numbers.classes", one.substring(colon + 1).strip(), units));
            if (rate != null) {
                read.add(new Broadcast.Thrown(name, rate.base()));
            }
        }
        return read;
    }

    /** Empty while it is at fault itself. */
    Optional<Material.Kind> kind() {
        return Optional.ofNullable(kind);
    }

    /** As it is stored: nothing where the other fields show it. */
    String storedKind() {
        return SHOWN.contains(kind) ? null : kind.name();
    }

    /** As it was typed, units written out; nothing where it was not. */
    String typed(String field) {
        return flat.containsKey(field) ? flat.get(field).typed() : null;
    }

    String typedBroadcast() {
        return thrown == null ? null : thrown.typed();
    }

    String typedFirst() {
        return first == null ? null : first.name();
    }

    Map<String, String> typedNumbers() {
        return TraitsReader.typed(numbers);
    }
}

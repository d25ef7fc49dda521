package openslab.server.product;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.floor.Substrate;
import openslab.core.product.Advice;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.product.Kit;
import openslab.core.product.LayerRole;
import openslab.core.product.Material;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.product.TemperatureCurve;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.survey.Limits;

/** Reads a {@link SheetForm} into the core's sheet, and into the same form with every unit written out. */
final class SheetReader {
    /** @param canonical what is stored: the same text for the same sheet, whatever was left to defaults */
    record Read(SheetForm canonical, ProductSheet sheet) {}

    /** What holds on to a floor only within limits. */
    private static final Set<Material.Kind> ASKS_LIMITS =
            Set.of(Material.Kind.TWO_PART, Material.Kind.ONE_PART, Material.Kind.POWDER);

    private static final Set<Material.Kind> BY_MASS = Set.of(Material.Kind.POWDER, Material.Kind.BROADCAST);

    private final SheetForm form;
    private final UnitSystem units;
    private final Faults faults = new Faults();

    private SheetReader(SheetForm form) {
        this.form = form;
        this.units = form.units() == null ? UnitSystem.METRIC : faults.oneOf("units", form.units(), UnitSystem.class);
    }

    /** @throws openslab.core.quantity.InvalidInput naming every fault */
    static Read read(SheetForm form) {
        return new SheetReader(form).read();
    }

    private Read read() {
        faults.check();
        String name = faults.line("name", form.name(), 1, 120);
        LayerRole role = faults.oneOf("role", form.role(), LayerRole.class);
        String mixing = faults.prose("mixing", form.mixing(), 1000);
        String care = faults.prose("care", form.care(), 1000);
        String note = faults.prose("note", form.note(), 1000);
        var material = new MaterialReader(form, role, units, faults);
        var traits = new TraitsReader(form, units, faults);
        Map<String, Value> limits = form.limits().isEmpty()
                ? Map.of()
                : orEmpty(faults.read(() -> Field.parseAll("limits", SheetFields.LIMITS, form.limits(), units)));
        if (!limits.isEmpty()) {
            ordered(limits, "phMin", "phMax");
            ordered(limits, "slabMin", "slabMax");
            ordered(limits, "airMin", "airMax");
            ordered(limits, "cspMin", "cspMax");
            ordered(limits, "ohmsMin", "ohmsMax");
        }
        boolean onConcrete = Arrays.stream(Substrate.values())
                .anyMatch(f ->
                        f.family() == Substrate.Family.CEMENT && traits.traits().mayLieOn(f));
        if (!limits.isEmpty() && onConcrete && !isYes(limits, "breathes")) {
            for (String moisture : List.of("mver", "slabRh")) {
                if (!limits.containsKey(moisture)) {
                    faults.add("limits." + moisture, null, "what the sheet says, unless its film lets vapour through");
                }
            }
        }
        boolean bonds = material.kind().map(ASKS_LIMITS::contains).orElse(false);
        if (bonds && form.limits().isEmpty()) {
            faults.add("limits", null, "every limit of the sheet: what bonds to a floor does so only within them");
        }
        Map<Clock, List<TimeValue>> clocks = clockValues(material.kind());
        List<KitValue> kits = kitValues(
                material.kind().map(BY_MASS::contains).orElse(false)
                        ? SheetFields.KIT_KILOGRAMS
                        : SheetFields.KIT_LITRES);
        Map<Exposure, Value> reseal = resealValues();
        faults.check();

        var sheet = new ProductSheet(
                slug(name),
                name,
                role,
                material.material(),
                limits.isEmpty() ? Optional.empty() : Optional.of(limits(limits, name)),
                curves(clocks),
                kits.stream()
                        .map(k -> new Kit(k.label, new Packed(k.size.base()), Math.round(k.price.base() * 100)))
                        .toList(),
                years(reseal),
                traits.traits(),
                traits.handling(),
                new Advice(mixing, care, note));
        return new Read(canonical(sheet, material, traits, limits, clocks, kits, reseal), sheet);
    }

    /** OURS: far more than a sheet tells. */
    private static final int MOST_TIMES = 40;

    private record TimeValue(Value at, Value time) {}

    private record KitValue(String label, Value size, Value price) {}

    private static Map<String, Value> orEmpty(Map<String, Value> values) {
        return values == null ? Map.of() : values;
    }

    private Value value(Field field, String path, String text) {
        return faults.read(() -> field.parse(path, text, units));
    }

    private void ordered(Map<String, Value> limits, String low, String high) {
        if (limits.containsKey(low)
                && limits.containsKey(high)
                && limits.get(low).base() > limits.get(high).base()) {
            faults.add(
                    "limits." + low,
                    limits.get(low).typed(),
                    "at most what " + high + " says, " + limits.get(high).typed());
        }
    }

    private Map<Clock, List<TimeValue>> clockValues(Optional<Material.Kind> kind) {
        Map<Clock, List<TimeValue>> clocks = new EnumMap<>(Clock.class);
        form.clocks().forEach((name, rows) -> {
            Clock clock = faults.oneOf("clocks." + name, name, Clock.class);
            var values = new ArrayList<TimeValue>();
            if (rows != null && rows.size() > MOST_TIMES) {
                faults.add("clocks." + name, rows.size() + " times", "at most " + MOST_TIMES);
                return;
            }
            for (int i = 0; rows != null && i < rows.size(); i++) {
                var row = rows.get(i);
                if (row == null) {
                    faults.add("clocks." + name + "[" + i + "]", null, "a temperature with its time");
                    continue;
                }
                String path = "clocks." + name + "[" + i + "].";
                Value at = value(SheetFields.AT, path + "at", row.at());
                Value time = value(SheetFields.TIME, path + "time", row.time());
                if (at != null && values.stream().anyMatch(v -> v.at != null && v.at.base() == at.base())) {
                    faults.add(path + "at", row.at(), "each temperature once");
                }
                values.add(new TimeValue(at, time));
            }
            if (clock != null && !values.isEmpty()) {
                clocks.put(clock, values);
            }
        });
        for (Clock clock : kind.map(SheetReader::asked).orElse(List.of())) {
            if (!clocks.containsKey(clock)) {
                faults.add("clocks." + clock, null, "at least one temperature with its time");
            }
        }
        closesAfterItOpens(clocks);
        return clocks;
    }

    private void closesAfterItOpens(Map<Clock, List<TimeValue>> clocks) {
        List<TimeValue> opens = clocks.getOrDefault(Clock.RECOAT_OPENS, List.of());
        for (TimeValue closes : clocks.getOrDefault(Clock.RECOAT_CLOSES, List.of())) {
            opens.stream()
                    .filter(o -> o.at != null && o.time != null && closes.at != null && closes.time != null)
                    .filter(o -> o.at.base() == closes.at.base() && o.time.base() >= closes.time.base())
                    .forEach(o -> faults.add(
                            "clocks.RECOAT_CLOSES",
                            closes.time.typed() + " at " + closes.at.typed(),
                            "later than the " + o.time.typed() + " after which it may be recoated"));
        }
    }

    private List<KitValue> kitValues(Field size) {
        var kits = new ArrayList<KitValue>();
        for (int i = 0; i < form.kits().size(); i++) {
            var kit = form.kits().get(i);
            if (kit == null) {
                faults.add("kits[" + i + "]", null, "a kit with its size");
                continue;
            }
            String path = "kits[" + i + "].";
            String label = faults.line(path + "label", kit.label(), 1, 60);
            kits.add(new KitValue(
                    label,
                    value(size, path + "size", kit.size()),
                    value(SheetFields.PRICE, path + "price", kit.price())));
        }
        if (kits.size() > 12) {
            faults.add("kits", kits.size() + " kits", "at most 12 sizes");
        }
        return kits;
    }

    private Map<Exposure, Value> resealValues() {
        Map<Exposure, Value> years = new EnumMap<>(Exposure.class);
        form.reseal().forEach((name, text) -> {
            if (text != null && !text.isBlank()) {
                Exposure exposure = faults.oneOf("reseal." + name, name, Exposure.class);
                Value value = value(SheetFields.YEARS, "reseal." + name, text);
                if (exposure != null && value != null) {
                    years.put(exposure, value);
                }
            }
        });
        return years;
    }

    private String slug(String name) {
        String given = form.slug() == null || form.slug().isBlank() ? name : form.slug();
        String plain =
                given.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return plain.isEmpty() ? "sheet" : plain.substring(0, Math.min(60, plain.length()));
    }

    /** Which clocks a sheet of such a material must have. */
    private static List<Clock> asked(Material.Kind kind) {
        return switch (kind) {
            case TWO_PART -> List.of(Clock.POT_LIFE, Clock.RECOAT_OPENS);
            case ONE_PART, FINISH -> List.of(Clock.RECOAT_OPENS);
            case CONCENTRATE, STAIN, DYE, POWDER, BROADCAST -> List.of();
        };
    }

    private static Limits limits(Map<String, Value> v, String name) {
        return new Limits(
                asked(v, "mver", Double.POSITIVE_INFINITY),
                asked(v, "slabRh", Double.POSITIVE_INFINITY),
                v.get("phMin").base(),
                v.get("phMax").base(),
                v.get("slabMin").base(),
                v.get("slabMax").base(),
                v.get("airRh").base(),
                v.get("dewMargin").base(),
                v.get("minAge").base() / openslab.core.quantity.Unit.DAY.toBase(1),
                (int) Math.round(v.get("cspMin").base()),
                (int) Math.round(v.get("cspMax").base()),
                isYes(v, "shields"),
                new Limits.Asks(
                        asked(v, "pullOff", 0),
                        asked(v, "ohmsMin", 0),
                        asked(v, "ohmsMax", Double.POSITIVE_INFINITY),
                        asked(v, "dcof", 0),
                        asked(v, "strength", 0),
                        asked(v, "thickness", 0),
                        asked(v, "airMin", Double.NEGATIVE_INFINITY),
                        asked(v, "airMax", Double.POSITIVE_INFINITY),
                        asked(v, "fall", Double.POSITIVE_INFINITY) / 100),
                name);
    }

    private static boolean isYes(Map<String, Value> v, String field) {
        return v.containsKey(field) && v.get(field).typed().equals("yes");
    }

    private static double asked(Map<String, Value> v, String field, double ifNot) {
        return v.containsKey(field) ? v.get(field).base() : ifNot;
    }

    private static Map<Clock, TemperatureCurve> curves(Map<Clock, List<TimeValue>> clocks) {
        Map<Clock, TemperatureCurve> curves = new EnumMap<>(Clock.class);
        clocks.forEach((clock, rows) -> curves.put(
                clock,
                new TemperatureCurve(rows.stream()
                        .map(r -> new TemperatureCurve.Point(r.at.base(), r.time.base()))
                        .toList())));
        return curves;
    }

    private static Map<Exposure, Double> years(Map<Exposure, Value> reseal) {
        Map<Exposure, Double> years = new EnumMap<>(Exposure.class);
        reseal.forEach((e, v) -> years.put(e, openslab.core.quantity.Unit.YEAR.fromBase(v.base())));
        return years;
    }

    private SheetForm canonical(
            ProductSheet sheet,
            MaterialReader material,
            TraitsReader traits,
            Map<String, Value> limits,
            Map<Clock, List<TimeValue>> clocks,
            List<KitValue> kits,
            Map<Exposure, Value> reseal) {
        Map<String, String> typedLimits = new TreeMap<>();
        limits.forEach((id, v) -> typedLimits.put(id, v.typed()));
        Map<String, List<SheetForm.TimeForm>> typedClocks = new TreeMap<>();
        clocks.forEach((clock, rows) -> typedClocks.put(
                clock.name(),
                rows.stream()
                        .map(r -> new SheetForm.TimeForm(r.at.typed(), r.time.typed()))
                        .toList()));
        Map<String, String> typedReseal = new TreeMap<>();
        reseal.forEach((e, v) -> typedReseal.put(e.name(), v.typed()));
        return new SheetForm(
                sheet.slug(),
                sheet.name(),
                sheet.role().name(),
                units.name(),
                material.typed("partsA"),
                material.typed("partsB"),
                material.typed("densityA"),
                material.typed("densityB"),
                material.typed("volumeSolids"),
                material.typed("spread"),
                material.typedFirst(),
                material.typedBroadcast(),
                typedLimits,
                typedClocks,
                kits.stream()
                        .map(k -> new SheetForm.KitForm(k.label, k.size.typed(), k.price.typed()))
                        .toList(),
                typedReseal,
                // a sheet that is silent is the same sheet as before either could be said
                said(sheet.advice().mixing()),
                said(sheet.advice().care()),
                sheet.advice().note(),
                material.storedKind(),
                material.typedNumbers(),
                traits.typedTraits(),
                traits.typedHandling(),
                traits.typedMarks());
    }

    private static String said(String words) {
        return words.isEmpty() ? null : words;
    }
}

package openslab.core.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import openslab.core.course.Step;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Faults;
import openslab.core.system.FloorSystem;

/**
 * The schools that are followed: one to each question.
 *
 * @param chosen by the question's id, where somebody chose; the usual school elsewhere
 */
public record Practices(Map<String, School> chosen) {
    /** In the order in which a floor meets them. */
    public static final List<Practice> ALL = List.of(
            NewConcrete.PRACTICE,
            EtchStrength.PRACTICE,
            PrimingPatch.PRACTICE,
            Masking.PRACTICE,
            PrimerOnConcrete.PRACTICE,
            PourOrder.PRACTICE,
            SpreadTool.PRACTICE,
            StainOn.PRACTICE,
            SealerCoats.PRACTICE,
            SealerTool.PRACTICE,
            SealerCarrier.PRACTICE,
            Fans.PRACTICE);

    /** What is followed where nobody chose. */
    public static final Practices USUAL = new Practices(Map.of());

    public Practices {
        chosen = Map.copyOf(chosen);
    }

    /**
     * @param path where they are keyed in
     * @param typed a school's name by the question's id
     * @throws openslab.core.quantity.InvalidInput naming every question and every school that is not known
     */
    public static Practices read(String path, Map<String, String> typed) {
        var faults = new Faults();
        Map<String, School> read = new HashMap<>();
        new TreeMap<>(typed).forEach((id, name) -> ALL.stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .ifPresentOrElse(
                        p -> p.school(name == null ? "" : name)
                                .ifPresentOrElse(
                                        s -> read.put(id, s), () -> faults.add(path + "." + id, name, oneOf(p))),
                        () -> faults.add(
                                path + "." + id,
                                name,
                                "one of these questions: "
                                        + ALL.stream().map(Practice::id).collect(Collectors.joining(", ")))));
        faults.check();
        return new Practices(read);
    }

    private static String oneOf(Practice p) {
        return "one of " + p.schools().stream().map(School::name).collect(Collectors.joining(", "));
    }

    /** These, and {@code own} where somebody chose otherwise. */
    public Practices with(Practices own) {
        Map<String, School> both = new HashMap<>(chosen);
        both.putAll(own.chosen);
        return new Practices(both);
    }

    /** The school that is followed in one question. */
    public School in(Practice practice) {
        return chosen.getOrDefault(practice.id(), practice.usual());
    }

    /** As they are kept: a school's name by the question's id. */
    public Map<String, String> names() {
        Map<String, String> names = new TreeMap<>();
        chosen.forEach((id, school) -> names.put(id, school.name()));
        return names;
    }

    private List<School> followed() {
        return ALL.stream().map(this::in).toList();
    }

    /** A sheet as it is taken here: what its limits and its order of pouring are read as. */
    public ProductSheet taken(ProductSheet sheet) {
        ProductSheet taken = sheet;
        for (School school : followed()) {
            taken = school.taken(taken);
        }
        return taken;
    }

    /** The steps of a layer as they are done here. */
    public List<Step> laid(List<Step> steps, ProductSheet sheet, Place place) {
        var laid = new ArrayList<Step>();
        for (Step step : steps) {
            Step done = step;
            for (School school : followed()) {
                done = school.laid(done, sheet, place);
            }
            laid.add(done);
        }
        return List.copyOf(laid);
    }

    /** The steps of a preparation as they are done here. */
    public List<Step> prepared(List<Step> steps, Place place) {
        List<Step> prepared = steps;
        for (School school : followed()) {
            prepared = school.prepared(prepared, place);
        }
        return prepared;
    }

    /** What of a system is laid here where nobody says more. */
    public List<FloorSystem.Layer> proposed(FloorSystem system, Place place) {
        return system.layers().stream()
                .filter(l -> !l.isOptional()
                        || l.indoors() && !place.outdoors()
                        || followed().stream().anyMatch(s -> s.lays(l, system, place)))
                .map(l -> as(l, place))
                .toList();
    }

    /** A layer of a system as it is laid here. */
    public FloorSystem.Layer as(FloorSystem.Layer layer, Place place) {
        FloorSystem.Layer laid = layer;
        for (School school : followed()) {
            laid = school.as(laid, place);
        }
        return laid;
    }
}

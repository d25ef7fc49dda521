package openslab.server.system;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import openslab.core.course.Gate;
import openslab.core.course.work.Work;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.KnownWorks;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.wash.Dose;
import openslab.core.product.LayerRole;
import openslab.core.product.TemperatureCurve;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.system.Blemish;
import openslab.core.system.Face;
import openslab.core.system.FloorSystem;
import openslab.core.system.Harm;
import openslab.core.system.LayGates;
import openslab.core.system.LayStep;
import openslab.core.system.LayWait;
import openslab.core.system.Rung;
import openslab.core.system.Way;

/** Reads a {@link SystemForm} into the core's system and the ways of its layers. */
final class SystemReader {
    /** @param ways of the layers that have steps of their own */
    record Read(FloorSystem system, List<Way> ways) {}

    /** OURS: far more than anybody lays. */
    private static final int MOST_LAYERS = 20;

    private static final int MOST_STEPS = 60;
    private static final int MOST_TIMES = 40;
    private static final String ID = "[a-z0-9-]+";
    private static final String ID_WORDS = "small letters, figures and hyphens";
    private static final Field TIME = Field.quantity("time", "Time", Unit.HOUR, 0.001, 20_000, "30 s, 15 min, 3 h");
    private static final Field AT = Field.quantity("at", "At", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 60, "");

    private final Faults faults = new Faults();
    private final Set<String> shared;

    /** @param shared the ids of the ways that several systems share */
    SystemReader(Set<String> shared) {
        this.shared = shared;
    }

    /**
     * @param version of one that a shop made: each has ways of its own; 0 for one that ships
     * @throws openslab.core.quantity.InvalidInput naming every fault
     */
    Read read(SystemForm form, int version) {
        String id = faults.line("id", form.id(), 1, 40);
        if (id != null && !id.matches(ID)) {
            faults.add("id", id, ID_WORDS);
        }
        String title = faults.line("title", form.title(), 1, 80);
        String note = faults.prose("note", form.note(), 300);
        Set<Substrate> on = allOf("on", form.on(), Substrate.class);
        Set<Use> uses = allOf("uses", form.uses(), Use.class);
        if (uses.isEmpty()) {
            faults.add("uses", null, "what it is meant for");
        }
        Set<Substrate> besides = allOf("besides", form.besides(), Substrate.class);
        besides.stream()
                .filter(b -> !on.contains(b))
                .forEach(b -> faults.add("besides", b.name(), "a floor that it may lie on"));
        if (on.isEmpty()) {
            faults.add("on", null, "what it may lie on");
        }
        var ways = new ArrayList<Way>();
        var layers = new ArrayList<FloorSystem.Layer>();
        List<SystemForm.LayerPart> parts = form.layers() == null ? List.of() : form.layers();
        if (parts.isEmpty() || parts.size() > MOST_LAYERS) {
            faults.add("layers", parts.size() + " layers", "1 to " + MOST_LAYERS);
            faults.check();
        }
        for (int i = 0; i < parts.size(); i++) {
            layer(parts.get(i), "layers[" + i + "].", version == 0 ? id : id + "." + version, ways)
                    .ifPresent(layers::add);
        }
        for (int i = 1; i < parts.size(); i++) {
            String layerId = parts.get(i).id();
            if (parts.subList(0, i).stream().anyMatch(p -> Objects.equals(p.id(), layerId))) {
                faults.add("layers[" + i + "].id", layerId, "an id that no other layer has");
            }
        }
        if (!layers.isEmpty() && layers.stream().allMatch(FloorSystem.Layer::isOptional)) {
            faults.add("layers[0].when", parts.get(0).when(), "at least one layer that is always laid");
        }
        Rung rung = faults.oneOf("rung", form.rung(), Rung.class);
        Face face = face(form.face());
        Set<Blemish> hides = allOf("hides", form.hides(), Blemish.class);
        Set<Blemish> never = allOf("never", form.never(), Blemish.class);
        never.stream().filter(hides::contains).forEach(b -> faults.add("never", b.name(), "nothing that it hides"));
        String look = faults.prose("look", form.look(), 1000);
        String asks = faults.prose("asks", form.asks(), 1000);
        String care = faults.prose("care", form.care(), 1000);
        PrepAsks prep = form.prep() == null ? PrepAsks.NOTHING : new PrepReader(faults).read(form.prep());
        faults.check();
        return new Read(
                new FloorSystem(
                        id, title, note, on, besides, uses, layers, rung, face, hides, never, look, asks, prep, care),
                ways);
    }

    /** @throws openslab.core.quantity.InvalidInput naming every fault */
    Way way(String id, SystemForm.WayForm form) {
        Optional<Way> way = ofSteps(id, form.steps(), "");
        faults.check();
        return way.orElseThrow();
    }

    private <E extends Enum<E>> Set<E> allOf(String path, List<String> names, Class<E> type) {
        Set<E> all = EnumSet.noneOf(type);
        for (int i = 0; names != null && i < names.size(); i++) {
            E one = faults.oneOf(path + "[" + i + "]", names.get(i), type);
            if (one != null) {
                all.add(one);
            }
        }
        return all;
    }

    private Face face(SystemForm.FacePart part) {
        if (part == null) {
            faults.add("face", null, "what it is like: tone, texture, grip, later, money");
            return null;
        }
        Face.Tone tone = faults.oneOf("face.tone", part.tone(), Face.Tone.class);
        Face.Texture texture = faults.oneOf("face.texture", part.texture(), Face.Texture.class);
        Face.Grip grip = faults.oneOf("face.grip", part.grip(), Face.Grip.class);
        Face.Later later = faults.oneOf("face.later", part.later(), Face.Later.class);
        if (part.money() < 1 || part.money() > 4) {
            faults.add("face.money", part.money(), "1 to 4");
        }
        return new Face(tone, texture, grip, later, part.money());
    }

    private Optional<FloorSystem.Layer> layer(SystemForm.LayerPart part, String path, String system, List<Way> ways) {
        String id = faults.line(path + "id", part.id(), 1, 40);
        if (id != null && !id.matches(ID)) {
            faults.add(path + "id", id, ID_WORDS);
        }
        String title = faults.line(path + "title", part.title(), 1, 60);
        LayerRole role = faults.oneOf(path + "role", part.role(), LayerRole.class);
        String sheet = faults.line(path + "sheet", part.sheet(), 1, 60);
        String water = part.water() == null ? "" : faults.line(path + "water", part.water(), 1, 60);
        String way = part.way() == null ? "" : part.way();
        if (!way.isEmpty() && !shared.contains(way)) {
            faults.add(path + "way", way, "one of " + String.join(", ", shared));
        }
        if (part.steps() != null) {
            way = system + "/" + id;
            ofSteps(way, part.steps(), path).ifPresent(ways::add);
        }
        String when = part.when() == null ? "" : part.when();
        return id == null || title == null || role == null || sheet == null || water == null
                ? Optional.empty()
                : Optional.of(new FloorSystem.Layer(
                        id, title, role, sheet, water, way, when, Boolean.TRUE.equals(part.indoors())));
    }

    private Optional<Way> ofSteps(String id, List<SystemForm.StepPart> parts, String path) {
        var steps = new ArrayList<LayStep>();
        if (parts != null && parts.size() > MOST_STEPS) {
            faults.add(path + "steps", parts.size() + " steps", "at most " + MOST_STEPS);
            return Optional.empty();
        }
        for (int i = 0; parts != null && i < parts.size(); i++) {
            step(parts.get(i), path + "steps[" + i + "].").ifPresent(steps::add);
        }
        Set<String> ids = steps.stream().map(LayStep::id).collect(Collectors.toSet());
        if (ids.size() < steps.size()) {
            faults.add(path + "steps", "one step twice", "steps of the same work told apart by which");
        }
        for (LayStep step : steps) {
            if (!ids.containsAll(step.again())) {
                faults.add(path + "steps", step.again(), "steps of the same layer, by their ids");
            }
        }
        if (steps.stream().filter(LayStep::coat).count() != 1) {
            faults.add(path + "steps", null, "exactly one step that puts the material on the floor");
            return Optional.empty();
        }
        return Optional.of(new Way(id, steps));
    }

    private Optional<LayStep> step(SystemForm.StepPart part, String path) {
        String why = faults.line(path + "why", part.why(), 1, 300);
        String which = part.which() == null ? "" : faults.line(path + "which", part.which(), 1, 20);
        if (part.settle() != null) {
            String what = faults.line(path + "settle", part.settle(), 1, 120);
            return what == null || why == null ? Optional.empty() : Optional.of(LayStep.settle(which, what, why));
        }
        Work work = faults.read(() -> KnownWorks.of(path + "work", part.work()));
        String title = faults.line(path + "title", part.title(), 1, 80);
        String does = faults.line(path + "does", part.does(), 1, 600);
        var harms = new ArrayList<Harm>();
        for (String harm : part.harms() == null ? List.<String>of() : part.harms()) {
            Harm.find(harm).ifPresentOrElse(harms::add, () -> faults.add(path + "harms", harm, harmIds()));
        }
        Optional<Dose> mixes = new PrepReader(faults).dose(part.chemical(), part.strength(), part.spread(), path);
        Optional<Gate> gate = gate(part, path);
        LayWait waits = waits(part.waits(), path + "waits.");
        List<String> again = part.again() == null ? List.of() : part.again();
        boolean coat = part.coat() != null && part.coat();
        return work == null || title == null || does == null || why == null || which == null
                ? Optional.empty()
                : Optional.of(new LayStep(work, which, title, does, why, harms, mixes, gate, waits, again, coat));
    }

    private static String harmIds() {
        return "one of " + List.of(Harm.values()).stream().map(Harm::id).collect(Collectors.joining(", "));
    }

    private Optional<Gate> gate(SystemForm.StepPart part, String path) {
        if (part.gate() == null) {
            return Optional.empty();
        }
        if (part.gate().equals(LayGates.DRY)) {
            Double minutes = minutes(path + "hours", part.hours());
            boolean fan = part.fan() == null || part.fan();
            return minutes == null ? Optional.empty() : Optional.of(LayGates.dry(Unit.HOUR.fromBase(minutes), fan));
        }
        Optional<Gate> gate = LayGates.find(part.gate());
        if (gate.isEmpty()) {
            faults.add(path + "gate", part.gate(), "one of " + String.join(", ", LayGates.ids()));
        }
        return gate;
    }

    private Double minutes(String path, String text) {
        Value value = faults.read(() -> TIME.parse(path, text, UnitSystem.METRIC));
        return value == null ? null : value.base();
    }

    private LayWait waits(SystemForm.WaitPart part, String path) {
        if (part == null) {
            return LayWait.NONE;
        }
        if (part.sheet() != null) {
            LayWait.Says says = faults.oneOf(path + "sheet", part.sheet(), LayWait.Says.class);
            return says == null ? LayWait.NONE : new LayWait.OfSheet(says);
        }
        if (part.window() != null) {
            return window(part, path);
        }
        if (part.look() != null) {
            Double look = minutes(path + "look", part.look());
            Double usual = minutes(path + "usual", part.usual());
            String until = faults.line(path + "until", part.until(), 1, 120);
            return look == null || usual == null || until == null ? LayWait.NONE : new LayWait.Open(look, usual, until);
        }
        Double fixed = minutes(path + "fixed", part.fixed());
        return fixed == null ? LayWait.NONE : new LayWait.Fixed(fixed);
    }

    private LayWait window(SystemForm.WaitPart part, String path) {
        String until = faults.line(path + "until", part.until(), 1, 120);
        if (part.window().size() > MOST_TIMES) {
            faults.add(path + "window", part.window().size() + " times", "at most " + MOST_TIMES);
            return LayWait.NONE;
        }
        TemperatureCurve opens = curve(part.window(), SystemForm.WindowPart::opens, path);
        TemperatureCurve closes = curve(part.window(), SystemForm.WindowPart::closes, path);
        if (opens != null
                && closes != null
                && opens.points().stream().anyMatch(p -> closes.minutesAt(p.celsius()) <= p.minutes())) {
            faults.add(path + "window", null, "a window that closes after it opens, at every temperature");
            return LayWait.NONE;
        }
        return until == null || opens == null || closes == null
                ? LayWait.NONE
                : new LayWait.Window(opens, closes, until);
    }

    private TemperatureCurve curve(
            List<SystemForm.WindowPart> rows, Function<SystemForm.WindowPart, String> which, String path) {
        var points = new ArrayList<TemperatureCurve.Point>();
        for (int i = 0; i < rows.size(); i++) {
            SystemForm.WindowPart row = rows.get(i);
            String here = path + "window[" + i + "]";
            Value at = faults.read(() -> AT.parse(here + ".at", row.at(), UnitSystem.US));
            Double minutes = minutes(here, which.apply(row));
            if (at != null && minutes != null) {
                points.add(new TemperatureCurve.Point(at.base(), minutes));
            }
        }
        return points.size() < rows.size() || points.isEmpty() ? null : new TemperatureCurve(points);
    }
}

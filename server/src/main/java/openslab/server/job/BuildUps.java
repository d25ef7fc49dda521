package openslab.server.job;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.job.CycleKind;
import openslab.core.job.Past;
import openslab.core.job.ZoneFacts;
import openslab.core.practice.Place;
import openslab.core.practice.Practices;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.Material;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.system.FloorSystem;
import openslab.server.form.BuildUpForm;
import openslab.server.form.LayerForm;
import openslab.server.form.Said;
import openslab.server.product.SheetStore;
import openslab.server.system.Systems;
import openslab.server.web.NotHere;
import org.springframework.stereotype.Component;

/** What goes on in a cycle: as a system has it, as somebody wants it, or as it was laid before. */
@Component
public class BuildUps {
    /** What a new concrete floor starts with, and what every floor had before there were systems. */
    public static final String USUAL = "epoxy-flake";

    private static final Field RESERVE = Field.quantity(
                    "reserve", "Held back", Unit.PERCENT, 0, 50, "of what the floor takes")
            .ifWanted();
    private static final Field SPREAD = Field.quantity(
            "rate", "Spread rate", Unit.SQUARE_FOOT_PER_GALLON, Unit.SQUARE_METRE_PER_LITRE, 0.05, 50, "");
    private static final Field THROWN = Field.quantity(
            "rate", "On the floor", Unit.POUND_PER_SQUARE_FOOT, Unit.KILOGRAM_PER_SQUARE_METRE, 0.005, 30, "");

    private static final Duration FAR = Duration.ofDays(3650);

    private final Systems systems;
    private final SheetStore sheets;
    private final Clock clock;

    BuildUps(Systems systems, SheetStore sheets, Clock clock) {
        this.systems = systems;
        this.sheets = sheets;
        this.clock = clock;
    }

    /** What a new zone starts with; nothing where nobody can say what is usual. */
    ZoneStore.StoredBuildUp first(Substrate substrate, Exposure exposure, Practices practices) {
        FloorSystem usual = systems.find(USUAL).orElseThrow();
        return substrate.family() == Substrate.Family.CEMENT
                ? of(usual, practices.proposed(usual, Place.at(exposure)))
                : ZoneStore.StoredBuildUp.NONE;
    }

    private ZoneStore.StoredBuildUp of(FloorSystem system, List<FloorSystem.Layer> layers) {
        return new ZoneStore.StoredBuildUp(
                system.id(),
                layers.stream()
                        .map(l -> new ZoneStore.StoredLayer(
                                l.id(),
                                l.title(),
                                l.role().name(),
                                onShelf(l.sheet()),
                                l.way(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()))
                        .toList());
    }

    private String onShelf(String slug) {
        return sheets.onShelf(slug)
                .orElseThrow(() -> new NotHere("sheet", slug))
                .digest();
    }

    /**
     * @param was what goes on in the cycle now
     * @param zone on which it goes
     * @throws InvalidInput with every fault at once
     */
    ZoneStore.StoredBuildUp read(ZoneStore.StoredBuildUp was, BuildUpForm form, ZoneFacts zone, UnitSystem units) {
        Practices followed = zone.settings().practices();
        Place place = zone.surroundings();
        String id = form.system() == null ? "" : form.system();
        Optional<FloorSystem> system = systems.find(id);
        if (!id.isEmpty() && system.isEmpty()) {
            throw new InvalidInput(
                    "system",
                    id,
                    "one of "
                            + String.join(
                                    ", ",
                                    systems.all().stream().map(FloorSystem::id).toList()));
        }
        if (form.layers() == null) {
            if (system.isEmpty()) {
                throw new InvalidInput("system", null, "a system, or the layers one by one");
            }
            if (form.with() == null) {
                return of(system.get(), followed.proposed(system.get(), place));
            }
            List<String> with = form.with();
            List<String> optional = system.get().layers().stream()
                    .filter(FloorSystem.Layer::isOptional)
                    .map(FloorSystem.Layer::id)
                    .toList();
            if (!optional.containsAll(with)) {
                throw new InvalidInput("with", String.join(", ", with), "of " + String.join(", ", optional));
            }
            return of(
                    system.get(),
                    system.get().layers().stream()
                            .filter(l -> !l.isOptional() || with.contains(l.id()))
                            .map(l -> followed.as(l, place))
                            .toList());
        }
        var faults = new Faults();
        var layers = new ArrayList<ZoneStore.StoredLayer>();
        Set<String> taken = new HashSet<>();
        form.layers().forEach(l -> Optional.ofNullable(l).map(LayerForm::id).ifPresent(taken::add));
        for (int i = 0; i < form.layers().size(); i++) {
            String path = "layers[" + i + "].";
            LayerForm layer = form.layers().get(i);
            if (layer == null) {
                faults.add("layers[" + i + "]", null, "a layer");
                continue;
            }
            Optional<ZoneStore.StoredLayer> there =
                    was.layers().stream().filter(l -> l.id().equals(layer.id())).findFirst();
            ZoneStore.StoredLayer read =
                    faults.read(() -> read(there, layer, offered(system, layer, followed, place), path, units, taken));
            if (read != null) {
                boolean offered = there.isEmpty() && !Said.is(layer.sheet());
                layers.add(offered ? place(read.id(), layers, system) : layers.size(), read);
            }
        }
        faults.check();
        return new ZoneStore.StoredBuildUp(id, layers);
    }

    /** Where the system has it: a layer that is only named goes above what the system lays before it. */
    private static int place(String id, List<ZoneStore.StoredLayer> layers, Optional<FloorSystem> system) {
        List<String> order = system.stream()
                .flatMap(s -> s.layers().stream())
                .map(FloorSystem.Layer::id)
                .toList();
        int at = layers.size();
        while (at > 0 && order.indexOf(layers.get(at - 1).id()) > order.indexOf(id)) {
            at--;
        }
        return at;
    }

    /** The same build-up with one of its layers changed. */
    ZoneStore.StoredBuildUp with(ZoneStore.StoredBuildUp was, String layerId, LayerForm form, UnitSystem units) {
        return new ZoneStore.StoredBuildUp(
                was.system(),
                was.layers().stream()
                        .map(l -> l.id().equals(layerId)
                                ? read(Optional.of(l), form, Optional.empty(), "", units, Set.of())
                                : l)
                        .toList());
    }

    private ZoneStore.StoredLayer read(
            Optional<ZoneStore.StoredLayer> was,
            LayerForm form,
            Optional<ZoneStore.StoredLayer> ofSystem,
            String path,
            UnitSystem units,
            Set<String> taken) {
        var faults = new Faults();
        // a layer that the system has and that is not laid yet comes as the system has it
        Optional<ZoneStore.StoredLayer> offered = was.or(() -> ofSystem);
        String digest = Said.is(form.sheet())
                ? form.sheet()
                : offered.map(ZoneStore.StoredLayer::digest).orElse(null);
        if (digest == null || !sheets.has(digest)) {
            throw new InvalidInput(path + "sheet", digest, "the digest of a sheet");
        }
        var sheet = sheets.of(digest).sheet();
        String title = form.title() == null
                ? offered.map(ZoneStore.StoredLayer::title).orElse("")
                : faults.line(path + "title", form.title(), 0, 60);
        LayerRole role = Said.is(form.role()) ? faults.oneOf(path + "role", form.role(), LayerRole.class) : null;
        Optional<LayerRole> before = offered.map(
                l -> l.role().isEmpty() ? sheets.of(l.digest()).sheet().role() : LayerRole.valueOf(l.role()));
        if (before.isPresent()
                && role == null
                && !fits(sheet.role(), sheets.of(offered.get().digest()).sheet().role())) {
            faults.add(
                    path + "sheet",
                    sheet.name(),
                    "a sheet for this layer: " + before.get().label().toLowerCase(java.util.Locale.ROOT));
        }
        String way =
                form.way() == null ? offered.map(ZoneStore.StoredLayer::way).orElse("") : form.way();
        if (!way.isEmpty() && !systems.ways().contains(way) && form.way() != null) {
            faults.add(path + "way", way, "one of " + String.join(", ", systems.ways()));
        }
        Optional<Value> rate = form.rate() == null
                ? offered.flatMap(ZoneStore.StoredLayer::rate)
                : Optional.ofNullable(rate(faults, path, form.rate(), sheet.material(), units));
        Optional<Value> reserve = form.reserve() == null
                ? offered.flatMap(ZoneStore.StoredLayer::reserve)
                : Optional.ofNullable(typed(faults, RESERVE, path + "reserve", form.reserve(), units));
        Optional<Instant> start = form.plannedStart() == null
                ? offered.flatMap(ZoneStore.StoredLayer::plannedStart)
                : Optional.ofNullable(start(faults, path, form.plannedStart()));
        faults.check();
        return new ZoneStore.StoredLayer(
                was.map(ZoneStore.StoredLayer::id).orElseGet(() -> offered.map(ZoneStore.StoredLayer::id)
                        .orElseGet(() -> fresh(sheet.slug(), taken))),
                title,
                role == null ? offered.map(ZoneStore.StoredLayer::role).orElse("") : role.name(),
                digest,
                way,
                rate,
                reserve,
                start);
    }

    /** A layer as a file keeps it: its way and its start are kept as they are, known or not. */
    public ZoneStore.StoredLayer kept(
            String path, LayerForm form, String way, Optional<Instant> start, UnitSystem units) {
        ZoneStore.StoredLayer read = read(
                Optional.of(ZoneStore.StoredLayer.of(form.id(), form.sheet())),
                form,
                Optional.empty(),
                path + ".",
                units,
                Set.of());
        return new ZoneStore.StoredLayer(
                read.id(), read.title(), read.role(), read.digest(), way, read.rate(), read.reserve(), start);
    }

    /** A layer as its system has it, where it has one of this id. */
    private Optional<ZoneStore.StoredLayer> offered(
            Optional<FloorSystem> system, LayerForm form, Practices followed, Place place) {
        return system.flatMap(s -> s.layers().stream()
                        .filter(l -> l.id().equals(form.id()))
                        .findFirst()
                        .map(l -> of(s, List.of(followed.as(l, place)))))
                .map(b -> b.layers().get(0));
    }

    /** A sheet for another must stand in the same place of the build-up. */
    private static boolean fits(LayerRole role, LayerRole was) {
        return role == was;
    }

    private static Value typed(Faults faults, Field field, String path, String text, UnitSystem units) {
        return text.isBlank() ? null : faults.read(() -> field.parse(path, text, units));
    }

    private static Value rate(Faults faults, String path, String text, Material material, UnitSystem units) {
        return switch (material.kind()) {
            case BROADCAST -> typed(faults, THROWN, path + "rate", text, units);
            case POWDER -> typed(faults, depth(material), path + "rate", text, units);
            default -> typed(faults, SPREAD, path + "rate", text, units);
        };
    }

    private static Field depth(Material material) {
        double lift = ((openslab.core.product.Powder) material).liftM();
        return Field.quantity("rate", "Laid", Unit.INCH, Unit.MILLIMETRE, 0.0001, lift, "deep, in one lift");
    }

    private Instant start(Faults faults, String path, String text) {
        return text.isBlank()
                ? null
                : faults.moment(path + "plannedStart", text, clock.instant().plus(FAR));
    }

    /** An id that no other layer has. */
    private static String fresh(String slug, Set<String> taken) {
        String base = slug.length() > 30 ? slug.substring(0, 30) : slug;
        String id = base;
        for (int n = 2; !taken.add(id); n++) {
            id = base + "-" + n;
        }
        return id;
    }

    /** What goes on in the next cycle: what is not on yet, the top coat again, or everything that was laid together. */
    ZoneStore.StoredBuildUp next(CycleKind kind, ZoneStore.StoredZone zone, ZoneFacts facts) {
        List<Past.Laid> lies = facts.lies();
        if (lies.isEmpty()) {
            return again(zone.cycle().buildUp());
        }
        return switch (kind) {
            case COAT, CLEAN ->
                only(
                        zone.cycle().buildUp(),
                        zone.layers().stream()
                                .filter(l -> facts.open().stream().anyMatch(o -> o.id().equals(l.id())))
                                .toList());
            case RESEAL ->
                overChips(zone, lies, facts)
                        .or(() -> lies.stream()
                                .filter(l -> l.layer().sheet().broadcast().isEmpty())
                                .reduce((a, b) -> b)
                                .map(top -> reseal(
                                        zone.cycles().get(top.cycle() - 1).buildUp(),
                                        top.layer().id())))
                        .orElse(ZoneStore.StoredBuildUp.NONE);
            case REPAIR, RECOAT ->
                again(zone.cycles().get(lies.get(0).cycle() - 1).buildUp());
        };
    }

    /** Chips that lie on top are sealed with the clear coat of their system: its colour again would bury them. */
    private Optional<ZoneStore.StoredBuildUp> overChips(
            ZoneStore.StoredZone zone, List<Past.Laid> lies, ZoneFacts facts) {
        Past.Laid last = lies.get(lies.size() - 1);
        if (last.layer().sheet().broadcast().isEmpty()) {
            return Optional.empty();
        }
        return systems.find(zone.cycles().get(last.cycle() - 1).buildUp().system())
                .flatMap(s -> s.layers().stream()
                        .filter(l -> l.role() == LayerRole.CLEAR)
                        .findFirst()
                        .map(l -> of(s, List.of(facts.settings().practices().as(l, facts.surroundings())))));
    }

    private ZoneStore.StoredBuildUp reseal(ZoneStore.StoredBuildUp was, String top) {
        return again(
                only(was, was.layers().stream().filter(l -> l.id().equals(top)).toList()));
    }

    private static ZoneStore.StoredBuildUp only(ZoneStore.StoredBuildUp was, List<ZoneStore.StoredLayer> layers) {
        return new ZoneStore.StoredBuildUp(was.system(), layers);
    }

    /** Of each sheet as it stands on the shelf today. */
    private ZoneStore.StoredBuildUp again(ZoneStore.StoredBuildUp was) {
        return only(
                was,
                was.layers().stream()
                        .map(l -> l.with(
                                sheets.onShelf(sheets.of(l.digest()).sheet().slug())
                                        .map(SheetStore.Stored::digest)
                                        .orElse(l.digest()),
                                Optional.empty()))
                        .toList());
    }
}

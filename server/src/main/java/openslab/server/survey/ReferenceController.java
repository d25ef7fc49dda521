package openslab.server.survey;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.choose.Need;
import openslab.core.choose.Needs;
import openslab.core.floor.Shapes;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.LogEntry;
import openslab.core.job.ZoneFields;
import openslab.core.prep.SiteLimit;
import openslab.core.product.Exposure;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.SetOut;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;
import openslab.core.survey.dry.DryDown;
import openslab.core.survey.instrument.InstrumentKind;
import openslab.core.survey.method.TestMethods;
import openslab.server.floor.RoomFeature;
import openslab.server.web.Named;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What can be keyed in: test methods and fields, so that no screen knows them by heart. */
@RestController
@RequestMapping("/api")
class ReferenceController {
    record MethodView(
            String id,
            String title,
            String how,
            String group,
            boolean wholeFloor,
            List<Substrate> substrates,
            List<Field> fields,
            Source source,
            Optional<String> instrument,
            Optional<SetOutView> setOut) {
        static MethodView of(TestMethod m) {
            return new MethodView(
                    m.id(),
                    m.about().title(),
                    m.about().how(),
                    m.about().group().name(),
                    m.wholeFloor(),
                    Arrays.stream(Substrate.values()).filter(m::isFor).toList(),
                    m.fields(),
                    m.about().source(),
                    m.instrument().map(InstrumentKind::name),
                    m.setOut().map(SetOutView::of));
        }
    }

    /** @param hours the field that says how long it stood; {@code least} and {@code most} in hours */
    record SetOutView(double least, Optional<Double> most, String waiting, String then, String hours) {
        static SetOutView of(SetOut s) {
            return new SetOutView(
                    s.least().toMinutes() / 60.0,
                    s.most().map(m -> m.toMinutes() / 60.0),
                    s.waiting(),
                    s.then(),
                    s.hours());
        }
    }

    /** What can be drawn on a floor; what gets rid of it depends on the floor, and stands in its finding. */
    record DefectView(String id, String label, String consequence) {
        static DefectView of(Defect d) {
            return new DefectView(d.name(), d.label(), d.consequence());
        }
    }

    /** @param months how long a calibration holds where its paper says nothing */
    record InstrumentKindView(String id, String label, int months, Source source) {
        static InstrumentKindView of(InstrumentKind k) {
            return new InstrumentKindView(k.name(), k.label(), k.months(), k.source());
        }
    }

    record ReferenceView(
            List<MethodView> methods,
            List<DefectView> defects,
            List<InstrumentKindView> instrumentKinds,
            List<Named> testGroups,
            List<Field> dryingMeans,
            List<Named> dryingWays,
            Map<String, List<Field>> shapes,
            List<Field> crew,
            List<Field> settings,
            List<Field> colour,
            List<NeedGroup> needs,
            List<Named> substrates,
            List<Named> uses,
            List<Named> exposures,
            List<Named> siteLimits,
            List<RoomFeature.FeatureView> roomFeatures,
            List<String> timeZones) {}

    /** What may be needed of a floor, as it is asked together. */
    record NeedGroup(String title, List<Field> fields) {
        static List<NeedGroup> all() {
            return Arrays.stream(Need.Group.values())
                    .map(g -> new NeedGroup(
                            g.label(),
                            Needs.ALL.stream()
                                    .filter(n -> n.group() == g)
                                    .map(Need::field)
                                    .toList()))
                    .toList();
        }
    }

    /** @param fixed true where the clock was stopped for tests and pictures */
    record NowView(Instant now, boolean fixed) {}

    /** @param group which field to read it as: a side of a shape, say */
    record EchoForm(String shape, Map<String, String> sides, String units) {}

    /** What a shape's sides come to, for showing while they are typed. */
    record EchoView(String area, String areaAlso, String perimeter, String perimeterAlso) {}

    private final Clock clock;

    ReferenceController(Clock clock) {
        this.clock = clock;
    }

    @GetMapping("/reference")
    ReferenceView reference() {
        Map<String, List<Field>> shapes = new LinkedHashMap<>();
        Shapes.kinds().forEach(k -> shapes.put(k, Shapes.fields(k)));
        return new ReferenceView(
                TestMethods.ALL.stream().map(MethodView::of).toList(),
                Arrays.stream(Defect.values()).map(DefectView::of).toList(),
                Arrays.stream(InstrumentKind.values())
                        .map(InstrumentKindView::of)
                        .toList(),
                Named.all(TestGroup.class, TestGroup::label),
                DryDown.Means.FIELDS,
                Named.all(DryDown.Way.class, DryDown.Way::label),
                shapes,
                ZoneFields.CREW,
                ZoneFields.IF_WANTED,
                LogEntry.COLOUR_FIELDS,
                NeedGroup.all(),
                Named.all(Substrate.class, Substrate::label),
                Named.all(Use.class, Use::label),
                Named.all(Exposure.class, Exposure::label),
                Named.all(SiteLimit.class, SiteLimit::label),
                RoomFeature.views(),
                ZoneId.getAvailableZoneIds().stream()
                        .filter(z -> z.contains("/") && !z.startsWith("Etc/") && !z.startsWith("SystemV/"))
                        .sorted()
                        .toList());
    }

    @GetMapping("/now")
    NowView now() {
        boolean fixed = clock.equals(Clock.fixed(clock.instant(), clock.getZone()));
        return new NowView(clock.instant(), fixed);
    }

    /** Area and perimeter of sides as they are typed; nothing is stored. */
    @PostMapping("/echo/shape")
    EchoView shape(@RequestBody EchoForm form) {
        var faults = new openslab.core.quantity.Faults();
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        faults.check();
        Map<String, Double> metres = new LinkedHashMap<>();
        Map<String, String> sides = form.sides() == null ? Map.of() : form.sides();
        Field.parseAll("sides", Shapes.fields(form.shape()), sides, units)
                .forEach((side, value) -> metres.put(side, value.base()));
        var shape = Shapes.of(form.shape(), metres);
        var area = shape.area(units);
        var perimeter = shape.perimeter(units);
        return new EchoView(area.text(), area.also(), perimeter.text(), perimeter.also());
    }
}

package openslab.server.prep;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import openslab.core.mix.recipe.Asked;
import openslab.core.mix.recipe.Spoken;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Ratio;
import openslab.core.prep.wash.WashMix;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Cleaners and acids, any ratio into any vessel; nothing is stored. */
@RestController
@RequestMapping("/api/washes")
class WashController {
    /** @param weakest as far as its label goes that way; {@code strongest} likewise */
    record ChemicalView(
            String id,
            String label,
            String use,
            String weakest,
            String strongest,
            Source source,
            List<NeverView> never) {
        static ChemicalView of(Chemical c) {
            return new ChemicalView(
                    c.name(),
                    c.label(),
                    c.use(),
                    c.weakest().typed(),
                    c.strongest().typed(),
                    c.source(),
                    Arrays.stream(Chemical.values())
                            .flatMap(other -> Chemical.never(c, other)
                                    .map(why -> new NeverView(other.name(), Show.lower(other.label()), why))
                                    .stream())
                            .toList());
        }
    }

    /** What must not meet it, not even as residue. */
    record NeverView(String id, String label, String why) {}

    record WashesView(List<ChemicalView> chemicals, List<Field> fields) {}

    /**
     * @param ratio as it is written on the label
     * @param marks how many lines the vessel has, apart alike; empty for none
     * @param scoop what a level scoop holds; empty where nobody measures with one
     * @param sections in how many parts it is worked; empty for 10 × 10 ft at a time
     * @param last what was used on this floor before and may still be there; empty for nothing
     */
    record WashForm(
            String chemical,
            String ratio,
            String vessel,
            String marks,
            @Nullable String scoop,
            String area,
            String spread,
            @Nullable String sections,
            String last,
            String units) {}

    /**
     * @param mark where the water stands on a vessel with lines; empty where nobody said that it has any
     * @param measured the concentrate by jug, cup and spoon; empty where it goes by the bag
     * @param scoops of the concentrate into each; empty where nobody said that there is one, or where it goes by the bag
     */
    record MixView(WashMix mix, Optional<Figure> mark, String measured, Optional<Figure> scoops) {}

    private static final Field MARKS = Field.quantity(
                    "marks", "Lines on it", Unit.ONE, 1, 100, "empty where it has none")
            .ifWanted();

    private static final Field VESSEL =
            Field.quantity("vessel", "One vessel holds", Unit.GALLON, Unit.LITRE, 0.1, 5000, "pail, sprayer, tank");
    private static final Field AREA =
            Field.quantity("area", "Floor to be washed", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0.05, 100_000, "");
    private static final Field SPREAD = Field.quantity(
            "spread",
            "How far it goes",
            Unit.SQUARE_FOOT_PER_GALLON,
            Unit.SQUARE_METRE_PER_LITRE,
            0.05,
            50,
            "75 ft²/gal, 1.8 m²/L is usual for acid");

    private static final Field SECTIONS = Field.quantity(
                    "sections", "Worked in so many sections", Unit.ONE, 1, 1000, "4 for quarters; empty: 10 × 10 ft")
            .ifWanted();

    @GetMapping
    WashesView washes() {
        return new WashesView(
                Arrays.stream(Chemical.values()).map(ChemicalView::of).toList(),
                List.of(VESSEL, MARKS, Asked.SCOOP, AREA, SPREAD, SECTIONS));
    }

    @PostMapping
    MixView mix(@RequestBody WashForm form) {
        var faults = new Faults();
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        Chemical chemical = faults.oneOf("chemical", form.chemical(), Chemical.class);
        Chemical last =
                form.last() == null || form.last().isEmpty() ? null : faults.oneOf("last", form.last(), Chemical.class);
        Ratio ratio = faults.read(() -> Ratio.parse("ratio", form.ratio()));
        faults.check();
        Value vessel = faults.read(() -> VESSEL.parse("vessel", form.vessel(), units));
        boolean marked = form.marks() != null && !form.marks().isBlank();
        Value marks = marked ? faults.read(() -> MARKS.parse("marks", form.marks(), units)) : null;
        boolean scooped = form.scoop() != null && !form.scoop().isBlank();
        Value scoop = scooped ? faults.read(() -> Asked.SCOOP.parse("scoop", form.scoop(), units)) : null;
        Value area = faults.read(() -> AREA.parse("area", form.area(), units));
        Value spread = faults.read(() -> SPREAD.parse("spread", form.spread(), units));
        boolean parted = form.sections() != null && !form.sections().isBlank();
        Value sections = parted ? faults.read(() -> SECTIONS.parse("sections", form.sections(), units)) : null;
        Optional<String> never = last == null ? Optional.empty() : Chemical.never(chemical, last);
        never.ifPresent(why -> faults.add("last", last.label(), "something that may meet it. " + why));
        faults.check();
        WashMix mix = WashMix.of(
                chemical,
                ratio,
                vessel.base(),
                area.base(),
                spread.base(),
                parted ? (int) Math.round(sections.base()) : 0,
                units);
        return new MixView(
                mix,
                Optional.ofNullable(marks).map(m -> mix.mark((int) m.base(), vessel.base(), units)),
                mix.concentrate().unit() == Unit.BAG
                        ? ""
                        : Spoken.of(mix.concentrate().base(), units),
                Optional.ofNullable(scoop).flatMap(c -> mix.scoops(c.base(), units)));
    }
}

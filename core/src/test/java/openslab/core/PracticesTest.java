package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.CycleKind;
import openslab.core.job.PracticeEffect;
import openslab.core.job.ZoneFacts;
import openslab.core.practice.Place;
import openslab.core.practice.Practice;
import openslab.core.practice.Practices;
import openslab.core.practice.School;
import openslab.core.prep.Condition;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.PrepNeed;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.SiteLimit;
import openslab.core.prep.SiteLimits;
import openslab.core.prep.wash.Dose;
import openslab.core.product.Chemistry;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.product.Traits;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Limits;
import openslab.core.survey.area.Defect;
import openslab.core.system.Blemish;
import openslab.core.system.Face;
import openslab.core.system.FloorSystem;
import openslab.core.system.Rung;
import org.testng.annotations.Test;

/** Where practitioners do not agree (TRADE 16): each school does what it says, and nothing else. */
public class PracticesTest {
    private static Practices of(String id, String school) {
        return Practices.read("practices", Map.of(id, school));
    }

    private static List<String> steps(Stories story) {
        return story.at(3).prep().steps().stream().map(s -> s.id()).toList();
    }

    private static List<PracticeEffect> effects(ZoneFacts zone, Practices schools) {
        return PracticeEffect.between(zone, zone.following(schools), Optional.empty(), UnitSystem.US);
    }

    private static String where(List<PracticeEffect> effects) {
        return effects.stream().map(PracticeEffect::where).collect(Collectors.joining("; "));
    }

    /** Every line of the table of TRADE 16 is there, with at least two schools, a default among them, and its reason. */
    @Test
    public void every_question_has_schools_a_default_and_a_reason() {
        assertEquals(
                Practices.ALL.stream().map(Practice::id).sorted().toList(),
                List.of(
                        "etch-strength",
                        "fans",
                        "masking",
                        "new-concrete",
                        "pour-order",
                        "primer",
                        "priming-patch",
                        "sealer-carrier",
                        "sealer-coats",
                        "sealer-tool",
                        "spread-tool",
                        "stain-on"));
        for (Practice p : Practices.ALL) {
            assertTrue(p.schools().size() > 1, p.id());
            assertTrue(p.schools().contains(p.usual()), p.id());
            assertFalse(p.why().isBlank(), p.id());
            var labels = new HashSet<String>();
            for (School s : p.schools()) {
                assertTrue(labels.add(s.label()), p.id() + " says " + s.label() + " twice");
                assertFalse(s.reason().isBlank(), p.id());
            }
            assertEquals(Practices.USUAL.in(p), p.usual());
        }
    }

    @Test
    public void what_is_not_known_is_named() {
        var fault = expectThrows(
                InvalidInput.class,
                () -> Practices.read("practices", Map.of("fans", "SOMETIMES", "tea", "MILK_FIRST")));
        assertEquals(fault.faults().size(), 2);
        assertTrue(fault.getMessage().contains("BY_SHEET, SPEED, NEVER"), fault.getMessage());
        assertTrue(fault.getMessage().contains("practices.tea"), fault.getMessage());
    }

    @Test
    public void a_job_beats_its_shop_and_the_shop_beats_what_is_usual() {
        Practices shop = Practices.read("practices", Map.of("fans", "NEVER", "pour-order", "B_FIRST"));
        Practices both = shop.with(of("fans", "SPEED"));
        assertEquals(both.names(), Map.of("fans", "SPEED", "pour-order", "B_FIRST"));
    }

    /** Clean and thirsty, under a thin film, where no dust is allowed. */
    private static List<Step> etched() {
        return PrepPlan.choose(
                        new Condition(
                                Substrate.BARE_CONCRETE, Set.of(), Optional.of(false), Optional.empty(), true, false),
                        PrepNeed.forFilm(60),
                        new SiteLimits(false, true))
                .steps();
    }

    private static List<String> ids(List<Step> steps) {
        return steps.stream().map(Step::id).toList();
    }

    @Test
    public void acid_by_its_label_needs_no_squares() {
        Place place = Place.at(Exposure.INDOORS);
        assertTrue(
                ids(etched()).containsAll(List.of("patch-test", "etch")),
                ids(etched()).toString());
        List<Step> usual = etched();
        assertEquals(Practices.USUAL.prepared(usual, place), usual);
        List<Step> label = of("etch-strength", "LABEL").prepared(etched(), place);
        assertEquals(label.size(), etched().size() - 1);
        assertFalse(ids(label).contains("patch-test"));
        Step etch =
                label.stream().filter(s -> s.id().equals("etch")).findFirst().orElseThrow();
        assertFalse(Dose.of(etch).orElseThrow().tried());
    }

    @Test
    public void a_patch_is_primed_where_the_slab_is_old_or_thirsty() {
        Stories hollow = new Stories().surveyed().area(1, Defect.HOLLOW, "Pillar", 1, 1, 2, 1, 2, 2, 1, 2);
        Stories young = new Stories()
                .surveyed()
                .reading(1, "concrete-age", "", "age=60 d")
                .area(1, Defect.HOLLOW, "Pillar", 1, 1, 2, 1, 2, 2, 1, 2);
        assertTrue(steps(hollow).contains("prime-patch"), "a slab of twelve years is old");
        assertFalse(steps(young).contains("prime-patch"));
        assertTrue(
                steps(young.reading(1.5, "water-drop", "Pillar", "drop=drinks")).contains("prime-patch"), "thirsty");
        assertFalse(steps(hollow.following("priming-patch=NEVER")).contains("prime-patch"));
        List<String> order = steps(hollow.following("priming-patch=ALWAYS"));
        assertEquals(order.indexOf("prime-patch") + 1, order.indexOf("patch.1"), order.toString());
    }

    @Test
    public void walls_are_taped_cut_in_or_left_without_their_trim() {
        assertTrue(steps(new Stories().surveyed()).contains("mask"));
        assertFalse(steps(new Stories().surveyed().following("masking=CUT_IN")).contains("mask"));
        List<String> off = steps(new Stories().surveyed().following("masking=TRIM_OFF"));
        assertTrue(off.contains("trim-off") && !off.contains("mask"), off.toString());
    }

    @Test
    public void new_concrete_waits_as_long_as_the_school_says() {
        ZoneFacts zone = new Stories().surveyed().facts();
        assertEquals(effects(zone, of("new-concrete", "BY_SHEET")), List.of());
        // an epoxy stops moisture: neither school lets it go before its own 28 days
        assertEquals(effects(zone, of("new-concrete", "NEXT_DAY_BUT_ONE")), List.of());
    }

    @Test
    public void parts_are_poured_in_the_order_of_the_school() {
        List<PracticeEffect> told = effects(new Stories().surveyed().facts(), of("pour-order", "A_FIRST"));
        assertFalse(told.isEmpty());
        assertTrue(told.stream().allMatch(e -> e.where().endsWith(": pour")), told.toString());
        assertEquals(told.get(0).was(), "B, then A");
        assertEquals(told.get(0).becomes(), "A, then B");
    }

    @Test
    public void a_fan_never_runs_where_nobody_lets_it() {
        List<PracticeEffect> told = effects(new Stories().surveyed().facts(), of("fans", "NEVER"));
        assertEquals(told.size(), 3, "the three coats");
        assertTrue(told.stream().allMatch(e -> e.becomes().equals(e.was() + " No fan.")), told.toString());
        List<Step> dried = of("fans", "NEVER").prepared(etched(), Place.at(Exposure.INDOORS));
        assertTrue(dried.stream()
                .anyMatch(s -> s.id().startsWith("dry") && s.does().endsWith(" No fan.")));
    }

    private static FloorSystem system(FloorSystem.Layer... layers) {
        return new FloorSystem(
                "s",
                "System",
                "",
                Set.of(Substrate.BARE_CONCRETE),
                Set.of(),
                Set.of(Use.GARAGE),
                List.of(layers),
                Rung.values()[0],
                new Face(
                        Face.Tone.values()[0],
                        Face.Texture.values()[0],
                        Face.Grip.values()[0],
                        Face.Later.values()[0],
                        1),
                Set.<Blemish>of(),
                Set.<Blemish>of(),
                "",
                "",
                PrepAsks.NOTHING,
                "");
    }

    private static FloorSystem.Layer layer(String id, LayerRole role, String sheet, String water, String when) {
        return new FloorSystem.Layer(id, id, role, sheet, water, "", when, false);
    }

    private static final FloorSystem SEALED = system(
            layer("stain", LayerRole.STAIN, "stain", "", ""),
            layer("sealer-1", LayerRole.SEALER, "solvent", "water", ""),
            layer("sealer-2", LayerRole.SEALER, "solvent", "water", ""),
            layer("sealer-3", LayerRole.SEALER, "solvent", "water", "where it is blotchy"),
            layer("wax", LayerRole.FINISH, "wax", "", "indoors"));

    private static String proposed(FloorSystem system, Practices schools, Place place) {
        return schools.proposed(system, place).stream()
                .map(l -> l.id() + "=" + l.sheet())
                .collect(Collectors.joining(" "));
    }

    @Test
    public void sealers_come_in_two_coats_or_three_of_solvent_or_of_water() {
        Place outside = Place.at(Exposure.SUN);
        Place home = new Place(Exposure.INDOORS, false, false, true, false);
        assertEquals(proposed(SEALED, Practices.USUAL, outside), "stain=stain sealer-1=solvent sealer-2=solvent");
        assertEquals(proposed(SEALED, Practices.USUAL, home), "stain=stain sealer-1=water sealer-2=water");
        assertEquals(
                proposed(SEALED, of("sealer-carrier", "SOLVENT"), home),
                "stain=stain sealer-1=solvent sealer-2=solvent");
        assertEquals(
                proposed(SEALED, of("sealer-coats", "THREE").with(of("sealer-carrier", "WATER")), outside),
                "stain=stain sealer-1=water sealer-2=water sealer-3=water");
    }

    /** Whoever ticks that people are in the building need not say once more that it may not smell. */
    @Test
    public void schools_follow_the_place() {
        var place = new SiteLimits(true, true, Set.of(SiteLimit.OCCUPIED, SiteLimit.QUIET));
        Place told = new Stories().at(place).facts().surroundings();
        assertTrue(told.livedIn());
        assertTrue(told.quiet());
        assertEquals(proposed(SEALED, Practices.USUAL, told), "stain=stain sealer-1=water sealer-2=water");
        assertTrue(!new Stories().facts().surroundings().livedIn());
    }

    @Test
    public void a_primer_goes_on_where_a_drop_is_gone_at_once() {
        FloorSystem kit = system(
                layer("primer", LayerRole.PRIMER, "primer", "", "where it is thirsty"),
                layer("coat", LayerRole.BODY, "coat", "", ""));
        FloorSystem cement = system(
                layer("primer", LayerRole.PRIMER, "primer", "", "where it is thirsty"),
                layer("coat", LayerRole.OVERLAY, "coat", "", ""));
        Place tight = Place.at(Exposure.INDOORS);
        Place thirsty = new Place(Exposure.INDOORS, true, false, false, false);
        Place old = new Place(Exposure.INDOORS, false, true, false, false);
        assertEquals(proposed(kit, Practices.USUAL, tight), "coat=coat");
        assertEquals(proposed(kit, Practices.USUAL, thirsty), "primer=primer coat=coat");
        assertEquals(proposed(kit, Practices.USUAL, old), "coat=coat");
        assertEquals(proposed(kit, of("primer", "ALWAYS"), tight), "primer=primer coat=coat");
        assertEquals(proposed(kit, of("primer", "CARD"), thirsty), "coat=coat");
        assertEquals(proposed(cement, Practices.USUAL, old), "primer=primer coat=coat");
        assertEquals(
                proposed(cement, of("primer", "ALWAYS"), tight),
                "coat=coat",
                "a cement coat has a question of its own");
        assertEquals(proposed(cement, of("priming-patch", "ALWAYS"), tight), "primer=primer coat=coat");
    }

    /** Nothing is told twice, and following what is followed already changes nothing. */
    @Test
    public void what_is_followed_already_changes_nothing() {
        for (Practice p : Practices.ALL) {
            Practices usual = of(p.id(), p.usual().name());
            assertEquals(effects(new Stories().surveyed().facts(), usual), List.of(), p.id());
            for (School s : p.schools()) {
                ZoneFacts there = new Stories().surveyed().facts().following(of(p.id(), s.name()));
                List<PracticeEffect> back =
                        PracticeEffect.between(there, there.following(usual), Optional.empty(), UnitSystem.METRIC);
                List<PracticeEffect> forth = effects(new Stories().surveyed().facts(), of(p.id(), s.name()));
                assertEquals(back.size(), forth.size(), p.id() + " " + s.name());
                assertEquals(new HashSet<>(forth).size(), forth.size());
            }
        }
    }

    /** What is on stays as it was laid, and so does the preparation below it. */
    @Test
    public void nothing_is_told_of_what_was_done() {
        Stories laid = new Stories().surveyed().coat(2, "primer");
        List<PracticeEffect> fans = effects(laid.facts(), of("fans", "NEVER"));
        assertEquals(fans.size(), 2, "body and clear coat: the primer is on");
        assertEquals(effects(laid.facts(), of("masking", "CUT_IN")), List.of());
    }

    private static double waits(ProductSheet sheet, String school) {
        return of("new-concrete", school).taken(sheet).limits().orElseThrow().minAgeDays();
    }

    private static ProductSheet breathing(LayerRole role, Chemistry chemistry, double days) {
        ProductSheet like = Stories.liquid("Any", role, 8, Map.of());
        var traits = new Traits(
                chemistry,
                Set.of(),
                Set.of(),
                Set.of(),
                Traits.Opacity.UNSAID,
                Traits.Gloss.UNSAID,
                Traits.Odour.UNSAID,
                0);
        return new ProductSheet(
                like.slug(),
                like.name(),
                role,
                like.material(),
                Optional.of(Limits.NONE.aged(days)),
                like.clocks(),
                like.kits(),
                like.resealYears(),
                traits,
                like.handling(),
                like.advice());
    }

    /** TRADE 16: a breathable acrylic the next day but one; what else lets vapour through waits for reasons of its own. */
    @Test
    public void only_a_breathing_acrylic_goes_on_the_next_day_but_one() {
        assertEquals(waits(breathing(LayerRole.SEALER, Chemistry.SOLVENT_ACRYLIC, 28), "NEXT_DAY_BUT_ONE"), 2.0);
        assertEquals(waits(breathing(LayerRole.STAIN, Chemistry.ACID_STAIN, 28), "NEXT_DAY_BUT_ONE"), 28.0);
        assertEquals(waits(breathing(LayerRole.OVERLAY, Chemistry.CEMENT, 28), "NEXT_DAY_BUT_ONE"), 28.0);
        assertEquals(waits(breathing(LayerRole.PRIMER, Chemistry.WATER_ACRYLIC, 28), "NEXT_DAY_BUT_ONE"), 28.0);
        assertEquals(waits(breathing(LayerRole.SEALER, Chemistry.SOLVENT_ACRYLIC, 1), "FOUR_WEEKS"), 28.0);
        assertEquals(waits(breathing(LayerRole.SEALER, Chemistry.SOLVENT_ACRYLIC, 1), "BY_SHEET"), 1.0);
    }

    /** Concrete that was 60 days old when it was read is old in a cycle that begins two years later. */
    @Test
    public void concrete_ages_until_the_next_cycle_begins() {
        Stories young = new Stories().surveyed().reading(2, "concrete-age", "", "age=60 d");
        assertFalse(young.facts().surroundings().old());
        young.coat(3, "primer");
        double years = 2 * 365.25 * 24;
        assertTrue(young.begin(years, CycleKind.RECOAT, "", Stories.epoxyWithFlake())
                .facts()
                .surroundings()
                .old());
    }
}

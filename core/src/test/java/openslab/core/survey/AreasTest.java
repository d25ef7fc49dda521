package openslab.core.survey;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import openslab.core.Formula;
import openslab.core.Stories;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Substrate;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.judge.Areas;
import openslab.core.survey.method.TestMethods;
import openslab.core.survey.place.Placement;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is drawn on a floor: what it means, how much of the floor it is, and what proves it gone. */
public class AreasTest {
    @DataProvider
    Object[][] defects() {
        return List.of(Defect.values()).stream().map(d -> new Object[] {d}).toArray(Object[][]::new);
    }

    /** The story's floor is 8 by 10 m. */
    private static Stories withArea(Defect defect) {
        return new Stories().surveyed().area(1, defect, "Press", 1, 1, 3, 1, 3, 2, 1, 2);
    }

    private static Finding finding(Stories story, double hours, Defect defect) {
        String rule = "area-" + defect.name().toLowerCase(java.util.Locale.ROOT);
        List<Finding> found = story.at(hours).survey().findings().stream()
                .filter(f -> f.rule().equals(rule))
                .toList();
        assertEquals(found.size(), 1, found.toString());
        return found.get(0);
    }

    @Test(dataProvider = "defects")
    public void every_defect_says_what_it_does_how_it_goes_and_what_proves_it(Defect defect) {
        Stories story = withArea(defect);
        Finding finding = finding(story, 2, defect);
        assertEquals(finding.verdict(), defect.verdict());
        assertTrue(finding.because().length() > 20 && finding.remedy().length() > 20, finding.toString());
        assertEquals(finding.place(), "Press");
        Formula.assertRecomputes(finding.working().orElseThrow());
        assertTrue(story.at(2).survey().verdict().compareTo(defect.verdict()) >= 0);
        if (!defect.proof(Substrate.BARE_CONCRETE).isEmpty()) {
            assertEquals(
                    TestMethods.of(defect.proof(Substrate.BARE_CONCRETE)).id(), defect.proof(Substrate.BARE_CONCRETE));
        }
    }

    /** Each proof as its method is keyed in: what shows the defect gone, and what does not. */
    @DataProvider
    Object[][] proofs() {
        return new Object[][] {
            {Defect.OIL, "drop=soaks", "drop=beads"},
            {Defect.SILICONE, "drop=soaks", "drop=beads"},
            {Defect.SEALER, "drop=soaks", "drop=beads"},
            {Defect.POLISH, "sign=clean", "sign=lifts"},
            {Defect.CURING_COMPOUND, "drop=soaks", "drop=beads"},
            {Defect.RELEASE_POWDER, "sign=clean", "sign=covered"},
            {Defect.PAINT, "drop=soaks", "drop=beads"},
            {Defect.ADHESIVE, "drop=soaks", "drop=beads"},
            {Defect.EFFLORESCENCE, "ph=8", "ph=11"},
            {Defect.ANTIQUE, "drop=soaks", "drop=beads"},
            {Defect.FAILED_OVERLAY, "hollow=0 m²", "hollow=3 m²"},
            {Defect.FACTORY_FILM, "drop=soaks", "drop=beads"},
            {Defect.DUSTING, "sign=clean", "sign=grey"},
            {Defect.HOLLOW, "hollow=0 m²", "hollow=0.2 m²"},
            {Defect.DAMP, "hours=20 h under=dry", "hours=20 h under=damp"}
        };
    }

    @Test(dataProvider = "proofs")
    public void only_its_own_test_inside_it_and_later_proves_it_gone(Defect defect, String gone, String still) {
        boolean whole = TestMethods.of(defect.proof(Substrate.BARE_CONCRETE)).wholeFloor();
        String inside = whole ? "whole floor" : "In it";
        Stories story = withArea(defect).place(1, "In it", 2, 1.5).place(1, "Beside it", 6, 6);
        story.reading(0.5, defect.proof(Substrate.BARE_CONCRETE), inside, gone);
        assertEquals(finding(story, 9, defect).verdict(), defect.verdict(), "read before it was drawn");
        if (!whole) {
            story.reading(2, defect.proof(Substrate.BARE_CONCRETE), "Beside it", gone)
                    .reading(2, defect.proof(Substrate.BARE_CONCRETE), "Nowhere", gone);
            assertEquals(finding(story, 9, defect).verdict(), defect.verdict(), "read beside it");
        }
        story.reading(3, defect.proof(Substrate.BARE_CONCRETE), inside, still);
        assertEquals(finding(story, 9, defect).verdict(), defect.verdict(), "still there");
        story.reading(4, defect.proof(Substrate.BARE_CONCRETE), inside, gone);
        assertEquals(finding(story, 9, defect).verdict(), Verdict.GO);
        assertTrue(story.at(9).shares().isEmpty());
        story.reading(5, defect.proof(Substrate.BARE_CONCRETE), inside, still);
        assertEquals(finding(story, 9, defect).verdict(), defect.verdict(), "back again");
    }

    /** Water soaks into no glaze and no vinyl: there another test proves it. */
    @DataProvider
    Object[][] elsewhere() {
        return new Object[][] {
            {Substrate.QUARRY, Defect.OIL, "solvent-rub", "sign=nothing"},
            {Substrate.METAL, Defect.SEALER, "solvent-rub", "sign=nothing"},
            {Substrate.VINYL_SHEET, Defect.SEALER, "foot-rub", "sign=clean"},
        };
    }

    @Test(dataProvider = "elsewhere")
    public void a_floor_that_drinks_nothing_is_proved_clean_otherwise(
            Substrate substrate, Defect defect, String method, String gone) {
        assertEquals(defect.proof(substrate), method);
        Stories story = withArea(defect).on(substrate).place(1, "In it", 2, 1.5);
        story.reading(2, "water-drop", "In it", "drop=soaks");
        assertEquals(finding(story, 9, defect).verdict(), defect.verdict(), "a drop proves nothing here");
        story.reading(3, method, "In it", gone);
        assertEquals(finding(story, 9, defect).verdict(), Verdict.GO);
    }

    /** 2 m² and 2 m² that overlap by 1 m², and one of 4 m² half out of the floor: 3 and 2 of 80 m². */
    @Test
    public void shares_count_overlaps_once_and_only_what_is_in_the_zone() {
        Stories story = new Stories()
                .area(0, Defect.OIL, "one", 1, 1, 3, 1, 3, 2, 1, 2)
                .area(0, Defect.OIL, "two", 2, 1, 4, 1, 4, 2, 2, 2)
                .area(0, Defect.HOLLOW, "three", -1, 5, 1, 5, 1, 7, -1, 7);
        List<Areas.Share> shares = story.at(1).shares();
        assertEquals(shares.stream().map(Areas.Share::defect).toList(), List.of(Defect.OIL, Defect.HOLLOW));
        double zone = story.facts()
                .shape()
                .area(openslab.core.quantity.UnitSystem.METRIC)
                .base();
        assertEquals(shares.get(0).share().value(), 100 * 3 / zone, 1e-9);
        assertEquals(shares.get(1).share().value(), 100 * 2 / zone, 1e-9);
        shares.forEach(s -> Formula.assertRecomputes(s.share()));
    }

    @Test
    public void what_is_drawn_asks_for_the_same_as_what_was_seen() {
        Stories story = withArea(Defect.ADHESIVE);
        assertEquals(story.at(2).survey().verdict(), Verdict.STOP, "nobody knows what old adhesive holds");
        assertTrue(story.at(2).prep().method().isEmpty());
        assertEquals(withArea(Defect.OIL).at(2).prep().method(), "clean-and-test");
        LogStrike.strikeLast(story);
        assertEquals(story.at(9).survey().verdict(), Verdict.GO);
    }

    /** Strikes what was drawn. */
    private static final class LogStrike {
        static void strikeLast(Stories story) {
            story.strike(3, story.last());
        }
    }

    @Test
    public void a_damp_patch_gets_a_place_of_its_own() {
        var floor = List.of(new Corner(0, 0), new Corner(8, 0), new Corner(8, 10), new Corner(0, 10));
        var damp = List.of(new Corner(7, 9));
        var places = Placement.propose(List.of(floor), List.of(), damp, List.of(), 3, true);
        assertEquals(places.size(), 3);
        assertEquals(
                places.stream()
                        .filter(Placement.Proposal::suspected)
                        .map(Placement.Proposal::at)
                        .toList(),
                damp);
        var marked = List.of(new Placement.Marked("A", new Corner(7.2, 9.3)));
        assertFalse(Placement.propose(List.of(floor), List.of(), damp, marked, 3, true).stream()
                .anyMatch(Placement.Proposal::suspected));
    }

    @Test
    public void a_ring_that_crosses_itself_is_refused() {
        var bow = List.of(new Corner(0, 0), new Corner(2, 2), new Corner(2, 0), new Corner(0, 2));
        assertThrows(InvalidInput.class, () -> DefectArea.require("ring", bow));
        assertThrows(InvalidInput.class, () -> DefectArea.require("ring", bow.subList(0, 2)));
        DefectArea.require("ring", List.of(bow.get(0), bow.get(2), bow.get(1)));
    }
}

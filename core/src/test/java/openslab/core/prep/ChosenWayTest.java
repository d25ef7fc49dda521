package openslab.core.prep;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.Stories;
import openslab.core.course.work.Paces;
import openslab.core.floor.Ground;
import openslab.core.floor.Substrate;
import openslab.core.job.CycleKind;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogGuard;
import openslab.core.job.Mark;
import openslab.core.job.PrepReport;
import openslab.core.job.PrepSheet;
import openslab.core.prep.Opening.Manner;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Films;
import openslab.core.survey.Site;
import openslab.core.survey.Verdict;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.judge.Areas;
import org.testng.annotations.Test;

/** A way of preparing is chosen among those that fit, goes on once it is begun, and knows what the shop laid itself. */
public class ChosenWayTest {
    private static final String CLEAN = "sealer=no oil=no coating=no dusting=no hollow=no";

    private static Stories ground() {
        return new Stories()
                .surveyed()
                .by("grind")
                .done(2, "grind", "")
                .gate(2, "profile", "csp=3")
                .gate(3, "rub", "rub=clean")
                .gate(3, "soaks", "soaks=soaks")
                .gate(3, "no-dust", "no-dust=clean");
    }

    private static PrepReport prep(Stories story, double hours) {
        return story.at(hours).prep();
    }

    @Test
    public void a_walk_after_preparation_throws_nothing_away() {
        Stories story = ground();
        assertEquals(prep(story, 4).mark(), Mark.DONE);
        story.reading(5, "walk-over", "whole floor", CLEAN).reading(5, "profile", "", "csp=3");
        assertEquals(prep(story, 6).mark(), Mark.DONE);
        story.reading(7, "walk-over", "whole floor", CLEAN.replace("dusting=no", "dusting=yes"));
        assertEquals(prep(story, 8).method(), "grind");
    }

    /** What was found since is told, and holds a preparation that is not through; one that is through stays so: the survey tells it. */
    @Test
    public void oil_that_is_found_halfway_is_told() {
        Stories story =
                new Stories().surveyed().by("grind").done(2, "grind", "").gate(2, "profile", "csp=3");
        assertTrue(prep(story, 3).against().isEmpty());
        story.reading(4, "walk-over", "whole floor", CLEAN.replace("oil=no", "oil=yes"));
        assertEquals(prep(story, 5).method(), "grind");
        assertEquals(prep(story, 5).mark(), Mark.HOLD);
        assertTrue(prep(story, 5).against().get(0).contains("smears it in"));
    }

    @Test
    public void what_the_place_forbids_later_does_not_undo_what_is_done() {
        Stories story = ground().at(new SiteLimits(false, true, Set.of(SiteLimit.QUIET)));
        assertEquals(prep(story, 4).method(), "grind");
        assertEquals(prep(story, 4).mark(), Mark.DONE);
    }

    @Test
    public void a_way_is_chosen_among_those_that_fit_and_with_a_reason() {
        Stories story = new Stories().surveyed();
        assertEquals(prep(story, 1).method(), "grind");
        assertTrue(prep(story, 1).chosen().isEmpty());
        var unfit = expectThrows(
                InvalidInput.class,
                () -> LogGuard.take(
                        story.facts(), new Stories().method(1, "etch", "").last(), UnitSystem.METRIC));
        assertEquals(
                unfit.faults().stream().map(f -> f.field()).toList(), List.of("subject", "note"), unfit.getMessage());
        assertTrue(unfit.faults().get(0).accepted().contains("shot-blast"));
        story.method(1, "shot-blast", "the blaster is here anyway");
        assertEquals(prep(story, 2).method(), "shot-blast");
        assertEquals(prep(story, 2).chosen().orElseThrow().why(), "the blaster is here anyway");
        // what does not fit any more is not done
        story.at(new SiteLimits(true, true, Set.of(SiteLimit.NO_THREE_PHASE)));
        assertEquals(prep(story, 2).method(), "grind");
    }

    @Test
    public void a_way_that_is_changed_after_it_was_begun_is_told_for_ever() {
        Stories story = new Stories().surveyed();
        story.by("grind").done(2, "grind", "");
        story.method(3, "shot-blast", "the grinder broke");
        var report = story.at(4);
        assertEquals(report.prep().method(), "shot-blast");
        assertTrue(report.conduct().stream()
                .flatMap(c -> c.findings().stream())
                .anyMatch(f -> f.rule().equals("method-changed") && f.verdict() == Verdict.HOLD));
    }

    private static PrepNeed need(Opening... openings) {
        return new PrepNeed(1, 3, Source.ours("test"))
                .asking(new PrepAsks(List.of(openings), EnumSet.noneOf(Extra.class), false));
    }

    private static Condition concrete(Defect... found) {
        return new Condition(Substrate.BARE_CONCRETE, Set.of(found), Optional.of(false), Optional.empty(), true, false);
    }

    @Test
    public void a_system_is_prepared_in_its_own_order_and_by_nothing_else() {
        var need = need(
                new Opening("profiler", Set.of(), "It says so.", Optional.empty(), 3000, Set.of()),
                new Opening("grind", Set.of(), "Films come off.", Optional.empty(), 0, Set.of(Manner.FILM_ONLY)));
        var site = new SiteLimits(true, true);
        PrepPlan bare = PrepPlan.choose(concrete(), need, site);
        assertEquals(bare.fits().stream().map(f -> f.method().id()).toList(), List.of("profiler"));
        assertTrue(bare.refused().stream()
                .filter(r -> r.method().equals("etch"))
                .allMatch(r -> r.reasons().get(0).contains("profiler and wash, or grind")));
        assertTrue(bare.steps().stream().anyMatch(s -> s.title().equals("Pressure wash at 3000 psi (207 bar)")));
        PrepPlan sealed = PrepPlan.choose(concrete(Defect.SEALER), need, site);
        assertEquals(sealed.method().orElseThrow().id(), "grind");
        assertTrue(sealed.steps().stream().anyMatch(s -> s.does().startsWith("Until the film is off and no further")));
        assertFalse(sealed.steps().stream().anyMatch(s -> s.does().contains("aggregate")));
    }

    /** A crew that says truthfully that a coat lies there is not stopped for lead by its own epoxy. */
    @Test
    public void what_the_shop_laid_is_known() {
        for (CycleKind kind : List.of(CycleKind.RESEAL, CycleKind.REPAIR, CycleKind.RECOAT)) {
            Stories story = new Stories().surveyed().ground();
            for (String layer : List.of("primer", "body", "flake", "clear")) {
                story.coat(40, layer);
            }
            List<LayerChoice> again =
                    kind == CycleKind.RESEAL ? Stories.epoxyWithFlake().subList(3, 4) : Stories.epoxyWithFlake();
            story.begin(9000, kind, kind == CycleKind.REPAIR ? "2 m²" : "", again);
            story.surveyedAt(9001);
            story.reading(9002, "walk-over", "whole floor", CLEAN.replace("coating=no", "coating=yes"));
            var report = story.at(9003);
            assertFalse(
                    report.prep().method().isEmpty(),
                    kind + ": " + report.prep().refused());
            assertTrue(
                    report.survey().findings().stream().noneMatch(f -> f.rule().startsWith("old-floor")),
                    kind + ": " + report.survey().summary());
            assertTrue(
                    report.survey().tallies().stream()
                            .noneMatch(t -> t.required() && t.method().equals("solvent-rub")),
                    kind.toString());
        }
    }

    /** A floor is stripped, walked, and stripped once more where the walk finds sealer again: nobody stands before a closed door. */
    @Test
    public void a_floor_that_is_looked_at_again_leads_on() {
        Stories story = new Stories()
                .surveyed()
                .at(new SiteLimits(false, true))
                .reading(1, "walk-over", "whole floor", CLEAN.replace("sealer=no", "sealer=yes"))
                .by("strip");
        assertEquals(prep(story, 2).method(), "strip");
        story.gate(2, "patch", "chemical=stripper water=16 dwell=2 result=works")
                .gate(3, "residue", "residue=none")
                .gate(28, "dry", "dried=24 dark=none")
                .gate(28, "soaks", "soaks=soaks");
        assertEquals(story.at(29).next().label(), "walk the floor again, then its way is chosen");
        story.reading(30, "walk-over", "whole floor", CLEAN.replace("sealer=no", "sealer=yes"));
        assertEquals(prep(story, 31).method(), "strip");
        assertEquals(prep(story, 31).mark(), Mark.NOT_STARTED, "it is done once more");
        story.gate(32, "residue", "residue=none")
                .gate(57, "dry", "dried=24 dark=none")
                .gate(57, "soaks", "soaks=soaks");
        assertEquals(story.at(58).next().label(), "walk the floor again, then its way is chosen");
        story.reading(59, "walk-over", "whole floor", CLEAN);
        assertFalse(prep(story, 60).method().equals("strip"));
    }

    /** Flake is next as long as the coat is wet; a year later nobody is asked to throw it into a hard floor. */
    @Test
    public void what_is_thrown_into_a_coat_is_next_while_that_is_wet() {
        Stories story = new Stories().surveyed().ground().coat(40, "primer").coat(60, "body");
        assertEquals(story.at(60.2).next().label(), "broadcast into the wet coat");
        assertFalse(
                story.at(9000).next().label().contains("broadcast"),
                story.at(9000).next().label());
        story.coat(60.3, "flake");
        assertFalse(story.at(60.4).next().label().contains("broadcast"));
    }

    /** A patch ends at a line: cut before anything is opened, taped along it, and no film is bought for walls that are far. */
    @Test
    public void a_patch_is_cut_and_taped_along_its_own_edge() {
        Stories story = new Stories().surveyed().ground();
        for (String layer : List.of("primer", "body", "flake", "clear")) {
            story.coat(40, layer);
        }
        story.begin(9000, CycleKind.REPAIR, "4 m²", Stories.epoxyWithFlake());
        story.surveyedAt(9001);
        List<String> steps = prep(story, 9010).steps().stream().map(s -> s.id()).toList();
        assertTrue(
                steps.indexOf("cut-edge") > 0 && steps.indexOf("cut-edge") < steps.indexOf("grind"), steps.toString());
        assertTrue(steps.indexOf("mask") > steps.indexOf("grind"), steps.toString());
        var sheet = PrepSheet.of(story.facts(), Paces.DEFAULT, UnitSystem.METRIC, Stories.moment(9010));
        var cut = sheet.steps().stream()
                .filter(s -> s.id().equals("cut-edge"))
                .findFirst()
                .orElseThrow();
        // a square of 4 m² is 8 m round
        assertEquals(cut.effort().amount().orElseThrow().base(), 8, 1e-9);
    }

    /** Whoever changes his mind twice has lost nothing: what was ground is still ground. */
    @Test
    public void what_was_done_counts_again_when_its_way_is_chosen_again() {
        Stories story = new Stories().surveyed().by("grind").ground();
        story.method(20, "shot-blast", "the grinder is broken");
        assertEquals(prep(story, 21).method(), "shot-blast");
        assertEquals(prep(story, 21).mark(), Mark.NOT_STARTED);
        story.method(22, "grind", "it is mended");
        assertEquals(prep(story, 23).method(), "grind");
        assertEquals(prep(story, 23).mark(), Mark.DONE);
        story.at(new SiteLimits(false, true));
        assertEquals(prep(story, 24).method(), "grind", "what was begun goes on");
    }

    /** An acrylic is made to lie on an old sealer, and on no wax: the walk-over has one word for both, whoever draws it has two. */
    @Test
    public void what_stays_is_the_sealer_and_not_the_wax_on_it() {
        var films = new Films(Set.of(), Set.of(Films.SEALER, Films.COATING), true);
        var site = new Site(
                Stories.LIMITS, Substrate.BARE_CONCRETE, Ground.BARE, films, 80, UnitSystem.METRIC, Stories.START);
        for (Defect defect : Defect.values()) {
            var area = new DefectArea("k", defect, "Door", List.of(), 2, Stories.START);
            var judged = new Areas.Judged(area, "", Optional.empty());
            boolean stays = Areas.findings(List.of(judged), site).get(0).verdict() == Verdict.GO;
            assertEquals(stays, defect == Defect.SEALER || defect == Defect.PAINT, defect.toString());
        }
    }
}

package openslab.core.survey;

import static org.testng.Assert.assertEquals;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import openslab.core.Stories;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.CandidateReport;
import openslab.core.prep.PrepAsks;
import openslab.core.product.Advice;
import openslab.core.product.Handling;
import openslab.core.product.LayerRole;
import openslab.core.product.OnePart;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.product.Traits;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.Candidate;
import openslab.core.system.Face;
import openslab.core.system.FloorSystem;
import openslab.core.system.Rung;
import openslab.core.system.Ways;
import org.testng.annotations.Test;

/** The same floor, judged for each build-up that might go on it. */
public class CandidateTest {
    private static final double NEVER = Double.POSITIVE_INFINITY;

    private static ProductSheet sheet(String name, double mver, double rh, boolean shields) {
        var limits = new Limits(mver, rh, 6, 11, 5, 35, 85, 3, 1, 1, 3, shields, Limits.Asks.NOTHING, name);
        return new ProductSheet(
                name,
                name,
                LayerRole.PRIMER,
                new OnePart(1, 0.25, Spread.of(6)),
                Optional.of(limits),
                Map.of(),
                List.of(),
                Map.of(),
                Traits.SILENT,
                Handling.SILENT,
                Advice.NONE);
    }

    private static Candidate candidate(String id, List<ProductSheet> sheets) {
        var layer = new FloorSystem.Layer("coat", "Coat", LayerRole.PRIMER, id, "", "", "", false);
        var system = new FloorSystem(
                id,
                id,
                "",
                Set.of(Substrate.BARE_CONCRETE),
                Set.of(),
                EnumSet.allOf(Use.class),
                List.of(layer),
                Rung.COAT,
                new Face(Face.Tone.UNIFORM, Face.Texture.SMOOTH, Face.Grip.NONE, Face.Later.ABRADE, 1),
                Set.of(),
                Set.of(),
                "",
                "",
                PrepAsks.NOTHING,
                "");
        return new Candidate(system, sheets, sheets.stream().map(Ways::usual).toList());
    }

    private static final Candidate ACRYLIC = candidate("acrylic", List.of(sheet("acrylic", NEVER, NEVER, false)));
    private static final Candidate EPOXY = candidate("epoxy", List.of(sheet("epoxy", 3, 75, false)));
    private static final Candidate SHIELDED =
            candidate("shielded", List.of(sheet("barrier", 20, 99, true), sheet("epoxy", 3, 75, false)));

    private static List<CandidateReport> judged(Stories story, double hours) {
        return CandidateReport.of(
                List.of(ACRYLIC, EPOXY, SHIELDED), story.facts(), UnitSystem.METRIC, Stories.moment(hours));
    }

    private static List<Verdict> words(Stories story, double hours) {
        return judged(story, hours).stream().map(CandidateReport::verdict).toList();
    }

    private static Stories walked() {
        var story = new Stories().reading(0, "walk-over", "", "sealer=no oil=no coating=no dusting=no hollow=no");
        for (String place : List.of("A", "B", "C")) {
            story.reading(0, "water-drop", place, "drop=soaks").reading(0, "ph", place, "ph=8.5");
        }
        story.reading(0, "profile", "", "csp=1").reading(0, "concrete-age", "", "age=9 years");
        return story.reading(1, "climate", "", "air=21 °C rh=50 % slab=20 °C");
    }

    /** 861 ft² want two sheets; neither dish nor probe was set. */
    @Test
    public void a_film_that_breathes_goes_where_an_epoxy_waits_for_its_tests() {
        var story = walked();
        assertEquals(words(story, 2), List.of(Verdict.HOLD, Verdict.HOLD, Verdict.HOLD));
        assertEquals(judged(story, 2).get(0).missing(), List.of("plastic sheet (2)"));
        story.reading(1, "plastic-sheet", "A", "hours=20 h under=dry");
        story.reading(1, "plastic-sheet", "B", "hours=20 h under=dry");
        assertEquals(words(story, 2), List.of(Verdict.GO, Verdict.HOLD, Verdict.HOLD));
        CandidateReport epoxy = judged(story, 2).get(1);
        assertEquals(epoxy.missing(), List.of("calcium chloride (3)", "in-slab humidity (3)"));
        assertEquals(epoxy.without(), Verdict.GO);
        assertEquals(epoxy.limits(), "3 lb, 75\u00a0% in the slab");
        assertEquals(judged(story, 2).get(0).limits(), "Lets vapour through");
    }

    @Test
    public void over_a_barrier_only_the_barrier_meets_the_moisture() {
        var story = new Stories().surveyed().reading(1, "plastic-sheet", "A", "hours=20 h under=damp");
        story.reading(1, "plastic-sheet", "B", "hours=20 h under=dry");
        for (String place : List.of("A", "B", "C")) {
            story.reading(2, "in-slab-rh", place, "rh=88 % depth=40 mm thickness=100 mm drying=one wait=30 h");
        }
        List<CandidateReport> judged = judged(story, 3);
        assertEquals(judged.get(0).verdict(), Verdict.WATCH, judged.get(0).summary());
        assertEquals(judged.get(1).verdict(), Verdict.STOP);
        assertEquals(judged.get(1).without(), Verdict.STOP);
        assertEquals(judged.get(2).verdict(), Verdict.HOLD, "a damp sheet is looked into under any barrier");
        assertEquals(judged.get(2).limits(), "20 lb, 99\u00a0% in the slab");
    }
}

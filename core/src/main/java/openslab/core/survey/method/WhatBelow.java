package openslab.core.survey.method;

import java.util.List;
import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** What a floor that is not concrete itself lies on: moisture comes up through tile, vinyl and boards from a slab below. */
public final class WhatBelow implements TestMethod {
    public static final String ID = "what-below";

    private static final String SHOWS = "shows";
    private static final String LIFTED = "lifted";
    private static final String JOINTS = "joints";
    private static final String HISTORY = "history";

    private static final Source RULE = Source.ours(
            "a closed film keeps in what a slab on the ground gives off, whatever lies between; only a probe in that slab can tell");

    private static final About ABOUT = new About(
            ID,
            "What it lies on",
            TestGroup.WALK,
            "Ask, look from below, or lift an edge where that does no harm: a slab on the ground, or a floor over a dry room.",
            RULE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() != Substrate.Family.CEMENT;
    }

    /** What was looked at; empty where nobody looked. */
    private static String shown(Reading r) {
        return r.values().containsKey(SHOWS) ? r.choice(SHOWS) : "";
    }

    /**
     * Whether moisture of a slab counts: in concrete always, below anything else where a slab on the ground lies there and nothing
     * else tells of it: nobody drills through sound tile to learn what a joint says.
     */
    static boolean slabCounts(Readings read, Substrate substrate) {
        return substrate.family() == Substrate.Family.CEMENT
                || read.newest(ID)
                        .map(r -> r.choice("lies").equals("ground")
                                && !Set.of(LIFTED, JOINTS, HISTORY).contains(shown(r)))
                        .orElse(false);
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.limits().moisture();
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public boolean lasts() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.choice(
                        "lies",
                        "Below it",
                        new Field.Choice("ground", "A slab on the ground"),
                        new Field.Choice("dry", "A slab or boards over a dry room"),
                        new Field.Choice("unknown", "Nobody knows")),
                Field.choice(
                                SHOWS,
                                "What shows whether it is damp",
                                new Field.Choice(LIFTED, "A piece was lifted: dry, its bed hard"),
                                new Field.Choice(JOINTS, "Joints and grout read dry, no salt"),
                                new Field.Choice(HISTORY, "Years under a closed finish without a sign"),
                                new Field.Choice("damp", "Damp, salt in the joints, or a soft bed"))
                        .ifWanted());
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return fields().get(0).choices().stream()
                .filter(c -> c.id().equals(r.choice("lies")))
                .map(Field.Choice::label)
                .findFirst()
                .orElseThrow();
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ID, r).measured(found(r, site)).needed("known, and dry or tested", RULE);
        if (!site.limits().moisture()) {
            return r.choice("lies").equals("unknown")
                    ? List.of(finding.watch(
                            "nobody knows what it lies on",
                            "Whatever lets go below takes everything above it along, and nobody promised for it.",
                            "Leave what lies below out of the promise, in writing, before the price is agreed."))
                    : List.of();
        }
        return List.of(
                switch (r.choice("lies")) {
                    case "dry" -> finding.go("a dry room below", "Nothing wet comes up from there.");
                    case "ground" -> ground(r, finding);
                    default ->
                        finding.hold(
                                "nobody knows what it lies on",
                                "A closed film over a damp slab lifts, or lets the adhesive below go soft.",
                                "Find out: from papers, from below, or at an edge. Where that cannot be, read it as a slab on the ground.");
                });
    }

    /** Holes through what lies on top are the last that is asked for, not the first. */
    private static Finding ground(Reading r, Finding.Draft finding) {
        return switch (shown(r)) {
            case LIFTED ->
                finding.go(
                        "a slab on the ground, dry where a piece was lifted",
                        "What lies on it shows what the slab gave off since it was laid; no holes are asked for.");
            case JOINTS, HISTORY ->
                finding.watch(
                        "a slab on the ground, and no sign of damp",
                        "It is a sign, not a measure: moisture comes up through joints first, and a closed film keeps in what a joint let out.",
                        "Where the sheet in hand names a limit, lift one piece and look, or set one probe there.");
            case "damp" ->
                finding.hold(
                        "damp from below",
                        "A closed film over it lifts, or lets the bed below go soft.",
                        "Lift what is loose, set probes in the slab there, and find where the water comes from.");
            default ->
                finding.go(
                        "a slab on the ground below",
                        "What that slab gives off comes up through joints and seams: look into a joint or lift a piece and say here what it shows; probes through it only where neither tells.");
        };
    }
}

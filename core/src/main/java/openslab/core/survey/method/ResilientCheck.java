package openslab.core.survey.method;

import java.util.ArrayList;
import java.util.List;
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

/** Whether a resilient floor lies fast, and what its face is like. */
public final class ResilientCheck implements TestMethod {
    public static final String ID = "resilient-check";

    private static final Source PRACTICE = Source.commonPractice("");

    private static final About ABOUT = new About(
            ID,
            "Bond, seams and face",
            TestGroup.WALK,
            "Walk it barefoot or in socks, press along seams and edges, look along the light. A drop of water on a worn place darkens it.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.RESILIENT;
    }

    /** Whether somebody saw old layers of finish on it. */
    static boolean finished(Readings read) {
        return read.newest(ID).map(r -> r.choice("face").equals("layers")).orElse(false);
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.choice(
                        "bond",
                        "Bond",
                        new Field.Choice("fast", "Fast everywhere"),
                        new Field.Choice("loose", "Loose, bubbled or curling somewhere")),
                Field.choice(
                        "seams",
                        "Seams",
                        new Field.Choice("tight", "Tight"),
                        new Field.Choice("open", "Open, or dirt in them")),
                Field.choice(
                        "face",
                        "Face",
                        new Field.Choice("factory", "New, the maker's film on it"),
                        new Field.Choice("clean", "Clean, no layers on it"),
                        new Field.Choice("layers", "Old layers of finish"),
                        new Field.Choice("worn", "Worn: water darkens it, or the print shows")),
                Field.yesNo("shade", "Brown shade of rubber-backed mats"));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return "bond " + r.choice("bond") + ", seams " + r.choice("seams") + ", face " + r.choice("face")
                + (r.yes("shade") ? ", mat shade" : "");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var findings = new ArrayList<Finding>();
        if (r.choice("bond").equals("loose")) {
            findings.add(draft(r, "bond", "loose, bubbled or curling", "fast everywhere")
                    .hold(
                            "the floor is loose",
                            "A film on a floor that moves cracks; bubbles mean water or failed adhesive below.",
                            "Find out why, glue or replace it there, and look again."));
        }
        if (r.choice("seams").equals("open")) {
            findings.add(draft(r, "seams", "open", "tight")
                    .watch(
                            "open seams",
                            "Wash water gets under and comes up through the coat.",
                            "Clean with little water, let the seams dry last, and prime: primer seals them."));
        }
        if (r.choice("face").equals("worn")) {
            findings.add(draft(r, "worn", "worn or porous", "a face that is whole")
                    .watch(
                            "worn through in places",
                            "A worn floor drinks unevenly, and the print stays lost.",
                            "Prime it first; show the client where the print is gone."));
        }
        if (r.yes("shade")) {
            findings.add(draft(r, "shade", "mat shade", "none")
                    .watch(
                            "rubber-mat shade",
                            "It has reacted with the floor: no cleaning takes it out, and clear coats show it.",
                            "Show it to the client before anything goes on; only an opaque coat hides it."));
        }
        if (findings.isEmpty()) {
            findings.add(draft(r, "fast", found(r, site), "fast, tight, whole")
                    .go("the floor lies fast", "Nothing moves under a coat, and nothing shows through it."));
        }
        return findings;
    }

    private static Finding.Draft draft(Reading r, String what, String measured, String needed) {
        return Finding.of(ID + "-" + what, r).measured(measured).needed(needed, PRACTICE);
    }
}

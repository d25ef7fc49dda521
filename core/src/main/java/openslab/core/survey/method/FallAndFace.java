package openslab.core.survey.method;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** How a floor lies before something that flows is poured on it: which way it falls, and whether a squeegee or a brush reaches its face. */
public final class FallAndFace implements TestMethod {
    public static final String ID = "fall";

    private static final Source PRACTICE =
            Source.commonPractice("as level as can be got; brush on rough, squeegee on smooth");

    private static final About ABOUT = new About(
            ID,
            "How it lies",
            TestGroup.SOUND,
            "A level of 2 ft, or a ball and a splash of water: see where it runs. Then a hand across the face.",
            PRACTICE);

    /** OURS: classes that a level of 2 ft and a rule tell apart; each is taken at its steepest. */
    private enum Fall {
        LEVEL("level", "Level: a splash stays", 0),
        GENTLE("gentle", "Falls up to 1/4 in a foot (2 %)", 0.02),
        RAMP("ramp", "Falls up to 1 in a foot (8 %)", 1.0 / 12),
        STEEP("steep", "Falls more than that", Double.POSITIVE_INFINITY);

        private final String id;
        private final String label;
        private final double most;

        Fall(String id, String label, double most) {
            this.id = id;
            this.label = label;
            this.most = most;
        }

        private static Fall of(Reading r) {
            return Arrays.stream(values())
                    .filter(f -> f.id.equals(r.choice("fall")))
                    .findFirst()
                    .orElseThrow();
        }
    }

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.limits().asks().flows();
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.choice(
                        "fall",
                        "Where a splash of water runs",
                        Arrays.stream(Fall.values())
                                .map(f -> new Field.Choice(f.id, f.label))
                                .toArray(Field.Choice[]::new)),
                Field.choice(
                        "face",
                        "Its face",
                        new Field.Choice("smooth", "Smooth, as troweled or sheet steel"),
                        new Field.Choice("rough", "Rough, as broomed, pitted or sawn")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return r.choice("fall").equals("level") ? "level, " + r.choice("face") : "falls, " + r.choice("face");
    }

    /** Whether its face is rough; empty where nobody felt it. */
    public static Optional<Boolean> rough(Readings read) {
        return read.newest(ID).map(r -> r.choice("face").equals("rough"));
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        if (!site.limits().asks().flows()) {
            return List.of();
        }
        Bound most = Bound.atMost(100 * site.limits().asks().fallMax(), Unit.PERCENT);
        Fall fall = Fall.of(r);
        var finding = Finding.of(ID, r)
                .measured(fall.label)
                .needed(most.words(), site.limits().source());
        return List.of(
                most.holds(100 * fall.most)
                        ? finding.go("it lies as what flows on it asks", "It stays where it is poured until it sets.")
                        : finding.watch(
                                "it falls more than what flows on it likes",
                                "What is poured runs to the low side before it sets: thin above, thick and slow to cure below.",
                                "Small pours from the low side up, each drawn back uphill until it stands; or level it, or lay what does not flow."));
    }
}

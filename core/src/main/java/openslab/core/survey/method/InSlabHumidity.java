package openslab.core.survey.method;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;
import openslab.core.survey.Mapped;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.SetOut;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** Relative humidity in a drilled, lined and sealed hole. */
public final class InSlabHumidity implements TestMethod {
    /** This method's word, for the drying that its probes follow. */
    public static final String ID = "in-slab-rh";

    static final Source F2170 = Source.published("ASTM F2170-18, from memory");
    private static final Bound WAITED =
            Bound.atLeast(Unit.HOUR.toBase(24), Unit.HOUR).with(0);
    /** OURS: how far off the named depth a hole may be and still count; a site tape reads to 3 mm. */
    private static final double DEPTH_SHARE = 0.1;

    private static final double DEPTH_LEAST_M = 0.003;
    /** OURS: probes repeat to about 2 % RH. */
    private static final double CLOSE_PCT = 2;

    private static final TestCount COUNT = new TestCount(3, 1000, 1, 1000, F2170);

    private static final About ABOUT = new About(
            ID,
            "In-slab humidity",
            TestGroup.MOISTURE,
            "Drill to 40 % of the slab where it dries from the top only, 20 % where it dries from both faces. Line, seal, wait 24 h, read.",
            F2170);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return Double.isFinite(site.limits().slabRhMaxPct()) && WhatBelow.slabCounts(read, site.substrate());
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("rh", "Humidity in the hole", Unit.PERCENT, 1, 100, "to 1 %"),
                Field.quantity("depth", "Depth of the hole", Unit.INCH, Unit.MILLIMETRE, 0.005, 0.6, ""),
                Field.quantity("thickness", "Slab thickness", Unit.INCH, Unit.MILLIMETRE, 0.03, 1.5, ""),
                Field.choice(
                        "drying",
                        "Slab dries from",
                        new Field.Choice("one", "Top only"),
                        new Field.Choice("two", "Both faces")),
                Field.quantity("wait", "Hours since drilled", Unit.HOUR, 0, 5000, "24 h or more"));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.RH_PROBE);
    }

    @Override
    public Optional<Mapped> mapped() {
        return Optional.of(new Mapped(
                "In-slab humidity",
                Unit.PERCENT,
                2,
                r -> r.number("rh"),
                s -> Mapped.limit(s.limits().slabRhMaxPct())));
    }

    @Override
    public Optional<SetOut> setOut() {
        return Optional.of(new SetOut(
                Duration.ofMinutes(Math.round(WAITED.limit())),
                Optional.empty(),
                "hole settles",
                "read the probe",
                "wait"));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    /** How deep a probe goes, share of the thickness: 0.4 drying from one face, 0.2 from both (ASTM F2170, from memory). */
    public static double depthShare(boolean bothFaces) {
        return bothFaces ? 0.2 : 0.4;
    }

    /** Depth of the hole: 0.4 of the thickness drying from one face, 0.2 from both. */
    public static Figure depth(double thicknessM, boolean bothFaces, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("L", "slab thickness", Unit.MILLIMETRE.fromBase(thicknessM), Unit.MILLIMETRE);
        double share = w.given(
                "k",
                bothFaces ? "drying from both faces" : "drying from the top only",
                depthShare(bothFaces),
                Unit.ONE);
        return w.figure("depth of the hole", "d", "k·L", share * thicknessM * 1000, Unit.MILLIMETRE, F2170);
    }

    private static Figure depth(Reading r, Site site) {
        return depth(r.number("thickness"), r.choice("drying").equals("two"), site.units());
    }

    private static boolean deepEnough(Reading r) {
        double need = depthShare(r.choice("drying").equals("two")) * r.number("thickness");
        return Math.abs(r.number("depth") - need) <= depthSlackM(need) + 1e-9;
    }

    private static double depthSlackM(double needM) {
        return Math.max(DEPTH_LEAST_M, DEPTH_SHARE * needM);
    }

    private static boolean settled(Reading r) {
        return WAITED.holds(r.number("wait"));
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return deepEnough(r) && settled(r);
    }

    @Override
    public String found(Reading r, Site site) {
        double rh = reported(r);
        String whole = Show.in(Unit.PERCENT, rh);
        return rh == r.number("rh") ? whole : whole + " (read " + Show.in(Unit.PERCENT, r.number("rh"), 1) + ")";
    }

    /** The standard reports to the nearest 1 % (from memory), and that is what is judged. */
    private static double reported(Reading r) {
        return Math.floor(r.number("rh") + 0.5);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        String at = " at " + r.place();
        var finding = Finding.of(ABOUT.id(), r);
        if (!deepEnough(r)) {
            Figure need = depth(r, site);
            Unit small = Unit.small(site.units());
            return List.of(finding.measured(Show.in(small, r.number("depth")) + " deep")
                    .needed(
                            need.text() + ", give or take "
                                    + Show.in(small, depthSlackM(need.base()), small == Unit.INCH ? 2 : 1),
                            F2170)
                    .working(need)
                    .hold(
                            "probe" + at + " at the wrong depth",
                            "Only at that depth does the reading equal what the slab settles to once it is covered.",
                            "Drill a fresh hole " + need.text() + " deep."));
        }
        if (!settled(r)) {
            double minutes = r.number("wait");
            return List.of(finding.measured("read " + WAITED.text(minutes) + " after drilling")
                    .needed(WAITED.words(), F2170)
                    .readyAt(r.at().plus(Duration.ofMinutes((long) Math.ceil(WAITED.limit() - minutes))))
                    .hold(
                            "probe" + at + " read too early",
                            "Drilling heats and dries the hole; until it settles the reading is the hole's, not the slab's.",
                            "Leave it sealed and read it again."));
        }
        Bound limit = Bound.atMost(site.limits().slabRhMaxPct(), Unit.PERCENT);
        double rh = reported(r);
        if (!Double.isFinite(limit.limit())) {
            return List.of();
        }
        finding.measured(found(r, site))
                .needed(limit.words(), site.limits().source())
                .working(depth(r, site));
        if (!limit.holds(rh)) {
            return List.of(finding.stop(
                    "in-slab humidity" + at + " over the limit",
                    "Once covered, the moisture held below rises to the film and pushes it off.",
                    "Let it dry and read again, or choose a moisture-tolerant build-up."));
        }
        if (rh > limit.limit() - CLOSE_PCT) {
            return List.of(finding.watch(
                    "in-slab humidity" + at + " close to the limit",
                    "A probe repeats to about 2 %: this cannot tell pass from fail.",
                    "Read again tomorrow; if it falls, it is drying."));
        }
        return List.of(finding.go("in-slab humidity" + at, "Clear of the limit."));
    }
}

package openslab.core.survey.judge;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestMethod;
import openslab.core.survey.Verdict;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.method.TestMethods;
import openslab.core.survey.place.Placement;

/** All that was found on a zone, and what it adds up to. */
public final class Survey {
    /**
     * @param required whether the zone is not known well enough without it
     * @param needed how many the area needs, with its working; 0 value never occurs
     * @param taken readings that count, one per place
     * @param verdict the worst word of this method's findings; empty where nothing was asked and nothing judged
     */
    public record Tally(
            String method, String title, boolean required, Figure needed, int taken, Optional<Verdict> verdict) {}

    /**
     * One reading as the survey table shows it.
     *
     * @param verdict empty where no limit is asked: a figure alone says neither go nor stop
     * @param superseded a newer reading at the same place speaks instead
     */
    public record Entry(Reading reading, String title, String found, Optional<Verdict> verdict, boolean superseded) {}

    /**
     * @param summary why, in a sentence
     * @param earliestAnswer when the last of the waits ends, where waiting is all that is missing somewhere
     */
    public record Judgement(
            Verdict verdict,
            String summary,
            List<Finding> findings,
            List<Tally> tallies,
            List<Entry> entries,
            Optional<Instant> earliestAnswer) {}

    /** How the rule of a test that was not taken often enough ends. */
    public static final String MISSING = "-count";

    private static final int BRIEFS_IN_SUMMARY = 3;

    private static final Comparator<Finding> WORST_FIRST =
            Comparator.comparing(Finding::verdict).reversed();

    private final Readings found;
    private final List<Areas.Judged> areas;

    public Survey(List<Reading> readings) {
        this(readings, List.of(), List.of(), Substrate.BARE_CONCRETE);
    }

    /**
     * @param areas what was drawn on the floor
     * @param places where the places are that readings name
     * @param substrate what the floor is made of, by which a defect is proved gone
     */
    public Survey(List<Reading> readings, List<DefectArea> areas, List<Placement.Marked> places, Substrate substrate) {
        var read = new Readings(readings);
        this.areas = Areas.judge(areas, read, places, substrate);
        this.found = read.withDrawn(this.areas.stream()
                .filter(a -> a.gone().isEmpty())
                .map(a -> a.area().defect().sign())
                .collect(Collectors.toSet()));
    }

    /** What was read and seen. */
    public Readings found() {
        return found;
    }

    /** What was drawn on the floor, and which of it was proved gone. */
    public List<Areas.Judged> areas() {
        return areas;
    }

    /** Asks every method; the worst word wins. */
    public Judgement judge(Site site) {
        return judge(site, List.of());
    }

    /** @param besides what was found by other means than tests: a plan that does not close, say */
    public Judgement judge(Site site, List<Finding> besides) {
        return told(site, besides).judgement();
    }

    /** A judgement, and what each method found for it. */
    public record Told(Judgement judgement, Map<TestMethod, List<Finding>> own) {
        /** What {@link Survey#findings} would find for the same site. */
        public List<Finding> findings(Predicate<TestMethod> which) {
            var findings = new ArrayList<Finding>();
            own.forEach((method, found) -> {
                if (which.test(method)) {
                    findings.addAll(found);
                }
            });
            return findings;
        }
    }

    /** @param besides what was found by other means than tests */
    public Told told(Site site, List<Finding> besides) {
        var findings = new ArrayList<>(besides);
        findings.addAll(drawn(site));
        var tallies = new ArrayList<Tally>();
        var entries = new ArrayList<Entry>();
        Map<TestMethod, List<Finding>> byMethodFound = new LinkedHashMap<>();
        for (TestMethod method : TestMethods.ALL) {
            List<Reading> current = found.current(method.id());
            Set<String> speaking = keys(current);
            Map<String, List<Finding>> judged = new HashMap<>();
            for (Reading reading : found.all(method.id())) {
                List<Finding> of = judged(method, reading, site);
                judged.put(reading.key(), of);
                entries.add(new Entry(
                        reading,
                        method.about().title(),
                        method.found(reading, site),
                        word(of),
                        !speaking.contains(reading.key())));
            }
            boolean asked = asked(method, site);
            Figure needed = method.count().figure(site.areaM2(), site.units());
            int taken = taken(method, current, site);
            List<Finding> own = own(method, site, current, asked && taken < needed.value(), r -> judged.get(r.key()));
            findings.addAll(own);
            byMethodFound.put(method, own);
            tallies.add(new Tally(method.id(), method.about().title(), asked, needed, taken, word(own)));
        }
        findings.sort(WORST_FIRST);
        return new Told(
                new Judgement(worst(findings), summary(findings), findings, tallies, entries, earliest(findings)),
                byMethodFound);
    }

    private static Set<String> keys(List<Reading> readings) {
        Set<String> keys = new HashSet<>();
        readings.forEach(r -> keys.add(r.key()));
        return keys;
    }

    /**
     * What a judgement comes to, without the readings one by one: what stands now decides.
     *
     * @param missing the tests that were not taken often enough
     */
    public record Weighed(Verdict verdict, String summary, List<Finding> findings, List<Missing> missing) {}

    /** How many more of a test are asked for. */
    public record Missing(String title, int more) {}

    /** @param besides what was found by other means than tests */
    public Weighed weigh(Site site, List<Finding> besides) {
        var findings = new ArrayList<>(besides);
        findings.addAll(drawn(site));
        var missing = new ArrayList<Missing>();
        for (TestMethod method : TestMethods.ALL) {
            List<Reading> current = found.current(method.id());
            int more = asked(method, site) ? method.count().of(site.areaM2()) - taken(method, current, site) : 0;
            if (more > 0) {
                missing.add(new Missing(method.about().title(), more));
            }
            findings.addAll(own(method, site, current, more > 0, r -> judged(method, r, site)));
        }
        findings.sort(WORST_FIRST);
        return new Weighed(worst(findings), summary(findings), findings, missing);
    }

    /** What {@link #judge} finds beside tests, and nothing of how it is told. */
    public List<Finding> drawn(Site site) {
        return Areas.findings(areas, site);
    }

    /** What {@link #judge} finds by such methods, and nothing of how it is told. */
    public List<Finding> findings(Site site, Predicate<TestMethod> which) {
        var findings = new ArrayList<Finding>();
        for (TestMethod method : TestMethods.ALL.stream().filter(which).toList()) {
            List<Reading> current = found.current(method.id());
            boolean few = asked(method, site)
                    && taken(method, current, site) < method.count().of(site.areaM2());
            findings.addAll(own(method, site, current, few, r -> judged(method, r, site)));
        }
        return findings;
    }

    private boolean asked(TestMethod method, Site site) {
        return tells(method, site) && (method.tellsOfFilm() || !keepsFilm(site)) && method.asked(found, site);
    }

    /** Whether a film is there that is meant to stay: then nobody is sent to what lies under it, and what was taken there counts. */
    private boolean keepsFilm(Site site) {
        return site.films().stay().stream().anyMatch(s -> found.seen(s).orElse(false));
    }

    private static boolean tells(TestMethod method, Site site) {
        return method.isFor(site.substrate()) && (!site.ground().isFilm() || method.tellsOfFilm());
    }

    /** Readings that count. */
    private static int taken(TestMethod method, List<Reading> current, Site site) {
        int taken = 0;
        for (Reading r : current) {
            if (method.valid(r, site) && !Calibration.lapsed(r)) {
                taken++;
            }
        }
        return taken;
    }

    /** What one method found: at each place, missing, and side by side. */
    private List<Finding> own(
            TestMethod method, Site site, List<Reading> current, boolean few, Function<Reading, List<Finding>> judged) {
        var own = new ArrayList<Finding>();
        current.forEach(r -> own.addAll(judged.apply(r)));
        if (few) {
            Figure needed = method.count().figure(site.areaM2(), site.units());
            own.add(missing(method, taken(method, current, site), needed));
        }
        if (tells(method, site)) {
            own.addAll(method.compare(found, site));
        }
        return own;
    }

    private static List<Finding> judged(TestMethod method, Reading reading, Site site) {
        if (!tells(method, site)) {
            return List.of();
        }
        var findings = new ArrayList<>(method.judge(reading, site));
        Calibration.judge(reading, method).ifPresent(findings::add);
        return findings;
    }

    private static Finding missing(TestMethod method, int taken, Figure needed) {
        int n = (int) needed.value();
        String brief = n == 1
                ? (method.about().title().startsWith("What ") ? "nobody said " : "no ")
                        + Show.lower(method.about().title())
                : Show.lower(method.about().title()) + " " + taken + " of " + n;
        var draft = Finding.of(method.id() + MISSING)
                .measured(taken + " taken")
                .needed(n + (n == 1 ? " test" : " tests"), method.count().source())
                .working(needed);
        return method.missing(draft, brief, n - taken);
    }

    /** The worst of them; none where nothing was judged. */
    private static Optional<Verdict> word(List<Finding> findings) {
        return findings.isEmpty() ? Optional.empty() : Optional.of(worst(findings));
    }

    private static Verdict worst(List<Finding> findings) {
        Verdict worst = findings.isEmpty() ? Verdict.HOLD : Verdict.GO;
        for (Finding f : findings) {
            worst = f.verdict().compareTo(worst) > 0 ? f.verdict() : worst;
        }
        return worst;
    }

    /** What one rule found, and where else it found it: "water beads at A, likewise at B, C". */
    private static String brief(List<Finding> sameRule) {
        Finding first = sameRule.get(0);
        List<String> elsewhere = sameRule.stream()
                .map(Finding::place)
                .filter(place -> !place.equals(first.place()))
                .distinct()
                .toList();
        return first.brief() + (elsewhere.isEmpty() ? "" : ", likewise at " + String.join(", ", elsewhere));
    }

    /** The briefs of the worst word's findings: "water beads at C; no profile; and 2 more". */
    private static String summary(List<Finding> sorted) {
        Verdict worst = worst(sorted);
        if (worst == Verdict.GO) {
            return "Tested enough, and nothing found stands against this build-up.";
        }
        return capital(briefs(sorted.stream().filter(f -> f.verdict() == worst).toList())) + ".";
    }

    /** What was found, each rule once, the first few of them: "water beads at C, likewise at D; no profile; and 2 more". */
    public static String briefs(List<Finding> findings) {
        Map<String, List<Finding>> byRule = findings.stream()
                .collect(Collectors.groupingBy(Finding::rule, LinkedHashMap::new, Collectors.toList()));
        List<String> briefs = byRule.values().stream().map(Survey::brief).toList();
        String listed = String.join("; ", briefs.subList(0, Math.min(BRIEFS_IN_SUMMARY, briefs.size())));
        int rest = briefs.size() - BRIEFS_IN_SUMMARY;
        return rest > 0 ? listed + "; and " + rest + " more" : listed;
    }

    /** A sentence begins large, and pH stays pH. */
    private static String capital(String sentence) {
        return sentence.startsWith("pH") ? sentence : Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1);
    }

    private static Optional<Instant> earliest(List<Finding> findings) {
        return findings.stream().flatMap(f -> f.readyAt().stream()).max(Comparator.naturalOrder());
    }
}

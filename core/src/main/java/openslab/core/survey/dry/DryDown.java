package openslab.core.survey.dry;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.Climate;
import openslab.core.survey.method.ConcreteAge;
import openslab.core.survey.method.InSlabHumidity;

/**
 * When a slab will be dry enough, from what its probes read so far.
 *
 * @param assumed what was taken for known, each in a sentence
 * @param places one for every place with a probe
 * @param answers as it stands and with what might be done; none where it cannot be told
 * @param refusal why it cannot be told; empty where it can
 */
public record DryDown(
        double limit,
        Instant now,
        List<String> assumed,
        List<Place> places,
        List<Answer> answers,
        String refusal,
        List<Source> sources) {
    /** What may be done about a wet slab. */
    public enum Way {
        AS_IT_IS("As it is"),
        HEATED("Heat the slab"),
        DRIED("Dry the air"),
        BOTH("Heat and dry"),
        PRIMER("Moisture-mitigation primer");

        private final String label;

        Way(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * What is thought of doing.
     *
     * @param celsius of the slab when it is heated; {@code humidity} of the air when it is dried, share
     * @param heaterPerDay price, likewise the dryer; 0 where none was keyed in
     * @param primer price for the whole zone
     */
    public record Means(double celsius, double humidity, double heaterPerDay, double dryerPerDay, double primer) {
        /** All of them may be left out. */
        public static final List<Field> FIELDS = List.of(
                Field.quantity(
                                "heatTo",
                                "Heat the slab to",
                                Unit.FAHRENHEIT,
                                Unit.CELSIUS,
                                0,
                                45,
                                "empty: 30 °C, 86 °F")
                        .ifWanted(),
                Field.quantity("heater", "Heating, price a day", Unit.MONEY, 0, 100_000, "")
                        .ifWanted(),
                Field.quantity("dryTo", "Dry the air to", Unit.PERCENT, 10, 90, "empty: 35 %")
                        .ifWanted(),
                Field.quantity("dryer", "Drying the air, price a day", Unit.MONEY, 0, 100_000, "")
                        .ifWanted(),
                Field.quantity("primer", "Primer, price for the zone", Unit.MONEY, 0, 1_000_000, "")
                        .ifWanted());

        private static final double HEAT_TO = 30;
        private static final double DRY_TO_PCT = 35;

        /** @param values by field of {@link #FIELDS} */
        public static Means of(Map<String, Value> values) {
            return new Means(
                    base(values, "heatTo", HEAT_TO),
                    base(values, "dryTo", DRY_TO_PCT) / 100,
                    base(values, "heater", 0),
                    base(values, "dryer", 0),
                    base(values, "primer", 0));
        }

        private static double base(Map<String, Value> values, String field, double ifNot) {
            return values.containsKey(field) ? values.get(field).base() : ifNot;
        }
    }

    /** @param low what one in ten drier curves gives; {@code high} one in ten wetter */
    public record Band(Instant at, double low, double middle, double high) {}

    public record Read(Instant at, double humidity) {}

    /** @param curve empty where {@code refusal} says why */
    public record Place(String place, List<Read> readings, List<Band> curve, String refusal) {}

    /**
     * @param early one time in ten it is dry by then; {@code late} nine times in ten; empty where that is never
     * @param likely empty where it never will be
     * @param days from now to {@code likely}
     * @param cost of doing it until then, where prices were keyed in
     */
    public record Answer(
            Way way,
            Optional<Instant> early,
            Optional<Instant> likely,
            Optional<Instant> late,
            Optional<Figure> days,
            Optional<Figure> cost,
            String remark) {}

    private static final Source OURS = Source.ours("the nearest curve of that model, and a spread about it");
    private static final int DRAWS = 32;
    private static final int CURVE_DRAWS = 20;
    private static final int CURVE_POINTS = 48;
    private static final Duration LEAST_SPAN = Duration.ofDays(3);
    private static final Duration HORIZON = Duration.ofDays(3 * 365);
    private static final Duration CURVE_BEYOND = Duration.ofDays(21);
    private static final double OLD_DAYS = 5 * 365;
    private static final double FARTHEST_SPREADS = 3;
    private static final double AIR_ASSUMED = 0.5;
    private static final double CELSIUS_ASSUMED = 20;

    /** @param survey of one zone @param means what might be done */
    public static DryDown of(Survey survey, Site site, Means means) {
        return new Forecast(survey, site, means).dryDown();
    }

    /** One forecast being worked out. */
    private static final class Forecast {
        private final Survey survey;
        private final Site site;
        private final Means means;
        private final double limit;
        private final List<String> assumed = new ArrayList<>();

        Forecast(Survey survey, Site site, Means means) {
            this.survey = survey;
            this.site = site;
            this.means = means;
            this.limit = site.limits().slabRhMaxPct() / 100;
        }

        DryDown dryDown() {
            var method = new InSlabHumidity();
            Map<String, List<Reading>> byPlace = survey.found().all(InSlabHumidity.ID).stream()
                    .filter(r -> method.valid(r, site))
                    .sorted(Comparator.comparing(Reading::at))
                    .collect(Collectors.groupingBy(Reading::place, TreeMap::new, Collectors.toList()));
            Optional<Reading> age = survey.found().newest(ConcreteAge.ID);
            if (byPlace.isEmpty()) {
                return refused(
                        List.of(),
                        "No probe has been read yet as it should be: drill, wait, read, and read again in a week.");
            }
            if (age.isEmpty()) {
                return refused(
                        untold(byPlace),
                        "How old the concrete is has not been keyed in: the drying needs its beginning.");
            }
            Instant since =
                    age.get().at().minus(Duration.ofMinutes(Math.round(age.get().number("age"))));
            if (Duration.between(since, site.now()).toDays() > OLD_DAYS) {
                return refused(
                        untold(byPlace),
                        "Concrete this old has lost what it was mixed with. Where it still reads wet, water comes from somewhere: find it first.");
            }
            SlabFace face = face(byPlace);
            assumed.add("Drying began when the concrete was placed.");
            assumed.add("The base is sealed, and water comes from nowhere else.");
            var places = new ArrayList<Place>();
            var fitted = new ArrayList<List<Drying>>();
            byPlace.forEach((place, readings) -> {
                String refusal = tooFew(readings);
                List<Drying> drying = List.of();
                if (refusal.isEmpty()) {
                    Optional<Fit> fit =
                            Fit.of(face, points(readings, since)).filter(f -> f.worst() <= FARTHEST_SPREADS);
                    if (fit.isEmpty()) {
                        refusal =
                                "These readings follow no drying: look for a stuck probe, a wetting, or water from below.";
                    } else {
                        drying = fit.get().draws(DRAWS).stream()
                                .map(d -> face.drying(Math.exp(d[0]), d[1], Fit.CELLS))
                                .toList();
                        fitted.add(drying);
                    }
                }
                places.add(new Place(
                        place,
                        reads(readings),
                        drying.isEmpty() ? List.of() : curve(face, since, readings, drying),
                        refusal));
            });
            boolean told = fitted.size() == places.size();
            return new DryDown(
                    limit,
                    site.now(),
                    assumed,
                    places,
                    told ? answers(face, since, fitted) : List.of(),
                    told ? "" : "A zone is dry when its wettest place is, and not every place can be told yet.",
                    List.of(Diffusivity.MC90, Diffusivity.WARMTH, OURS));
        }

        private DryDown refused(List<Place> places, String why) {
            return new DryDown(limit, site.now(), assumed, places, List.of(), why, List.of(Diffusivity.MC90, OURS));
        }

        private List<Place> untold(Map<String, List<Reading>> byPlace) {
            return byPlace.entrySet().stream()
                    .map(e -> new Place(e.getKey(), reads(e.getValue()), List.of(), ""))
                    .toList();
        }

        private static List<Read> reads(List<Reading> readings) {
            return readings.stream()
                    .map(r -> new Read(r.at(), r.number("rh") / 100))
                    .toList();
        }

        private static String tooFew(List<Reading> readings) {
            Duration span = Duration.between(
                    readings.get(0).at(), readings.get(readings.size() - 1).at());
            return span.compareTo(LEAST_SPAN) < 0
                    ? "Read on one day only: one more reading a week later says how fast it dries."
                    : "";
        }

        private static List<Fit.Point> points(List<Reading> readings, Instant since) {
            return readings.stream()
                    .map(r -> new Fit.Point(
                            Math.max(0, Duration.between(since, r.at()).toSeconds()),
                            r.number("depth"),
                            r.number("rh") / 100))
                    .toList();
        }

        /** The slab by its newest probe, the air by its newest reading. */
        private SlabFace face(Map<String, List<Reading>> byPlace) {
            Reading probe = byPlace.values().stream()
                    .flatMap(List::stream)
                    .max(Comparator.comparing(Reading::at))
                    .orElseThrow();
            Optional<Reading> climate = survey.found().newest(Climate.ID);
            double air = climate.map(r -> r.number("rh") / 100).orElse(AIR_ASSUMED);
            double celsius = climate.map(r -> r.number("slab")).orElse(CELSIUS_ASSUMED);
            assumed.add(
                    (climate.isPresent() ? "The air stays as it was last read: " : "The air was not read; taken as ")
                            + Show.in(Unit.PERCENT, air * 100) + ", slab "
                            + Show.in(site.units(), Dimension.TEMPERATURE, celsius) + ".");
            return new SlabFace(
                    probe.number("thickness"), probe.choice("drying").equals("two"), air, celsius);
        }

        private List<Band> curve(SlabFace face, Instant since, List<Reading> readings, List<Drying> fitted) {
            Instant from = readings.get(0).at();
            double[] ready = fitted.stream()
                    .limit(CURVE_DRAWS)
                    .mapToDouble(d -> d.copy().reaches(face.probeDepthM(), limit, latestS(since)))
                    .sorted()
                    .toArray();
            double lateS = Math.min(latestS(since), share(ready, 0.9));
            Instant end = since.plusSeconds((long) lateS).plus(CURVE_BEYOND);
            Instant least = site.now().plus(CURVE_BEYOND);
            double stepS =
                    Duration.between(from, end.isAfter(least) ? end : least).toSeconds() / (CURVE_POINTS - 1.0);
            List<Drying> going =
                    fitted.stream().limit(CURVE_DRAWS).map(Drying::copy).toList();
            var curve = new ArrayList<Band>();
            for (int i = 0; i < CURVE_POINTS; i++) {
                Instant at = from.plusSeconds(Math.round(i * stepS));
                double atS = Duration.between(since, at).toSeconds();
                double[] values = going.stream()
                        .mapToDouble(d -> {
                            d.advance(atS);
                            return d.at(face.probeDepthM());
                        })
                        .sorted()
                        .toArray();
                curve.add(new Band(at, share(values, 0.1), share(values, 0.5), share(values, 0.9)));
            }
            return curve;
        }

        private double latestS(Instant since) {
            return Duration.between(since, site.now().plus(HORIZON)).toSeconds();
        }

        /** @param fitted for every place the same number of curves, from the beginning */
        private List<Answer> answers(SlabFace face, Instant since, List<List<Drying>> fitted) {
            double nowS = Duration.between(since, site.now()).toSeconds();
            fitted.forEach(place -> place.forEach(d -> d.advance(nowS)));
            Map<Way, Answer> answers = new EnumMap<>(Way.class);
            for (Way way : Way.values()) {
                answers.put(way, way == Way.PRIMER ? primer(since) : dryBy(way, face, since, fitted));
            }
            return List.copyOf(answers.values());
        }

        private Answer dryBy(Way way, SlabFace face, Instant since, List<List<Drying>> fitted) {
            boolean heated = way == Way.HEATED || way == Way.BOTH;
            boolean dried = way == Way.DRIED || way == Way.BOTH;
            double humidity = dried ? Math.min(means.humidity, face.humidity()) : face.humidity();
            double faster = heated
                    ? Diffusivity.constant(1).warmedTo(means.celsius).d1()
                            / Diffusivity.constant(1).warmedTo(face.celsius()).d1()
                    : 1;
            double[] seconds = new double[DRAWS];
            for (List<Drying> place : fitted) {
                for (int k = 0; k < seconds.length; k++) {
                    Drying drying = place.get(k).copy();
                    if (way != Way.AS_IT_IS) {
                        drying.change(Math.max(1, faster), humidity);
                    }
                    seconds[k] = Math.max(seconds[k], drying.reaches(face.probeDepthM(), limit, latestS(since)));
                }
            }
            Arrays.sort(seconds);
            Optional<Instant> likely = at(since, share(seconds, 0.5));
            Optional<Figure> days = likely.map(l -> days(since, l));
            return new Answer(
                    way,
                    at(since, share(seconds, 0.1)),
                    likely,
                    at(since, share(seconds, 0.9)),
                    days,
                    days.flatMap(d -> cost(d.value(), heated, dried)),
                    likely.isEmpty() && humidity >= limit ? "Under air this damp it never gets there." : "");
        }

        private static Optional<Instant> at(Instant since, double seconds) {
            return Double.isInfinite(seconds) ? Optional.empty() : Optional.of(since.plusSeconds((long) seconds));
        }

        private static double share(double[] sorted, double share) {
            return sorted[(int) Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))];
        }

        private Figure days(Instant since, Instant ready) {
            var w = new Worksheet(site.units());
            double now = w.given("a", "age of the slab today", daysSince(since, site.now()), Unit.DAY);
            double then = w.given("r", "its age when dry enough, by the curve", daysSince(since, ready), Unit.DAY);
            return w.figure("days to wait", "n", "max(0,r-a)", Math.max(0, then - now), Unit.DAY, Diffusivity.MC90);
        }

        private static double daysSince(Instant since, Instant at) {
            return Duration.between(since, at).toSeconds() / 86_400.0;
        }

        private Optional<Figure> cost(double days, boolean heated, boolean dried) {
            double perDay = (heated ? means.heaterPerDay : 0) + (dried ? means.dryerPerDay : 0);
            if (perDay == 0) {
                return Optional.empty();
            }
            var w = new Worksheet(site.units());
            w.given("n", "days to wait", days, Unit.DAY);
            w.given("h", "heating a day", heated ? means.heaterPerDay : 0, Unit.MONEY);
            w.given("d", "drying the air a day", dried ? means.dryerPerDay : 0, Unit.MONEY);
            return Optional.of(w.figure(
                    "cost", "c", "n·(h+d)", days * perDay, Unit.MONEY, Source.arithmetic("days by price a day")));
        }

        private Answer primer(Instant since) {
            Optional<Figure> cost = Optional.empty();
            if (means.primer > 0) {
                var w = new Worksheet(site.units());
                w.given("p", "primer for the zone", means.primer, Unit.MONEY);
                cost = Optional.of(
                        w.figure("cost", "c", "p", means.primer, Unit.MONEY, Source.arithmetic("as keyed in")));
            }
            return new Answer(
                    Way.PRIMER,
                    Optional.of(site.now()),
                    Optional.of(site.now()),
                    Optional.of(site.now()),
                    Optional.of(days(since, site.now())),
                    cost,
                    "No wait for the slab. Two-part primer of at most 0.1 perm (ASTM F3010, from memory) on CSP 3; its own sheet says up to which humidity.");
        }
    }
}

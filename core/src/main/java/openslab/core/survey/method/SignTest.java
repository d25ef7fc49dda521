package openslab.core.survey.method;

import java.util.List;
import java.util.function.Function;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestMethod;
import openslab.core.survey.Verdict;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.Removal;

/** A test that is answered by what is seen: one of a few signs, each with its meaning. */
abstract class SignTest implements TestMethod {
    private static final String FIELD = "sign";

    /**
     * @param label as it is picked: "Softens, colour on the rag"
     * @param brief what was found, before "at A" where it is tested in places
     */
    record Sign(
            String id, String label, Verdict verdict, String brief, String because, Function<Site, String> remedy) {}

    /** What takes {@code defect} off this floor, within a sentence. */
    static String off(Defect defect, Site site) {
        return Show.lower(Removal.of(defect, site.substrate(), site.shown()).words());
    }

    private final About about;
    private final List<Sign> signs;

    SignTest(About about, Sign... signs) {
        this.about = about;
        this.signs = List.of(signs);
    }

    static Sign go(String id, String label, String brief, String because) {
        return new Sign(id, label, Verdict.GO, brief, because, s -> "");
    }

    static Sign watch(String id, String label, String brief, String because, String remedy) {
        return watch(id, label, brief, because, s -> remedy);
    }

    /** @param remedy by what the floor is made of */
    static Sign watch(String id, String label, String brief, String because, Function<Site, String> remedy) {
        return new Sign(id, label, Verdict.WATCH, brief, because, remedy);
    }

    static Sign hold(String id, String label, String brief, String because, String remedy) {
        return hold(id, label, brief, because, s -> remedy);
    }

    /** @param remedy by what the floor is made of */
    static Sign hold(String id, String label, String brief, String because, Function<Site, String> remedy) {
        return new Sign(id, label, Verdict.HOLD, brief, because, remedy);
    }

    /** Asked where the walk-over saw, or somebody drew, any of {@code fields}. */
    static boolean seen(Readings read, String... fields) {
        for (String field : fields) {
            if (read.seen(field).orElse(false)) {
                return true;
            }
        }
        return false;
    }

    /** The same, of what nobody expects there: what is ours, or meant to stay, is not found out. */
    static boolean unexpected(Readings read, Site site, String... fields) {
        for (String field : fields) {
            if (!site.films().expects(field) && seen(read, field)) {
                return true;
            }
        }
        return false;
    }

    @Override
    public final About about() {
        return about;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return false;
    }

    @Override
    public final List<Field> fields() {
        return List.of(Field.choice(
                FIELD,
                "What is seen",
                signs.stream().map(s -> new Field.Choice(s.id, s.label)).toArray(Field.Choice[]::new)));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    /** Whether that is what was seen. */
    static boolean is(Reading r, String sign) {
        return r.choice(FIELD).equals(sign);
    }

    private Sign sign(Reading r) {
        return signs.stream().filter(s -> is(r, s.id)).findFirst().orElseThrow();
    }

    @Override
    public final String found(Reading r, Site site) {
        return sign(r).label;
    }

    @Override
    public final List<Finding> judge(Reading r, Site site) {
        Sign sign = sign(r);
        Sign good =
                signs.stream().filter(s -> s.verdict == Verdict.GO).findFirst().orElseThrow();
        return List.of(Finding.of(about.id(), r)
                .measured(sign.label)
                .needed(good.label, about.source())
                .close(
                        sign.verdict,
                        sign.brief + (wholeFloor() ? "" : " at " + r.place()),
                        sign.because,
                        sign.remedy.apply(site)));
    }
}

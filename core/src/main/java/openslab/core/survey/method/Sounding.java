package openslab.core.survey.method;

import java.util.List;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** Hammer or chain: how much of the floor sounds hollow. */
public final class Sounding implements TestMethod {
    private static final Source D4580 = Source.published("ASTM D4580, from memory");

    private static final About ABOUT = new About(
            "sounding",
            "Sounding",
            TestGroup.SOUND,
            "Drag a chain or tap with a hammer over the whole zone, chalk round what sounds dull, add the pieces up.",
            D4580);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean tellsOfFilm() {
        return true;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return SignTest.seen(read, "hollow");
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("hollow", "Hollow, all together", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0, 100_000, ""));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return share(r, site).text();
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        Figure share = share(r, site);
        var finding = Finding.of(ABOUT.id(), r)
                .measured(share.text())
                .needed("nothing hollow", D4580)
                .working(share);
        if (share.value() > 0) {
            return List.of(finding.hold(
                    "hollow under " + Show.in(site.units(), Dimension.AREA, r.number("hollow")),
                    "A drummy layer lets go later and takes the floor with it; water under it comes up first.",
                    "Cut out and repair every hollow place, then sound it again."));
        }
        return List.of(finding.go("solid everywhere", "No hollow place was heard."));
    }

    /** Share of the zone that sounds hollow, percent. */
    private static Figure share(Reading r, Site site) {
        var w = new Worksheet(site.units());
        w.given("H", "hollow", Unit.SQUARE_METRE.fromBase(r.number("hollow")), Unit.SQUARE_METRE);
        w.given("A", "area of the zone", site.areaM2(), Unit.SQUARE_METRE);
        return w.figure("hollow", "h", "100·H/A", 100 * r.number("hollow") / site.areaM2(), Unit.PERCENT, D4580);
    }
}

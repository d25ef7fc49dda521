package openslab.core.survey.method;

import openslab.core.quantity.Source;
import openslab.core.survey.Films;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;
import openslab.core.survey.area.Defect;

/** What a blade brings up: wax gums, old films flake, concrete gives white dust. */
public final class Scrape extends SignTest {
    public Scrape() {
        super(
                new About(
                        "scrape",
                        "Scrape",
                        TestGroup.FILM,
                        "Push a sharp scraper along the floor at a low angle, at a worn and at a sheltered place. Never on a film or floor that may hold asbestos or lead.",
                        Source.commonPractice("")),
                go(
                        "dust",
                        "Pale dust, a bright line",
                        "bare floor under the blade",
                        "The blade met concrete, nothing else."),
                hold(
                        "gums",
                        "Gums or curls like soap",
                        "wax or soft polish under the blade",
                        "Polish and wax build up for months, brown and peel; nothing bonds to them.",
                        s -> Defect.POLISH.removal(s.substrate(), s.shown()) + ", and scrape again."),
                hold(
                        "flakes",
                        "Flakes or chips",
                        "a brittle film under the blade",
                        "It has let go in places already, and takes what stands on it along.",
                        s -> "All of it, not only what is loose; have old paint tested first. Then "
                                + off(Defect.PAINT, s) + "."),
                hold(
                        "tight",
                        "A film that comes off in dust only",
                        "a sound film under the blade",
                        "It is tight, and still a film: a new coat holds no better than it does.",
                        s -> "Under a bonded system " + off(Defect.PAINT, s)
                                + "; scuff it where the same product is refreshed."));
    }

    /** Not before the film is known to hold no asbestos or lead. */
    @Override
    public boolean asked(Readings read, Site site) {
        return unexpected(read, site, Films.COATING)
                && !OldFloor.bars(read, site.substrate(), site.films().own());
    }
}

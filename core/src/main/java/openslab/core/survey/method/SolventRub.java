package openslab.core.survey.method;

import openslab.core.quantity.Source;
import openslab.core.survey.Films;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;
import openslab.core.survey.area.Defect;

/** Which film is there: what a solvent dissolves never cured. */
public final class SolventRub extends SignTest {
    public SolventRub() {
        super(
                new About(
                        "solvent-rub",
                        "Solvent rub",
                        TestGroup.FILM,
                        "Hold a rag with a little xylene or acetone on the film for a minute, then rub. Air the place, no flames, gloves on.",
                        Source.commonPractice("")),
                go(
                        "nothing",
                        "Nothing on the rag, no softening on bare floor",
                        "no film",
                        "There is no film for the solvent to find."),
                hold(
                        "softens",
                        "Softens or turns sticky",
                        "a film that solvent softens",
                        "It never cross-linked: an acrylic or a sealer. A bonded system over it holds only as well as it does, and its solvents will lift it.",
                        s -> "Stay within its own family, as a refresh of the same acrylic does; or "
                                + off(Defect.SEALER, s) + "."),
                hold(
                        "colour",
                        "Colour on the rag, film stays hard",
                        "a hard film that gives colour",
                        "Paint or dye on or in the floor: old paint may hold lead.",
                        s -> "Have it tested where its age is unknown, before anyone abrades it. Then "
                                + off(Defect.PAINT, s) + ", and rub again."),
                hold(
                        "hard",
                        "A film is there and stays hard",
                        "a hard film that solvent does not touch",
                        "A cross-linked film, epoxy or urethane: sound or not, a new coat holds only to a profile cut into it.",
                        s -> "Scrape to see whether it is sound, then " + off(Defect.PAINT, s) + "."));
    }

    /** Not before the film is known to hold no asbestos or lead. */
    @Override
    public boolean asked(Readings read, Site site) {
        return unexpected(read, site, Films.COATING, Films.SEALER)
                && !OldFloor.bars(read, site.substrate(), site.films().own());
    }
}

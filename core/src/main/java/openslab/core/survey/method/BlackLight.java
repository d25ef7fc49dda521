package openslab.core.survey.method;

import openslab.core.quantity.Source;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;

/** Oil and some curing compounds glow in ultraviolet light. */
public final class BlackLight extends SignTest {
    public BlackLight() {
        super(
                new About(
                        "black-light",
                        "Black light",
                        TestGroup.FILM,
                        "Darken the room and walk the floor with an ultraviolet lamp; mark what glows. Do not look into the lamp.",
                        Source.commonPractice("")),
                go(
                        "dark",
                        "Nothing glows",
                        "nothing glows",
                        "No oil or compound that would show; some do not glow, so the water drop still decides."),
                hold(
                        "glows",
                        "Glows in patches",
                        "something glows",
                        "Oil soaked in, or a curing compound: both stop a bond, and both reach further than the eye sees.",
                        "Degrease what glows and a hand around it, then look and drop water again."));
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return seen(read, "oil");
    }
}

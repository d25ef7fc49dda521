package openslab.core.choose;

import java.util.List;
import java.util.Locale;
import openslab.core.product.Traits.Gloss;
import openslab.core.product.Traits.Opacity;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.system.Face;

/** How a floor is to look. */
final class LookNeeds {
    private static final Source MOTTLES =
            Source.commonPractice("see-through colour mottles by nature; who cannot accept it wants an opaque floor");
    private static final Source SEEN = Source.commonPractice("what is opaque hides, what is see-through does not");
    private static final Source SHEET = Source.sheet("of the coat that is walked on");

    static final List<Need> ALL = List.of(
            new Need(
                    Field.choice(
                            "tone",
                            "Colour",
                            new Field.Choice("uniform", "Even"),
                            new Field.Choice("mottled", "Mottled, like stone")),
                    Need.Group.LOOK,
                    (offer, value, units) -> tone(offer, value.typed().equals("uniform"))),
            new Need(
                    Field.choice(
                            "see",
                            "The floor below",
                            new Field.Choice("opaque", "Not seen"),
                            new Field.Choice("through", "Seen through it")),
                    Need.Group.LOOK,
                    (offer, value, units) -> see(offer, value.typed().equals("opaque"))),
            new Need(
                    Field.choice(
                            "texture",
                            "Surface",
                            new Field.Choice("smooth", "Smooth"),
                            new Field.Choice("textured", "Textured")),
                    Need.Group.LOOK,
                    (offer, value, units) -> texture(offer, value.typed().equals("smooth"))),
            new Need(
                    Field.choice(
                            "gloss",
                            "Gloss",
                            new Field.Choice("matte", "Matte"),
                            new Field.Choice("satin", "Satin"),
                            new Field.Choice("gloss", "Gloss")),
                    Need.Group.LOOK,
                    (offer, value, units) ->
                            gloss(offer, Gloss.valueOf(value.typed().toUpperCase(Locale.ROOT)))),
            new Need(
                    Need.wanted("later", "Another colour some years on"),
                    Need.Group.LOOK,
                    (offer, value, units) -> later(offer.face().later())));

    private LookNeeds() {}

    private static Reason tone(Offer offer, boolean even) {
        Face.Tone tone = offer.face().tone();
        if (even) {
            return switch (tone) {
                case MOTTLED ->
                    new Reason(
                            "tone",
                            Reason.Stance.REFUSES,
                            "It mottles by nature: who cannot accept that wants an opaque floor.",
                            MOTTLES);
                case UNIFORM -> new Reason("tone", Reason.Stance.FOR, "One even colour.", MOTTLES);
                case FLAKED ->
                    new Reason(
                            "tone",
                            Reason.Stance.AGAINST,
                            "Flake all over: even from wall to wall, and not one colour.",
                            SEEN);
                case PATTERNED -> new Reason("tone", Reason.Stance.AGAINST, "It shows a pattern.", SEEN);
                case AS_IT_IS ->
                    new Reason("tone", Reason.Stance.AGAINST, "It is as even as the floor is already.", SEEN);
            };
        }
        return tone == Face.Tone.MOTTLED
                ? new Reason("tone", Reason.Stance.FOR, "Mottled, no two floors alike.", MOTTLES)
                : new Reason("tone", Reason.Stance.REFUSES, "It does not mottle: " + tone.label() + ".", MOTTLES);
    }

    private static Reason see(Offer offer, boolean opaque) {
        boolean is = offer.opacity() == Opacity.OPAQUE;
        String words = is ? "Opaque: the floor below is not seen." : "The floor below is seen through it.";
        return new Reason("see", is == opaque ? Reason.Stance.FOR : Reason.Stance.REFUSES, words, SEEN);
    }

    private static Reason texture(Offer offer, boolean smooth) {
        boolean is = offer.face().texture() == Face.Texture.SMOOTH;
        return new Reason(
                "texture",
                is == smooth ? Reason.Stance.FOR : Reason.Stance.AGAINST,
                "Its surface is " + offer.face().texture().label() + ".",
                Source.commonPractice("how it is laid gives its surface"));
    }

    private static Reason gloss(Offer offer, Gloss wanted) {
        Gloss is = offer.top().traits().gloss();
        String words = is == Gloss.UNSAID
                ? offer.top().name() + " does not say how glossy it is."
                : "The last coat is " + is.label() + ".";
        return new Reason("gloss", is == wanted ? Reason.Stance.FOR : Reason.Stance.AGAINST, words, SHEET);
    }

    private static Reason later(Face.Later later) {
        boolean easy = later == Face.Later.STRAIGHT_OVER || later == Face.Later.ABRADE;
        return new Reason(
                "later",
                easy ? Reason.Stance.FOR : Reason.Stance.AGAINST,
                Show.capital(later.label()) + ".",
                Source.commonPractice("what goes over what, without taking the old one off"));
    }
}

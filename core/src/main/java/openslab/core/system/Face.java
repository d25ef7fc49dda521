package openslab.core.system;

import java.util.List;

/**
 * What a finished floor is like to look at, to walk on and to live with, where no sheet of its layers says it.
 *
 * @param later what has to be done when another colour is wanted
 * @param money what it costs beside the other systems, labour and material, 1 the least to 4 (common practice, no source)
 */
public record Face(Tone tone, Texture texture, Grip grip, Later later, int money) {
    private static final List<String> MONEY = List.of("the least", "some", "more", "the most");

    /** What it costs beside the others. */
    public String moneyWords() {
        return MONEY.get(money - 1);
    }

    /** How even its colour is. */
    public enum Tone {
        UNIFORM("one even colour"),
        MOTTLED("mottled"),
        FLAKED("flake all over"),
        PATTERNED("a pattern"),
        AS_IT_IS("the floor as it is");

        private final String label;

        Tone(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public enum Texture {
        SMOOTH("smooth"),
        TEXTURED("textured"),
        COARSE("coarse");

        private final String label;

        Texture(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Whether it holds a shoe when it is wet. */
    public enum Grip {
        NONE("smooth when wet"),
        WITH_GRIT("grip with grit in the last coat"),
        BUILT_IN("grip by its own texture");

        private final String label;

        Grip(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Another colour, some years on. */
    public enum Later {
        STRAIGHT_OVER("another colour goes straight over it"),
        ABRADE("another colour goes over it once it is abraded"),
        STRIP("another colour means stripping or blasting"),
        NEVER("its colour never comes out again");

        private final String label;

        Later(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}

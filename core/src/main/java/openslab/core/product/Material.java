package openslab.core.product;

/** What a sheet is a sheet of. */
public sealed interface Material permits Liquid, Powder, Broadcast {
    Kind kind();

    /** The same, laid at another rate: m² a litre of what is spread, kg on a m² of what is thrown, metres deep of a powder. */
    Material at(double rate);

    /** The word for it, in forms and files. */
    enum Kind {
        TWO_PART("Two or three parts"),
        ONE_PART("One part"),
        CONCENTRATE("Concentrate, let down with water"),
        STAIN("Reactive stain"),
        DYE("Dye"),
        FINISH("Floor finish or wax"),
        POWDER("Bagged powder"),
        BROADCAST("Thrown into the wet coat below");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}

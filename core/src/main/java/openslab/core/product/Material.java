package openslab.core.product;

/** What a sheet is a sheet of. */
public sealed interface Material permits Liquid, Powder, Broadcast {
    Kind kind();

    /** The same, laid at another rate: m² a litre of what is spread, kg on a m² of what is thrown, metres deep of a powder. */
    Material at(double rate);

    /** What its packs have to hold so that so much goes on the floor. */
    default Packed packed(Laid laid) {
        return new Packed(laid.amount() * packedShare());
    }

    /** What goes on the floor of so much in packs. */
    default Laid laid(Packed packed) {
        return new Laid(packed.amount() / packedShare());
    }

    /** How much of what goes on the floor comes out of its packs, above 0 and up to 1: the rest is the water of the site. */
    default double packedShare() {
        return 1;
    }

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

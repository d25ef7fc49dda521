package openslab.core.job;

import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.product.LayerRole;

/**
 * One door of the core sample.
 *
 * @param id {@link #SLAB}, {@link #PREP}, {@link #SERVICE}, or a layer's id
 * @param detail the true figure beside it
 * @param made what the floor is made of, of the slab; empty elsewhere
 * @param filmUm what is drawn, on a compressed scale; 0 where nothing is built up
 */
public record Stratum(
        String id, Kind kind, String title, String detail, Mark mark, String word, double filmUm, Optional<Made> made) {
    public static final String SLAB = "slab";
    public static final String PREP = "prep";
    public static final String SERVICE = "service";
    /** Where layers are chosen: no door of the core, but a place beside it. */
    public static final String BUILD_UP = "build-up";

    /** What is drilled through. */
    public enum Made {
        CONCRETE,
        TILE,
        RESILIENT,
        TIMBER,
        METAL,
        COMPOSITE;

        public static Made of(Substrate substrate) {
            return switch (substrate.family()) {
                case CEMENT -> CONCRETE;
                case TILE -> TILE;
                case RESILIENT -> RESILIENT;
                case OTHER -> valueOf(substrate.name());
            };
        }
    }

    public enum Kind {
        SLAB,
        PREP,
        PRIMER,
        STAIN,
        BASE,
        BODY,
        OVERLAY,
        BROADCAST,
        ANTIQUE,
        SEALER,
        CLEAR,
        FINISH,
        SERVICE;

        static Kind of(LayerRole role) {
            return valueOf(role.name());
        }
    }

    static Stratum of(String id, Kind kind, String title, String detail, Mark mark, double filmUm) {
        return new Stratum(id, kind, title, detail, mark, mark.word(), filmUm, Optional.empty());
    }

    /** The floor itself. */
    static Stratum slab(Substrate substrate, String detail, Mark mark) {
        return new Stratum(SLAB, Kind.SLAB, "Slab", detail, mark, mark.word(), 0, Optional.of(Made.of(substrate)));
    }
}

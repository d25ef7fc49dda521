package openslab.core.job;

import openslab.core.product.LayerRole;

/**
 * One door of the core sample.
 *
 * @param id {@code slab}, {@code prep}, {@code service}, or a layer's id
 * @param detail the true figure beside it
 * @param filmUm what is drawn, on a compressed scale; 0 where nothing is built up
 */
public record Stratum(String id, Kind kind, String title, String detail, Mark mark, String word, double filmUm) {
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
        return new Stratum(id, kind, title, detail, mark, mark.word(), filmUm);
    }
}

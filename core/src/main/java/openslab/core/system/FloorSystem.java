package openslab.core.system;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.prep.PrepAsks;
import openslab.core.product.LayerRole;
import openslab.core.quantity.Require;

/**
 * A way a floor is finished, from what it may lie on to how it is looked after.
 *
 * @param id its word in the store, in files and in the API
 * @param note what it is for, in a sentence
 * @param on what it may lie on; {@code besides} those of them for which it is not made first, and others are usual
 * @param uses what it is meant for
 * @param layers from the floor upward
 * @param rung how much is done to the floor; {@code face} what it is like afterwards
 * @param hides what is not seen any more afterwards; {@code never} what it does not make good, whatever anybody does
 * @param look how it looks in sun and shade, and what a client has to accept
 * @param asks what it asks of the floor and of the place before anything else, in words
 * @param prep how it wants the floor made ready
 * @param care what it is cleaned with, what must not go on it, when it is due
 */
public record FloorSystem(
        String id,
        String title,
        String note,
        Set<Substrate> on,
        Set<Substrate> besides,
        Set<Use> uses,
        List<Layer> layers,
        Rung rung,
        Face face,
        Set<Blemish> hides,
        Set<Blemish> never,
        String look,
        String asks,
        PrepAsks prep,
        String care) {
    /**
     * One layer of it.
     *
     * @param sheet the slug of the sheet it is usually laid of
     * @param way how it is laid; empty where that is as its material usually is
     * @param water the slug of the sheet that water carries, where {@code sheet} is one that solvent carries; empty elsewhere
     * @param when why it would be laid, where it is not always; {@code indoors} whether it is laid indoors where nobody says otherwise
     */
    public record Layer(
            String id,
            String title,
            LayerRole role,
            String sheet,
            String water,
            String way,
            String when,
            boolean indoors) {
        /** The same layer, laid of another sheet. */
        public Layer of(String slug) {
            return new Layer(id, title, role, slug, water, way, when, indoors);
        }

        /** Whether it is laid only where somebody wants it. */
        public boolean isOptional() {
            return !when.isEmpty();
        }
    }

    public FloorSystem {
        on = EnumSet.copyOf(on);
        besides = besides.isEmpty() ? Set.of() : EnumSet.copyOf(besides);
        Require.that(on.containsAll(besides), "%s lies on everything that it lies on besides", id);
        uses = EnumSet.copyOf(uses);
        layers = List.copyOf(layers);
        hides = hides.isEmpty() ? Set.of() : EnumSet.copyOf(hides);
        never = never.isEmpty() ? Set.of() : EnumSet.copyOf(never);
        Require.that(
                layers.stream().map(Layer::id).distinct().count() == layers.size(),
                "each layer of %s has an id of its own",
                id);
        Require.that(Collections.disjoint(hides, never), "%s does not hide what it never hides", id);
        Require.that(layers.stream().anyMatch(l -> !l.isOptional()), "%s has a layer that is always laid", id);
    }

    /** What is laid where nobody says otherwise. */
    public List<Layer> usual() {
        return layers.stream().filter(l -> !l.isOptional()).toList();
    }
}

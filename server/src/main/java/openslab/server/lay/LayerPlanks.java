package openslab.server.lay;

import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.layout.plank.Planks;
import openslab.core.quantity.Figure;

/**
 * A floor in planks, as one layer is taped.
 *
 * @param version of the layout, 0 where nobody laid it out yet; {@code form} as it was typed
 * @param undrawn why it is not drawn, as where a room grew since it was laid out; empty where it is
 * @param grain radians from the first wall
 * @param floor its parts, each its outer ring first; {@code joints} on it
 */
public record LayerPlanks(
        long changes,
        int version,
        PlankForm form,
        String undrawn,
        double grain,
        List<Planks.Plank> planks,
        List<List<List<Corner>>> frames,
        List<Planks.Butt> ends,
        Figure tape,
        Figure butts,
        Figure nails,
        List<List<List<Corner>>> floor,
        List<List<Corner>> joints) {}

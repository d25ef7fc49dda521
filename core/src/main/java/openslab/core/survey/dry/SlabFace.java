package openslab.core.survey.dry;

import openslab.core.survey.method.InSlabHumidity;

/**
 * A slab and the air over it.
 *
 * @param thicknessM of the slab; dried from {@code bothFaces} or from the top only
 * @param humidity of the air, share
 * @param celsius of the slab
 */
public record SlabFace(double thicknessM, boolean bothFaces, double humidity, double celsius) {
    /** @param d1 diffusivity at saturation and at this slab's temperature, m²/s */
    Drying drying(double d1, double initial, int cells) {
        return new Drying(thicknessM, bothFaces, Diffusivity.modelCode(d1), initial, humidity, cells);
    }

    /** Where a probe belongs. */
    double probeDepthM() {
        return thicknessM * InSlabHumidity.depthShare(bothFaces);
    }
}

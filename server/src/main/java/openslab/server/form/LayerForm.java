package openslab.server.form;

import io.swagger.v3.oas.annotations.media.Schema;
import openslab.core.product.LayerRole;
import org.jspecify.annotations.Nullable;

/**
 * What a person sends about a layer. What is left out stays as it is, or is as the sheet has it where the layer is a new one.
 *
 * @param id of a layer that is there; left out for a new one
 * @param sheet digest of the sheet to use
 * @param title what it is called here
 * @param way how it is laid, by the id of a way; empty for as its material usually is
 * @param rate as typed: how far a litre goes, how much lies on the floor, how deep it is laid; empty for the sheet's
 * @param reserve held back for touching up, percent as typed; empty for nothing
 * @param plannedStart empty to let it follow the layer below
 */
public record LayerForm(
        @Nullable String id,
        @Nullable String sheet,
        @Nullable String title,
        @Nullable @Schema(implementation = LayerRole.class) String role,
        @Nullable String way,
        @Nullable String rate,
        @Nullable String reserve,
        @Nullable String plannedStart) {
    /** Another sheet for a layer, or another start. */
    public static LayerForm of(String sheet, String plannedStart) {
        return new LayerForm(null, sheet, null, null, null, null, null, plannedStart);
    }
}

package openslab.server.form;

import org.jspecify.annotations.Nullable;

/**
 * What a person sends about a layer.
 *
 * @param sheet digest of the sheet to use; {@code plannedStart} empty to let it follow the layer below
 */
public record LayerForm(@Nullable String sheet, @Nullable String plannedStart) {}

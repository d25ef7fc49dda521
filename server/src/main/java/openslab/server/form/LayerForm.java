package openslab.server.form;

/**
 * What a person sends about a layer.
 *
 * @param sheet digest of the sheet to use; {@code plannedStart} empty to let it follow the layer below
 */
public record LayerForm(String sheet, String plannedStart) {}

package openslab.server.lay;

import java.util.UUID;

/** One layer of a zone, in one of its cycles. @param cycle its number, from 1 */
public record LayerKey(UUID zoneId, int cycle, String layerId) {}

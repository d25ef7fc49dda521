package openslab.server.exchange;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.floor.trace.Stroke;
import openslab.core.quantity.Unit;

/**
 * A drawing as its file has it.
 *
 * @param strokes in the drawing's own unit
 * @param unit that unit; empty where the file does not say, and somebody must
 * @param skipped how many of what were not lines on a floor
 */
record ReadDrawing(String format, List<Stroke> strokes, Optional<Unit> unit, Map<String, Integer> skipped) {}

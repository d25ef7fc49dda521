package openslab.core.floor.plan;

import java.util.Locale;
import openslab.core.floor.walk.Closure;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * By how much a room does not close, with its working.
 *
 * @param ratio "1 in 2 304"; empty where it closes
 */
public record Closing(Figure misclosure, Figure tolerance, String ratio) {
    static Closing of(Closure closure, UnitSystem system) {
        Unit unit = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        var w = new Worksheet(system);
        double dx = w.given("x", "end less beginning, along the first wall", unit.fromBase(closure.dxM()), unit);
        double dy = w.given("y", "end less beginning, off it", unit.fromBase(closure.dyM()), unit);
        Figure misclosure = w.figure(
                "misclosure",
                "e",
                "(x·x+y·y)^0.5",
                Math.sqrt(dx * dx + dy * dy),
                unit,
                Source.arithmetic("what the tape missed its beginning by"));
        var t = new Worksheet(system);
        double walked = t.given("w", "walked round the walls", unit.fromBase(closure.walkedM()), unit);
        double least = t.given("h", "never less than half an inch", unit.fromBase(0.0127), unit);
        Figure tolerance = t.figure(
                "tolerance",
                "t",
                "max(w/1000,h)",
                Math.max(walked / 1000, least),
                unit,
                Source.ours("what a tape read to 1/8 in does; a surveyor asks for more"));
        String ratio = closure.lengthM() < 1e-9
                ? ""
                : String.format(Locale.ROOT, "1 in %,d", Math.round(closure.ratio()))
                        .replace(',', '\u202f');
        return new Closing(misclosure, tolerance, ratio);
    }
}

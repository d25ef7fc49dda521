package openslab.core.mix;

import openslab.core.product.Broadcast;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** The broadcast weighed out into as many equal parts as there are bays, so that the last bay is not bald. */
public record FlakeSplit(Figure bays, Figure each) {
    /** @param bays how many parts: as many as the layer below has batches, or as somebody asks for */
    public static FlakeSplit of(double areaM2, Broadcast broadcast, Figure bays, Crew crew, UnitSystem system) {
        Figure whole = TakeOff.mass(areaM2, broadcast, crew.allowance(), system);
        var w = new Worksheet(system);
        w.from("m", whole);
        w.from("n", bays);
        Figure each = w.figure(
                "for one bay",
                "me",
                "m/n",
                whole.value() / bays.value(),
                Unit.KILOGRAM,
                Source.commonPractice("equal parts, one for each section"));
        return new FlakeSplit(bays, each);
    }
}

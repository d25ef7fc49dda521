package openslab.core.floor;

import java.util.List;
import openslab.core.floor.Outline.Corner;

/** The upright rectangle round some places, metres; of no size about the origin where there are none. */
public record Box(Corner low, Corner high) {
    public static Box round(List<Corner> places) {
        if (places.isEmpty()) {
            return new Box(new Corner(0, 0), new Corner(0, 0));
        }
        double x0 = Double.POSITIVE_INFINITY;
        double y0 = Double.POSITIVE_INFINITY;
        double x1 = Double.NEGATIVE_INFINITY;
        double y1 = Double.NEGATIVE_INFINITY;
        for (Corner c : places) {
            x0 = Math.min(x0, c.x());
            y0 = Math.min(y0, c.y());
            x1 = Math.max(x1, c.x());
            y1 = Math.max(y1, c.y());
        }
        return new Box(new Corner(x0, y0), new Corner(x1, y1));
    }

    public double width() {
        return high.x() - low.x();
    }

    public double height() {
        return high.y() - low.y();
    }
}

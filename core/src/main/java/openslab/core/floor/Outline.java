package openslab.core.floor;

import java.util.List;

/** A closed ring of corners, metres, the last joined to the first. */
public record Outline(List<Corner> corners) {
    /** @param x metres to the right @param y metres up */
    public record Corner(double x, double y) {}

    public Outline {
        corners = List.copyOf(corners);
    }

    static Outline of(double... xy) {
        var corners = new java.util.ArrayList<Corner>(xy.length / 2);
        for (int i = 0; i < xy.length; i += 2) {
            corners.add(new Corner(xy[i], xy[i + 1]));
        }
        return new Outline(corners);
    }

    /** Enclosed area, m². */
    public double areaM2() {
        return Math.abs(signedAreaM2());
    }

    /** Enclosed area by the shoelace sum, m²; negative where the ring runs clockwise. */
    public double signedAreaM2() {
        double twice = 0;
        for (int i = 0; i < corners.size(); i++) {
            Corner a = corners.get(i);
            Corner b = corners.get((i + 1) % corners.size());
            twice += a.x * b.y - b.x * a.y;
        }
        return twice / 2;
    }

    /** Length of the ring, m. */
    public double perimeterM() {
        double sum = 0;
        for (int i = 0; i < corners.size(); i++) {
            Corner a = corners.get(i);
            Corner b = corners.get((i + 1) % corners.size());
            sum += Math.hypot(b.x - a.x, b.y - a.y);
        }
        return sum;
    }
}

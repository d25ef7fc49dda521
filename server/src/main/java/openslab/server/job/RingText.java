package openslab.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.StringJoiner;
import openslab.core.floor.Outline.Corner;

/** A ring of corners as the coordinates of a GeoJSON line: {@code [[0,0],[2,0],[2,1.5]]}. */
final class RingText {
    private RingText() {}

    static String write(List<Corner> ring) {
        var text = new StringJoiner(",", "[", "]");
        ring.forEach(c -> text.add("[" + c.x() + "," + c.y() + "]"));
        return text.toString();
    }

    static List<Corner> read(String text) {
        String[] numbers = text.replaceAll("[\\[\\]]", "").split(",");
        var ring = new ArrayList<Corner>(numbers.length / 2);
        for (int i = 0; i < numbers.length; i += 2) {
            ring.add(new Corner(Double.parseDouble(numbers[i]), Double.parseDouble(numbers[i + 1])));
        }
        return ring;
    }
}

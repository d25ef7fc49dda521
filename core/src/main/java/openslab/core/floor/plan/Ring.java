package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Require;

/** A closed line within a room: round something, or round a part of the floor. */
public sealed interface Ring {
    /** Its corners in order, the last joined to the first; they enclose its true area. */
    List<Corner> corners();

    /** Once round it, m. */
    default double perimeterM() {
        return new Outline(corners()).perimeterM();
    }

    /** @param diameterM above 0 */
    record Circle(Corner centre, double diameterM) implements Ring {
        private static final int DRAWN = 72;

        public Circle {
            Require.positive(diameterM, "diameter");
        }

        @Override
        public double perimeterM() {
            return Math.PI * diameterM;
        }

        @Override
        public List<Corner> corners() {
            // a polygon of the circle's own area
            double radius = diameterM / 2 * Math.sqrt(2 * Math.PI / DRAWN / Math.sin(2 * Math.PI / DRAWN));
            var corners = new ArrayList<Corner>(DRAWN);
            for (int i = 0; i < DRAWN; i++) {
                double a = 2 * Math.PI * i / DRAWN;
                corners.add(new Corner(centre.x() + radius * Math.cos(a), centre.y() + radius * Math.sin(a)));
            }
            return corners;
        }
    }

    /** @param corner its first; {@code turn} radians, left positive, of its length from the first wall */
    record Box(Corner corner, double lengthM, double widthM, double turn) implements Ring {
        public Box {
            Require.positive(lengthM, "length");
            Require.positive(widthM, "width");
        }

        @Override
        public List<Corner> corners() {
            double ux = Math.cos(turn);
            double uy = Math.sin(turn);
            double x = corner.x();
            double y = corner.y();
            return List.of(
                    corner,
                    new Corner(x + lengthM * ux, y + lengthM * uy),
                    new Corner(x + lengthM * ux - widthM * uy, y + lengthM * uy + widthM * ux),
                    new Corner(x - widthM * uy, y + widthM * ux));
        }
    }

    /** By its corners, at least three. */
    record Path(List<Corner> corners) implements Ring {
        public Path {
            corners = List.copyOf(corners);
            Require.that(corners.size() >= 3, "corners must be at least 3, got %s", corners.size());
        }
    }
}

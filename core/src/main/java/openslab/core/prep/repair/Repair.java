package openslab.core.prep.repair;

import java.util.List;
import openslab.core.course.Step;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;

/**
 * Something made good.
 *
 * @param figures how much there is, and what it takes
 * @param exclusion what the client is told in writing; empty for nothing
 */
public record Repair(String id, String title, List<Step> steps, List<Figure> figures, String exclusion, Source source) {
    public Repair {
        steps = List.copyOf(steps);
        figures = List.copyOf(figures);
    }
}

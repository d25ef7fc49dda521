package openslab.core.course;

/** How much floor a course is about, m², and how much edge, m. */
public record Extent(double floorM2, double edgeM) {
    /** OURS: nobody works the last twentieth of what was measured apart. */
    private static final double WHOLE = 0.95;

    /** The share of {@code step} that so much of it is, m² or m; 1 where that is as good as all of it. */
    double share(Step step, double amount) {
        double share = amount / step.amount(this);
        return share >= WHOLE ? 1 : share;
    }
}

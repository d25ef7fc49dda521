package openslab.core.survey.instrument.check;

import java.time.Duration;

/** The hole has not settled yet. */
public final class Settling implements SampleCheck {
    private static final Duration DAY = Duration.ofHours(24);

    @Override
    public String id() {
        return "settling";
    }

    @Override
    public String title() {
        return "settling";
    }

    @Override
    public String because() {
        return "Drilling heats and dries the hole: for a day it tells of itself, not of the slab (ASTM F2170-18, from memory).";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.quantity().settles() && channel.running().compareTo(DAY) < 0;
    }
}

package openslab.core.survey.instrument.check;

import java.time.Duration;

/** The very same number over and over. */
public final class Stuck implements SampleCheck {
    /** OURS, both: no shorter run says that a sensor is dead. */
    private static final int SAMPLES = 12;

    private static final Duration LONG = Duration.ofHours(12);

    @Override
    public String id() {
        return "stuck";
    }

    @Override
    public String title() {
        return "stuck";
    }

    @Override
    public String because() {
        return "The very same number for half a day: a live sensor trembles in its last digit. Take it out, let it dry, put it back.";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.same() >= SAMPLES && channel.sameFor().compareTo(LONG) >= 0;
    }
}

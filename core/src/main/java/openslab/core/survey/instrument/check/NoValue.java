package openslab.core.survey.instrument.check;

/** The instrument gave no number. */
public final class NoValue implements SampleCheck {
    @Override
    public String id() {
        return "no-value";
    }

    @Override
    public String title() {
        return "no value";
    }

    @Override
    public String because() {
        return "The instrument wrote down a time and no number. Look at the cable and the sensor.";
    }

    @Override
    public boolean objects(Channel channel) {
        return !Double.isFinite(channel.sample().value());
    }
}

package openslab.core.survey.instrument.check;

/** No such value exists on a site. */
public final class OutOfRange implements SampleCheck {
    @Override
    public String id() {
        return "range";
    }

    @Override
    public String title() {
        return "out of range";
    }

    @Override
    public String because() {
        return "No floor and no air reads this. A temperature may be in the other unit; a sensor may be broken.";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.value() < channel.quantity().least()
                || channel.value() > channel.quantity().most();
    }
}

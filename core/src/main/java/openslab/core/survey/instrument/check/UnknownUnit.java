package openslab.core.survey.instrument.check;

/** The unit measures something else. */
public final class UnknownUnit implements SampleCheck {
    @Override
    public String id() {
        return "unit";
    }

    @Override
    public String title() {
        return "wrong unit";
    }

    @Override
    public String because() {
        return "The unit it gave does not measure this quantity, so nobody knows what the number means. Set the unit in the instrument.";
    }

    @Override
    public boolean objects(Channel channel) {
        return !channel.unitKnown();
    }
}

package openslab.core.survey.instrument.check;

/** Time stands still, goes back, or runs ahead. */
public final class ClockAstray implements SampleCheck {
    @Override
    public String id() {
        return "clock";
    }

    @Override
    public String title() {
        return "clock astray";
    }

    @Override
    public String because() {
        return "Its time is not after the sample before it, or is still to come. Set the clock in the instrument.";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.clockBack() || channel.sample().at().isAfter(channel.latest());
    }
}

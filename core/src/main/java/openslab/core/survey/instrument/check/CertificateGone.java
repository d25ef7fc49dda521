package openslab.core.survey.instrument.check;

/** No certificate held when it was written. */
public final class CertificateGone implements SampleCheck {
    @Override
    public String id() {
        return "certificate";
    }

    @Override
    public String title() {
        return "calibration lapsed";
    }

    @Override
    public String because() {
        return "No certificate held on that day. Have the instrument checked.";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.papers().map(p -> p.lapsed(channel.sample().at())).orElse(false);
    }
}

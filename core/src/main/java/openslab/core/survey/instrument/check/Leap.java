package openslab.core.survey.instrument.check;

/** It changed faster than it can. */
public final class Leap implements SampleCheck {
    /** OURS: as many in a row at the new value are no leap but a change. */
    private static final int STAYED = 6;

    @Override
    public String id() {
        return "leap";
    }

    @Override
    public String title() {
        return "leap";
    }

    @Override
    public String because() {
        return "It changed faster than a slab or a room can: a knock, a wet plug, or another unit. It counts again once it stays there.";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.leaps() > 0 && channel.leaps() < STAYED;
    }
}

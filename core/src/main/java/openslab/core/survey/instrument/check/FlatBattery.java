package openslab.core.survey.instrument.check;

/** The battery is too low for the sensor. */
public final class FlatBattery implements SampleCheck {
    /** OURS: two cells of 1.5 V, nearly empty. */
    private static final double LEAST_V = 2.7;

    @Override
    public String id() {
        return "battery";
    }

    @Override
    public String title() {
        return "flat battery";
    }

    @Override
    public String because() {
        return "Under 2.7 V the sensor is fed too little and reads anything. Change the battery.";
    }

    @Override
    public boolean objects(Channel channel) {
        return channel.sample().batteryV() < LEAST_V;
    }
}

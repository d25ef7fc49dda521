package openslab.core.silica;

import static openslab.core.silica.Respirator.APF_10;
import static openslab.core.silica.Respirator.APF_25;
import static openslab.core.silica.Respirator.NONE;

import java.util.Optional;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/** A row of the task table: the control that goes with a tool, and the respirator by place and by hours in a shift. */
public enum SilicaTask {
    HANDHELD_SAW("Handheld power saw", "water fed to the blade", NONE, APF_10, APF_10, APF_10),
    WALK_BEHIND_SAW("Walk-behind saw", "water fed to the blade", NONE, NONE, APF_10, APF_10),
    DRILL("Drill, in the hand or on a stand", "shroud and dust collector", NONE, NONE, NONE, NONE),
    CHIPPER("Jackhammer or chipper", "water, or shroud and dust collector", NONE, APF_10, APF_10, APF_10),
    MORTAR_GRINDER(
            "Handheld grinder, mortar removal",
            "shroud and at least 25 cfm per inch of wheel, 99 % filter",
            APF_10,
            APF_25,
            APF_10,
            APF_25),
    WET_GRINDER("Handheld grinder, with water", "water all the time, outdoors only", NONE, NONE, null, null),
    HAND_GRINDER(
            "Handheld grinder, with collector",
            "shroud and at least 25 cfm per inch of wheel, 99 % filter, pre-separator or filter cleaning",
            NONE,
            NONE,
            NONE,
            APF_10),
    FLOOR_GRINDER(
            "Walk-behind mill or floor grinder",
            "its maker's dust collector with 99 % filter and filter cleaning, or water; indoors loose dust goes into a HEPA vacuum between passes",
            NONE,
            NONE,
            NONE,
            NONE),
    DRIVABLE_SAW("Drivable saw", "water fed to the blade, outdoors only", NONE, NONE, null, null),
    UNLISTED("Other work that makes dust", "collector or water at the tool", null, null, null, null);

    /** Up to and with this many hours in a shift is the first column, above it the second. */
    private static final Bound COLUMN = Bound.atMost(Unit.HOUR.toBase(4), Unit.HOUR);

    private final String label;
    private final String control;
    private final Respirator outShort;
    private final Respirator outLong;
    private final Respirator inShort;
    private final Respirator inLong;

    SilicaTask(
            String label,
            String control,
            Respirator outShort,
            Respirator outLong,
            Respirator inShort,
            Respirator inLong) {
        this.label = label;
        this.control = control;
        this.outShort = outShort;
        this.outLong = outLong;
        this.inShort = inShort;
        this.inLong = inLong;
    }

    public String label() {
        return label;
    }

    /** What the table asks for at the tool. */
    public String control() {
        return control;
    }

    /**
     * What is worn; empty where the table does not list the task there, so that exposure has to be assessed.
     *
     * @param hours of one shift at every task of the table together: where several are done, the columns go by their sum
     *     (29 CFR 1926.1153(c)(1), from memory)
     */
    public Optional<Respirator> respirator(boolean indoors, double hours) {
        boolean brief = COLUMN.holds(Unit.HOUR.toBase(hours));
        return Optional.ofNullable(indoors ? brief ? inShort : inLong : brief ? outShort : outLong);
    }

    /** Whether the table lists it at all: only listed tasks add up. */
    public boolean isListed() {
        return this != UNLISTED;
    }

    /** Hours of a shift, as finely as it takes to see in which column they lie. */
    public static String text(double hours) {
        return COLUMN.text(Unit.HOUR.toBase(hours));
    }

    public Source source() {
        return Source.published("OSHA 29 CFR 1926.1153 Table 1, from memory; local rules decide");
    }
}

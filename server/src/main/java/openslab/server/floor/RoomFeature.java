package openslab.server.floor;

import static openslab.server.floor.RoomField.THINNEST_M;
import static openslab.server.floor.RoomField.choice;
import static openslab.server.floor.RoomField.corner;
import static openslab.server.floor.RoomField.length;
import static openslab.server.floor.RoomField.number;
import static openslab.server.floor.RoomField.place;
import static openslab.server.floor.RoomField.places;
import static openslab.server.floor.RoomField.small;
import static openslab.server.floor.RoomField.tick;
import static openslab.server.floor.RoomField.turn;
import static openslab.server.floor.RoomField.wall;
import static openslab.server.floor.RoomField.words;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import openslab.core.floor.plan.Room;

/**
 * What can stand in a room: how each is called and keyed in, and within which bounds it is read. The screen's form is made from this, and
 * {@link PlanReader} reads by it; {@code RoomFeatureTest} holds it against the forms of {@link PlanForm}.
 */
public enum RoomFeature {
    CHECKS(
            "Checks across",
            "Check",
            "A diagonal, or any measure from corner to corner: then all of them are adjusted together, and a misreading stands out.",
            corner("from", "From", 0),
            corner("to", "To", 2),
            length("length", "Length")),
    OPENINGS(
            "Not coated",
            "Cut-out",
            "Columns, drains, fixtures, pits. A round one has a diameter and no width; any other shape is told by its corners instead.",
            words("name", "Name", "Column"),
            choice("kind", "Kind", Room.Opening.Kind.class, Room.Opening.Kind::label),
            place("at", "").unless("corners"),
            length("length", "Length or diameter").unless("corners"),
            length("width", "Width").hint("empty: round").ifWanted(),
            turn("turn", "Turned").hint("L 45").ifWanted(),
            places("corners", "Corners").ifWanted()),
    DOORS(
            "Doors",
            "Door",
            "Taken off masking, trim and cove. Mark the way out: the last bay ends there.",
            wall("run", "Wall"),
            length("along", "Along it").from(0),
            length("width", "Width"),
            tick("exit", "Way out")),
    CUTS(
            "Zone lines",
            "Line",
            "Parts one zone from the next, from wall to wall through two places or more. A ring goes back to where it began, round a zone "
                    + "within the floor.",
            place("from", "From: "),
            place("to", "To: "),
            places("more", "And on through").ifWanted(),
            tick("ring", "Ring")),
    JOINTS(
            "Joints",
            "Joint",
            "As many must be cut again as were buried, and as many buried as were marked. One that parts zones goes on from wall to wall.",
            choice("kind", "Kind", Room.Joint.Kind.class, Room.Joint.Kind::label),
            place("from", "From: "),
            place("to", "To: "),
            small("width", "Width", 0, 0.5).fresh("1/4\"", "6 mm"),
            small("depth", "Depth", 0, 2).fresh("1/4\"", "6 mm"),
            tick("marked", "Marked"),
            tick("buried", "Buried"),
            tick("recut", "Cut again"),
            tick("parts", "Parts zones")),
    CRACKS(
            "Cracks",
            "Crack",
            "A moving crack comes back through any coating: say so in writing.",
            places("line", "Places"),
            small("width", "Width", 0, 0.5).fresh("1/16\"", "1.5 mm"),
            small("depth", "Depth", 0, 2).fresh("1/4\"", "6 mm"),
            tick("moving", "Moving")),
    RAMPS(
            "Ramps and slopes",
            "Ramp",
            "Coated at its own length, which is more than it looks from above.",
            words("name", "Name", "Ramp"),
            place("at", ""),
            length("length", "Level length"),
            length("width", "Width"),
            turn("turn", "Turned").fresh("S", "S"),
            small("rise", "Rise", THINNEST_M, 20)),
    STAIRS(
            "Steps",
            "Flight",
            "A flight has one tread fewer than risers; the landing above is floor.",
            words("name", "Name", "Steps"),
            length("width", "Width").to(100),
            number("risers", "Risers", 1, 200).fresh("3", "3"),
            small("riser", "Riser", 0.01, 1),
            small("tread", "Tread", 0.01, 5)),
    LIPS(
            "Lips",
            "Lip",
            "Where one surface stands above the next: upright, bevelled or ramped, by its height.",
            words("name", "Name", "Lip"),
            place("from", "From: "),
            place("to", "To: "),
            small("height", "Height", THINNEST_M, 1)),
    GAPS(
            "Under a straightedge",
            "Gap",
            "The widest gap under an edge of 10 ft, or of 12 in, and where its middle lay.",
            place("at", ""),
            length("edge", "Straightedge").from(0.05).to(20).fresh("10'", "3 m"),
            small("gap", "Widest gap", 0, 0.5));

    /** A feature as a screen makes its form. @param list its name in the form of a room */
    public record FeatureView(String list, String title, String add, String about, List<RoomField> fields) {}

    private final String title;
    private final String add;
    private final String about;
    private final List<RoomField> fields;

    RoomFeature(String title, String add, String about, RoomField... fields) {
        this.title = title;
        this.add = add;
        this.about = about;
        this.fields = List.of(fields);
    }

    /** Its name in the form of a room. */
    public String list() {
        return name().toLowerCase(Locale.ROOT);
    }

    public List<RoomField> fields() {
        return fields;
    }

    RoomField field(String id) {
        return fields.stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    public static List<FeatureView> views() {
        return Stream.of(values())
                .map(f -> new FeatureView(f.list(), f.title, f.add, f.about, f.fields))
                .toList();
    }
}

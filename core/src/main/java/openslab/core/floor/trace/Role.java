package openslab.core.floor.trace;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What the lines of a layer are on a plan. */
public enum Role {
    ROOM("Walls of rooms", true),
    ZONE("Zones", true),
    CUT_OUT("Cut-outs", true),
    COLUMN("Columns", true),
    DRAIN("Drains", true),
    FIXTURE("Fixtures", true),
    CONTROL("Control joints", false),
    CONSTRUCTION("Construction joints", false),
    EXPANSION("Expansion joints", false),
    CRACK("Cracks", false),
    MOVING_CRACK("Moving cracks", false),
    ZONE_LINE("Zone lines", false),
    LEAVE("Leave out", false);

    /** Words of layer names, the telling ones first; ours, any drawing may mean something else. */
    private static final Map<String, Role> WORDS = words(
            ZONE_LINE, "zone_line zone-line",
            CUT_OUT, "cut_out cut-out cutout opening pit hole void",
            MOVING_CRACK, "moving",
            CRACK, "crack",
            EXPANSION, "expansion isolation",
            CONSTRUCTION, "construction cold_joint",
            CONTROL, "control contraction saw joint",
            COLUMN, "column post pillar pier",
            DRAIN, "drain gully sump",
            FIXTURE, "fixture equip bath tub toilet sink basin furniture",
            LEAVE, "part door dim text hatch title border",
            ZONE, "zone area bay",
            ROOM, "room wall outline floor slab perimeter");

    private final String label;
    private final boolean ring;

    Role(String label, boolean ring) {
        this.label = label;
        this.ring = ring;
    }

    public String label() {
        return label;
    }

    private static Map<String, Role> words(Object... rolesAndWords) {
        Map<String, Role> words = new LinkedHashMap<>();
        for (int i = 0; i < rolesAndWords.length; i += 2) {
            for (String word : ((String) rolesAndWords[i + 1]).split(" ")) {
                words.put(word, (Role) rolesAndWords[i]);
            }
        }
        return words;
    }

    /** What a layer's name suggests; empty where it says nothing. */
    public static Optional<Role> suggestedBy(String layer) {
        String name = layer.toLowerCase(Locale.ROOT);
        return WORDS.entrySet().stream()
                .filter(e -> name.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    /** Whether its lines must close. */
    public boolean isRing() {
        return ring;
    }
}

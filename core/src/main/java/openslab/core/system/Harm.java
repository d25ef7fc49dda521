package openslab.core.system;

import java.util.Arrays;
import java.util.Optional;

/** What can hurt at a step of laying: the usual cautions. Local rules, the sheet in hand and licensed people decide. */
public enum Harm {
    AMINE(
            "amine",
            "Hardeners can make skin sensitive for good: gloves and goggles; wash with soap, never with solvent."),
    HOT_BUCKET("hot-bucket", "A full bucket heats up and runs away: pour it out at once, and never stand over it."),
    ACID(
            "acid",
            "Acid: goggles, gloves, long sleeves, boots. Acid goes into water, never water into acid. Nothing of it in a drain unless local rules let it."),
    AMMONIA("ammonia", "Ammonia never meets bleach, and never acid that is still wet: the gas kills."),
    SOLVENT(
            "solvent",
            "Flammable vapour lies on the floor: no pilot light, no spark, doors open, metal earthed; respirator with organic cartridges."),
    ODOUR("odour", "People in the house smell it for days: tell them before, and open what can be opened."),
    SILICA("silica", "Silica dust: shroud and vacuum, or water; respirator for the task."),
    CEMENT(
            "cement",
            "Wet cement burns skin and eyes, and its dust is silica: gloves, goggles, respirator while bags are poured."),
    SLIP(
            "slip",
            "Slippery while it is wet, and slippery afterwards where nothing rough is in it: keep people off, say it at handover."),
    MACHINE("machine", "A 175 rpm machine throws an untrained user."),
    BLADE("blade", "Blades: cut away from the hand, and put them away closed.");

    private final String id;
    private final String words;

    Harm(String id, String words) {
        this.id = id;
        this.words = words;
    }

    public String id() {
        return id;
    }

    public String words() {
        return words;
    }

    public static Optional<Harm> find(String id) {
        return Arrays.stream(values()).filter(h -> h.id.equals(id)).findFirst();
    }
}

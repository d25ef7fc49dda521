package openslab.core.course.work;

import java.util.Locale;

/** Something that lies ready before the clock is started. */
public enum Item {
    BROOM("Broom and dust-mop", Kind.TOOL),
    VACUUM("Vacuum with HEPA filter", Kind.TOOL),
    HAND_GRINDER("7 in hand grinder with shroud", Kind.TOOL),
    FLOOR_GRINDER("Floor grinder with its dust collector", Kind.TOOL),
    BLASTER("Shot-blaster with its dust collector, shot, magnet", Kind.TOOL),
    SCARIFIER("Scarifier with its dust collector", Kind.TOOL),
    BLAST_POT("Blast pot, media, screens round the floor", Kind.TOOL),
    CHIPPER("Light hammers and scrapers, dust collector", Kind.TOOL),
    SAW("Saw or grinder with a diamond blade, shroud or water", Kind.TOOL),
    SCRUBBER("175 rpm machine and pads, square pad for the walls", Kind.TOOL),
    BRUSHES("Stiff brushes for edges, grout and corners", Kind.TOOL),
    SPRAYER("Acid-proof can or sprayer", Kind.TOOL),
    WASHER("Pressure washer with fan tip", Kind.TOOL),
    WET_VACUUM("Wet vacuum and somewhere for the slurry", Kind.TOOL),
    MOPS("Separate buckets and mops: strip, rinse, finish", Kind.TOOL),
    SANDER("Sander with vacuum, paper or screens", Kind.TOOL),
    CLOTHS("Fresh cloths, and a lidded tin for used ones", Kind.TOOL, true),
    MIXER("Mixing drill, pails, trowels, straight board", Kind.TOOL),
    TAPE("Masking tape, film, knife", Kind.TOOL, true),
    PADDLE("Drill and paddle, big dry clean bucket", Kind.TOOL),
    EDGE_BRUSH("Brush for the edges", Kind.TOOL, true),
    SQUEEGEE("14 in squeegee", Kind.TOOL),
    ROLLER("Roller on a pole, nap as the sheet has it, lint picked off", Kind.TOOL),
    MINI_ROLLER("Mini roller for edges", Kind.TOOL, true),
    TRAY("Tray, lined; can rims taped", Kind.TOOL),
    SPIKES("Spiked shoes", Kind.TOOL, true),
    SOCKS("Clean socks for indoors", Kind.TOOL, true),
    PLASTIC_SPRAYER("Plastic sprayer, no metal in it", Kind.TOOL),
    SOLVENT_SPRAYER("Solvent-proof sprayer, stainless, 40 to 45 psi, earthed", Kind.TOOL),
    WATER_SPRAYER("Clean sprayer, 40 to 45 psi, rinsed with water after", Kind.TOOL),
    PLASTIC_BUCKET("Plastic bucket and stick, no metal", Kind.TOOL),
    HOPPER("Hopper or texture sprayer, compressor", Kind.TOOL),
    WHITE_CLOTHS("White cloths, clean", Kind.TOOL, true),
    FINISH_MOP("Mop and bucket for finish only", Kind.TOOL),
    PLUMB_CUPS("Measuring pails, one for each part", Kind.TOOL, true),
    LAMP("Lamp laid on the floor, to see misses", Kind.TOOL),
    PINS("Pins or nails", Kind.TOOL, true),
    CHALK_LINE("Chalk line", Kind.TOOL),
    GAUGE_RAKE("Gauge rake set to the depth, float, mist bottle", Kind.TOOL),
    STAMPS("Stamps in order of placing, release", Kind.TOOL),
    TROWELS("Trowels: notched, wide steel, small blades; hard foam float", Kind.TOOL),
    FIBRE_TAPE("Fibre tape in the widths of the planks", Kind.TOOL, true),
    DRILL("Drill with a bit of the nail's size", Kind.TOOL),
    ACETONE_SPRAYER("Solvent-proof sprayer for dye, earthed", Kind.TOOL),
    SOFT_BRUSH("Soft wide brush, mist bottle, spare hands", Kind.TOOL),
    BAGS("Every bag of the layer opened and felt: no lumps", Kind.TOOL, true),
    FOAM("Foam or tape for the expansion gaps", Kind.TOOL, true),
    SHOVEL("Shovels and a barrow", Kind.TOOL),
    GRIT_BLOCK("20 grit block", Kind.TOOL),
    TEST_KIT("Dropper, pH paper, tack cloth, plaques", Kind.TOOL),
    SODA("Baking soda mixed and at hand", Kind.CHEMICAL, true),
    FRESH_WATER("Fresh water running", Kind.CHEMICAL),
    GOGGLES("Goggles", Kind.PPE, true),
    GLOVES("Chemical-proof gloves", Kind.PPE, true),
    BOOTS("Boots that grip wet", Kind.PPE),
    EARS("Hearing protection", Kind.PPE, true),
    RESPIRATOR("Respirator for the task, fitted", Kind.PPE),
    AIR("Doors open, air moving, no flame", Kind.PLACE),
    CLOSED_OFF("Floor closed off, drains covered", Kind.PLACE),
    TRAINED("A hand trained on the machine", Kind.PEOPLE),
    HELPER("A second pair of hands", Kind.PEOPLE);

    /** What sort of thing. */
    public enum Kind {
        TOOL("Tools"),
        CHEMICAL("Chemicals"),
        PPE("Protection"),
        PLACE("Place"),
        PEOPLE("People");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final String label;
    private final Kind kind;

    private final boolean bought;

    Item(String label, Kind kind) {
        this(label, kind, false);
    }

    Item(String label, Kind kind, boolean bought) {
        this.label = label;
        this.kind = kind;
        this.bought = bought;
    }

    /** How a tick names it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public String label() {
        return label;
    }

    public Kind kind() {
        return kind;
    }

    /** Whether it is used up, or goes with whoever wears it: a line of the bill stands for it. */
    public boolean isBought() {
        return bought;
    }

    /** Whether the crew brings it: no bill lists it. */
    public boolean isOwn() {
        return !bought && kind != Kind.PLACE && kind != Kind.PEOPLE;
    }
}

package openslab.server.system;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.prep.Extra;
import openslab.core.prep.Opening;
import openslab.core.product.LayerRole;
import openslab.core.system.Blemish;
import openslab.core.system.Face;
import openslab.core.system.Rung;
import org.jspecify.annotations.Nullable;

/**
 * A system as it is written in its file: texts with units, and works, gates and harms by their ids.
 *
 * @param on substrates that it may lie on; {@code besides} those of them for which it is not made first; {@code uses} what it is meant for
 * @param rung how much is done to the floor
 * @param never what it does not hide, whatever anybody does
 * @param asks what it asks of the floor, in words; {@code prep} how it wants the floor made ready
 */
public record SystemForm(
        String id,
        String title,
        String note,
        @ArraySchema(schema = @Schema(implementation = Substrate.class)) List<String> on,
        @Nullable @ArraySchema(schema = @Schema(implementation = Substrate.class)) List<String> besides,
        @ArraySchema(schema = @Schema(implementation = Use.class)) List<String> uses,
        List<LayerPart> layers,
        @Schema(implementation = Rung.class) String rung,
        FacePart face,
        @ArraySchema(schema = @Schema(implementation = Blemish.class)) List<String> hides,
        @ArraySchema(schema = @Schema(implementation = Blemish.class)) List<String> never,
        String look,
        String asks,
        @Nullable MadeReadyPart prep,
        String care) {
    /**
     * How its floor is made ready; left out where whatever opens the floor enough will do.
     *
     * @param ways that it takes, the best first
     * @param also what is done besides, whichever way
     * @param still whether nothing is blown over the floor and nothing laid below that carries no static away
     */
    public record MadeReadyPart(
            @Nullable List<ReadyWayPart> ways,
            @Nullable @ArraySchema(schema = @Schema(implementation = Extra.class)) List<String> also,
            @Nullable Boolean still) {}

    /**
     * One way of preparing.
     *
     * @param method by its id
     * @param on floors on which it is taken; left out for every floor that the method is for
     * @param why the system takes it
     * @param chemical what is mixed for it, by its id; left out for what the method usually takes. {@code strength} as a label has
     *     it, {@code spread} how far the mix goes
     * @param pressure at which the floor is washed in it or after it
     * @param manner how it is done otherwise than usual
     */
    public record ReadyWayPart(
            String method,
            @Nullable @ArraySchema(schema = @Schema(implementation = Substrate.class)) List<String> on,
            String why,
            @Nullable String chemical,
            @Nullable String strength,
            @Nullable String spread,
            @Nullable String pressure,
            @Nullable @ArraySchema(schema = @Schema(implementation = Opening.Manner.class)) List<String> manner) {}

    /** What it is like afterwards. @param money 1 the least to 4 */
    public record FacePart(
            @Schema(implementation = Face.Tone.class) String tone,
            @Schema(implementation = Face.Texture.class) String texture,
            @Schema(implementation = Face.Grip.class) String grip,
            @Schema(implementation = Face.Later.class) String later,
            int money) {}

    /**
     * One layer, from the floor upward.
     *
     * @param sheet the slug of the sheet it is usually laid of
     * @param water the slug of the sheet that water carries, where {@code sheet} is one that solvent carries
     * @param way how it is laid, by the id of a way; or {@code steps}, its own; as its material usually is where it has neither
     * @param when why it would be laid, where it is not always; {@code indoors} whether it is laid indoors where nobody says otherwise
     */
    public record LayerPart(
            String id,
            String title,
            @Schema(implementation = LayerRole.class) String role,
            String sheet,
            @Nullable String water,
            @Nullable String way,
            @Nullable List<StepPart> steps,
            @Nullable String when,
            @Nullable Boolean indoors) {}

    /** A way of laying that several systems share. */
    record WayForm(List<StepPart> steps) {}

    /**
     * One step. With {@code settle} it is nothing but that: what is settled before, because it cannot be undone cheaply.
     *
     * @param which of the layer's steps of the same work it is
     * @param chemical what is mixed for it where it is a wash, {@code strength} as a label has it, {@code spread} how far it goes
     * @param gate the id of what closes it; {@code hours} how long it dries where that is the gate
     * @param coat whether it puts the material on the floor
     */
    public record StepPart(
            @Nullable String settle,
            @Nullable String work,
            @Nullable String which,
            @Nullable String title,
            @Nullable String does,
            String why,
            @Nullable List<String> harms,
            @Nullable String chemical,
            @Nullable String strength,
            @Nullable String spread,
            @Nullable String gate,
            @Nullable String hours,
            @Nullable Boolean fan,
            @Nullable WaitPart waits,
            @Nullable List<String> again,
            @Nullable Boolean coat) {}

    /**
     * What has to pass: a time ({@code fixed}), a look ({@code look}, {@code usual}, {@code until}), what the sheet says
     * ({@code sheet}), or a window by temperature.
     */
    public record WaitPart(
            @Nullable String fixed,
            @Nullable String look,
            @Nullable String usual,
            @Nullable String until,
            @Nullable String sheet,
            @Nullable List<WindowPart> window) {}

    /** @param at a temperature of the slab */
    public record WindowPart(String at, String opens, String closes) {}
}

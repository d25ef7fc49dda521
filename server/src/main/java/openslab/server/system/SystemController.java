package openslab.server.system;

import java.util.List;
import java.util.UUID;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.product.LayerRole;
import openslab.core.quantity.InvalidInput;
import openslab.core.system.Blemish;
import openslab.core.system.Face;
import openslab.core.system.Rung;
import openslab.server.web.Named;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which ways there are to finish a floor, and those that the shop adds. */
@RestController
@RequestMapping("/api/systems")
class SystemController {
    /** @param ways the ids of ways that any layer may be laid in */
    record SystemFieldsView(
            List<Named> substrates,
            List<Named> uses,
            List<Named> roles,
            List<Named> rungs,
            List<Named> tones,
            List<Named> textures,
            List<Named> grips,
            List<Named> later,
            List<Named> blemishes,
            List<String> ways) {}

    private final Systems systems;
    private final OwnSystems own;

    SystemController(Systems systems, OwnSystems own) {
        this.systems = systems;
        this.own = own;
    }

    @GetMapping
    List<Systems.Listed> systems() {
        return systems.listed();
    }

    @GetMapping("/fields")
    SystemFieldsView fields() {
        return new SystemFieldsView(
                Named.all(Substrate.class, Substrate::label),
                Named.all(Use.class, Use::label),
                Named.all(LayerRole.class, LayerRole::label),
                Named.all(Rung.class, Rung::words),
                Named.all(Face.Tone.class, Face.Tone::label),
                Named.all(Face.Texture.class, Face.Texture::label),
                Named.all(Face.Grip.class, Face.Grip::label),
                Named.all(Face.Later.class, Face.Later::label),
                Named.all(Blemish.class, Blemish::label),
                systems.shared());
    }

    /** A system of the shop's own: a new one, or its next version; floors that were begun with an earlier one keep that. */
    @PutMapping("/{id}")
    List<Systems.Listed> put(
            @PathVariable String id,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestHeader("If-Match") String version,
            @RequestBody SystemForm form) {
        if (!id.equals(form.id())) {
            throw new InvalidInput("id", form.id(), id + ", as in the address");
        }
        own.put(key, seen(version), form);
        return systems.listed();
    }

    private static int seen(String version) {
        String digits = version.replace("\"", "");
        if (!digits.matches("\\d{1,6}")) {
            throw new InvalidInput("If-Match", version, "the version that was seen; 0 for a new one");
        }
        return Integer.parseInt(digits);
    }
}

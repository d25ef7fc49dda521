package openslab.server.lay;

import java.util.UUID;
import openslab.core.job.LayerChoice;
import openslab.core.mix.Allowance;
import openslab.core.mix.recipe.Recipe;
import openslab.core.mix.recipe.WeighIn;
import openslab.core.product.ProductSheet;
import openslab.server.job.ZoneReader;
import openslab.server.mix.Recipes;
import openslab.server.web.NotHere;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What one layer of a floor is mixed of: its sheet as it is laid there. Nothing is stored. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/layers/{layerId}/recipe")
class LayerRecipeController {
    private final ZoneReader reader;

    LayerRecipeController(ZoneReader reader) {
        this.reader = reader;
    }

    @GetMapping("/fields")
    Recipes.RecipeFieldsView fields(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return Recipes.fields(laid(jobId, zoneId, layerId).sheet());
    }

    @PostMapping
    Recipe recipe(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestBody Recipes.RecipeForm form) {
        Laid laid = laid(jobId, zoneId, layerId);
        return Recipes.of(laid.sheet(), laid.allowance(), form);
    }

    @PostMapping("/weigh-in")
    WeighIn weighIn(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestBody Recipes.WeighForm form) {
        Laid laid = laid(jobId, zoneId, layerId);
        return Recipes.weighIn(laid.sheet(), laid.allowance(), form);
    }

    /** @param allowance that goes on top when it is mixed */
    private record Laid(ProductSheet sheet, Allowance allowance) {}

    private Laid laid(UUID jobId, UUID zoneId, String layerId) {
        return reader.zone(jobId, zoneId, zone -> {
            LayerChoice choice = zone.facts().layers().stream()
                    .filter(l -> l.id().equals(layerId))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("layerId", layerId));
            return new Laid(
                    zone.facts().taken(choice), zone.facts().mixing(choice).allowance());
        });
    }
}

package openslab.server.mix;

import openslab.core.mix.Allowance;
import openslab.core.mix.recipe.Recipe;
import openslab.core.mix.recipe.WeighIn;
import openslab.core.product.ProductSheet;
import openslab.server.product.SheetStore;
import openslab.server.web.NotHere;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Any sheet, any amount, any vessel; what the scale showed, and what to do about it. Nothing is stored. */
@RestController
@RequestMapping("/api/sheets/{slug}/recipe")
class RecipeController {
    private final SheetStore sheets;

    RecipeController(SheetStore sheets) {
        this.sheets = sheets;
    }

    @GetMapping("/fields")
    Recipes.RecipeFieldsView fields(@PathVariable String slug) {
        return Recipes.fields(sheet(slug));
    }

    @PostMapping
    Recipe recipe(@PathVariable String slug, @RequestBody Recipes.RecipeForm form) {
        return Recipes.of(sheet(slug), Allowance.of(0), form);
    }

    @PostMapping("/weigh-in")
    WeighIn weighIn(@PathVariable String slug, @RequestBody Recipes.WeighForm form) {
        return Recipes.weighIn(sheet(slug), Allowance.of(0), form);
    }

    private ProductSheet sheet(String slug) {
        return sheets.onShelf(slug)
                .orElseThrow(() -> new NotHere("sheet", slug))
                .sheet();
    }
}

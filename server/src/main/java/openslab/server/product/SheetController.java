package openslab.server.product;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import openslab.core.floor.Substrate;
import openslab.core.product.Chemistry;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Suits;
import openslab.core.product.Traits;
import openslab.core.product.Waiver;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.Film;
import openslab.server.store.Writes;
import openslab.server.web.Named;
import openslab.server.web.NotHere;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The shelf of product sheets. */
@RestController
@RequestMapping("/api/sheets")
class SheetController {
    /**
     * @param films wet and dry film of one coat, with their working; empty for a broadcast
     * @param classes how else a broadcast is thrown, as its sheet has it
     */
    record SheetView(
            String slug,
            String digest,
            String name,
            String role,
            SheetForm form,
            List<Figure> films,
            List<ClassView> classes) {
        static SheetView of(SheetStore.Stored s) {
            UnitSystem units = UnitSystem.valueOf(s.form().units());
            return new SheetView(
                    s.sheet().slug(),
                    s.digest(),
                    s.sheet().name(),
                    s.sheet().role().name(),
                    s.form(),
                    s.sheet()
                            .liquid()
                            .filter(Liquid::isFilm)
                            .map(l -> List.of(Film.wet(l, units), Film.dry(l, units)))
                            .orElse(List.of()),
                    s.sheet()
                            .broadcast()
                            .map(b -> b.classes().stream()
                                    .map(c -> new ClassView(
                                            c.name(), Show.in(units, Dimension.MASS_PER_AREA, c.kgPerM2())))
                                    .toList())
                            .orElse(List.of()));
        }
    }

    record ClassView(String name, String rate) {}

    /** What may be keyed into a sheet. */
    record SheetFieldsView(
            List<Named> roles,
            List<KindView> kinds,
            TraitsView traits,
            List<Field> handling,
            Field broadcast,
            List<Field> limits,
            List<Named> clocks,
            List<Named> exposures) {}

    /** A kind of material. @param numbers what only this kind has */
    record KindView(String id, String label, List<Field> liquid, List<Field> numbers) {}

    /** What may be said of a material on a floor. */
    record TraitsView(
            List<Named> chemistries,
            List<Named> substrates,
            List<Named> waives,
            List<Named> suits,
            List<Named> opacities,
            List<Named> glosses,
            List<Named> odours,
            Field voc) {}

    private final SheetStore sheets;
    private final Writes writes;
    private final SheetCsv csv;

    SheetController(SheetStore sheets, Writes writes, SheetCsv csv) {
        this.sheets = sheets;
        this.writes = writes;
        this.csv = csv;
    }

    @GetMapping
    List<SheetView> shelf() {
        return sheets.shelf().stream().map(SheetView::of).toList();
    }

    @GetMapping("/fields")
    SheetFieldsView fields() {
        return new SheetFieldsView(
                Named.all(LayerRole.class, LayerRole::label),
                Arrays.stream(Material.Kind.values())
                        .map(k -> new KindView(
                                k.name(), k.label(), SheetFields.LIQUID.get(k), SheetFields.NUMBERS.get(k)))
                        .toList(),
                new TraitsView(
                        Named.all(Chemistry.class, Chemistry::label),
                        Named.all(Substrate.class, Substrate::label),
                        Named.all(Waiver.class, Waiver::label),
                        Named.all(Suits.class, Suits::label),
                        Named.all(Traits.Opacity.class, Traits.Opacity::label),
                        Named.all(Traits.Gloss.class, Traits.Gloss::label),
                        Named.all(Traits.Odour.class, Traits.Odour::label),
                        SheetFields.VOC),
                SheetFields.HANDLING,
                SheetFields.BROADCAST,
                SheetFields.LIMITS,
                Named.all(Clock.class, Clock::label),
                Named.all(Exposure.class, Exposure::label));
    }

    /** A sheet as it stands on the shelf, as its file. */
    @GetMapping(value = "/{slug}/sheet.json", produces = "application/json")
    ResponseEntity<SheetForm> json(@PathVariable String slug) {
        return ResponseEntity.ok().headers(named(slug + ".json")).body(form(slug));
    }

    /** The same in two columns. */
    @GetMapping(value = "/{slug}/sheet.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> csv(@PathVariable String slug) {
        return ResponseEntity.ok().headers(named(slug + ".csv")).body(csv.write(form(slug)));
    }

    /** What a CSV file says, to be looked through and then put on the shelf; nothing is stored. */
    @PostMapping(value = "/read", consumes = "text/csv")
    SheetForm read(@RequestBody(required = false) @Nullable String file) {
        return csv.read(file == null ? "" : file);
    }

    private SheetForm form(String slug) {
        return sheets.onShelf(slug)
                .orElseThrow(() -> new NotHere("sheet", slug))
                .form();
    }

    private static HttpHeaders named(String file) {
        var headers = new HttpHeaders();
        headers.setContentDisposition(
                ContentDisposition.attachment().filename(file).build());
        return headers;
    }

    /** Puts a new sheet on the shelf; its name must not be taken by another. */
    @PostMapping
    SheetView add(@RequestHeader("Idempotency-Key") UUID key, @RequestBody SheetForm form) {
        String digest = writes.once(key, List.of("sheet", form), () -> {
            String slug = SheetReader.read(form).sheet().slug();
            if (sheets.onShelf(slug).isPresent()) {
                var faults = new Faults();
                faults.add("name", form.name(), "a name that no sheet on the shelf has");
                faults.check();
            }
            return sheets.shelve(form);
        });
        return SheetView.of(sheets.of(digest));
    }

    /** Replaces the sheet on the shelf; jobs keep the sheet they were planned with until somebody changes it there. */
    @PutMapping("/{slug}")
    SheetView edit(
            @PathVariable String slug,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestHeader("If-Match") String seen,
            @RequestBody SheetForm form) {
        String digest = writes.once(key, List.of("sheet", slug, seen, form), () -> {
            return sheets.replace(slug, seen.replace("\"", ""), form.called(slug));
        });
        return SheetView.of(sheets.of(digest));
    }
}

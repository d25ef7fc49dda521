package openslab.server.instrument;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import openslab.core.quantity.Faults;
import openslab.core.survey.instrument.Quantity;
import openslab.server.web.Named;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files that loggers wrote: offered, looked over, taken over in the background, and stopped if need be. */
@RestController
@RequestMapping("/api/logger-files")
class LoggerFileController {
    record StartForm(UUID instrumentId, ColumnMapping mapping) {}

    /** What a mapping is chosen from. */
    record ChoicesView(List<Named> timeFormats, List<Named> quantities) {}

    private final LoggerImports imports;

    LoggerFileController(LoggerImports imports) {
        this.imports = imports;
    }

    @GetMapping("/choices")
    ChoicesView choices() {
        return new ChoicesView(
                Arrays.stream(TimeFormat.values())
                        .map(f -> new Named(f.name(), f.label()))
                        .toList(),
                Named.all(Quantity.class, Quantity::label));
    }

    /** The file as it is, however long; nothing of it is stored yet. */
    @PostMapping(consumes = "text/csv")
    @ResponseStatus(HttpStatus.CREATED)
    @RequestBody(content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    LoggerImports.FileOffer offer(@RequestParam String timeZone, HttpServletRequest request) throws IOException {
        var faults = new Faults();
        faults.timeZone("timeZone", timeZone);
        faults.check();
        return imports.offer(request.getInputStream(), timeZone);
    }

    @PostMapping("/{fileId}/start")
    LoggerImports.Progress start(
            @PathVariable UUID fileId, @org.springframework.web.bind.annotation.RequestBody StartForm form) {
        var faults = new Faults();
        if (form.instrumentId() == null) {
            faults.add("instrumentId", null, "the instrument that wrote the file");
        }
        faults.check();
        return imports.start(fileId, form.instrumentId(), form.mapping());
    }

    @GetMapping("/{fileId}")
    LoggerImports.Progress progress(@PathVariable UUID fileId) {
        return imports.progress(fileId);
    }

    @DeleteMapping("/{fileId}")
    LoggerImports.Progress stop(@PathVariable UUID fileId) {
        return imports.stop(fileId);
    }
}

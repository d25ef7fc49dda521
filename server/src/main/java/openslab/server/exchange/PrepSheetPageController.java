package openslab.server.exchange;

import java.util.UUID;
import openslab.server.prep.PrepSheets;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The preparation of a zone to take along on paper. */
@RestController
@RequestMapping("/api/prep-sheets")
class PrepSheetPageController {
    private final PrepSheets sheets;

    PrepSheetPageController(PrepSheets sheets) {
        this.sheets = sheets;
    }

    @GetMapping(value = "/{jobId}/{zoneId}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> page(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        String page = sheets.read(
                jobId,
                zoneId,
                r -> PrepSheetPage.of(
                        r.zone().job().facts(),
                        r.zone().report(),
                        r.sheet(),
                        r.zone().now()));
        return Pdf.shown("preparation-sheet.pdf", page);
    }
}

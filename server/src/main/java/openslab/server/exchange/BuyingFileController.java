package openslab.server.exchange;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import openslab.server.buy.TakeOffs;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is bought, to be checked in a spreadsheet, sent to a supplier, or taken along on paper. */
@RestController
@RequestMapping("/api/jobs/{jobId}")
class BuyingFileController {
    private static final String XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final TakeOffs takeOffs;

    BuyingFileController(TakeOffs takeOffs) {
        this.takeOffs = takeOffs;
    }

    @GetMapping(value = "/take-off.xlsx", produces = XLSX)
    ResponseEntity<byte[]> takeOff(@PathVariable UUID jobId) {
        return file("take-off.xlsx", takeOffs.read(jobId, TakeOffXlsx::of));
    }

    @GetMapping(value = "/order.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<byte[]> orderLines(@PathVariable UUID jobId) {
        String lines = takeOffs.read(jobId, r -> OrderCsv.of(r.takeOff().bill()));
        return file("order.csv", lines.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping(value = "/order.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> orderPage(@PathVariable UUID jobId) {
        return Pdf.shown("order.pdf", takeOffs.read(jobId, OrderPage::of));
    }

    private static ResponseEntity<byte[]> file(String name, byte[] bytes) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(bytes);
    }
}

package openslab.server.document;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import openslab.server.job.JobStore;
import openslab.server.product.SheetStore;
import openslab.server.store.Snapshot;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Papers kept with a job, and with a sheet of the shelf. */
@RestController
class DocumentController {
    /** @param at when it was kept; {@code bytes} how many */
    record DocumentView(UUID id, String name, String kind, int bytes, Instant at, boolean putAway) {
        static DocumentView of(Document d) {
            return new DocumentView(d.id(), d.name(), d.kind().name(), d.bytes(), d.at(), d.putAway());
        }
    }

    /** @param changes of the job, when these were its documents */
    record JobDocuments(long changes, List<DocumentView> documents) {}

    record DocumentForm(String name, boolean putAway) {
        private String named() {
            return Document.named(name);
        }
    }

    private final DocumentStore documents;
    private final JobStore jobs;
    private final SheetStore sheets;
    private final Writes writes;
    private final Snapshot snapshot;

    DocumentController(DocumentStore documents, JobStore jobs, SheetStore sheets, Writes writes, Snapshot snapshot) {
        this.documents = documents;
        this.jobs = jobs;
        this.sheets = sheets;
        this.writes = writes;
        this.snapshot = snapshot;
    }

    @GetMapping("/api/jobs/{jobId}/documents")
    JobDocuments ofJob(@PathVariable UUID jobId) {
        return snapshot.of(() -> new JobDocuments(jobs.get(jobId).changes(), views(documents.ofJob(jobId))));
    }

    @GetMapping("/api/sheets/{slug}/documents")
    List<DocumentView> ofSheet(@PathVariable String slug) {
        requireSheet(slug);
        return views(documents.ofSheet(slug));
    }

    /** The write's key becomes the document's id. @param name what it is called */
    @PostMapping(
            value = "/api/jobs/{jobId}/documents",
            consumes = {MediaType.APPLICATION_PDF_VALUE, MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(mediaType = "application/pdf", schema = @Schema(type = "string", format = "binary")))
    DocumentView keepWithJob(
            @PathVariable UUID jobId,
            @RequestParam String name,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody byte[] bytes) {
        writes.onceIn(jobId, key, List.of("document", jobId, name, Writes.digest(bytes)), () -> {
            jobs.get(jobId);
            documents.keepWithJob(key, jobId, arriving(name, bytes));
            return key.toString();
        });
        return DocumentView.of(documents.get(key));
    }

    /** The same with a sheet of the shelf: it stays there when the sheet is edited. */
    @PostMapping(
            value = "/api/sheets/{slug}/documents",
            consumes = {MediaType.APPLICATION_PDF_VALUE, MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(mediaType = "application/pdf", schema = @Schema(type = "string", format = "binary")))
    DocumentView keepWithSheet(
            @PathVariable String slug,
            @RequestParam String name,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody byte[] bytes) {
        writes.once(key, List.of("document", slug, name, Writes.digest(bytes)), () -> {
            requireSheet(slug);
            documents.keepWithSheet(key, slug, arriving(name, bytes));
            return key.toString();
        });
        return DocumentView.of(documents.get(key));
    }

    /** Renames it, puts it away, or takes it out again. */
    @PutMapping("/api/jobs/{jobId}/documents/{documentId}")
    DocumentView putOfJob(
            @PathVariable UUID jobId,
            @PathVariable UUID documentId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody DocumentForm form) {
        writes.onceIn(jobId, key, List.of("document", jobId, documentId, form), () -> {
            documents.putOfJob(jobId, documentId, form.named(), form.putAway());
            return documentId.toString();
        });
        return DocumentView.of(documents.get(documentId));
    }

    /** The same of a sheet's. */
    @PutMapping("/api/sheets/{slug}/documents/{documentId}")
    DocumentView putOfSheet(
            @PathVariable String slug,
            @PathVariable UUID documentId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody DocumentForm form) {
        writes.once(key, List.of("document", slug, documentId, form), () -> {
            documents.putOfSheet(slug, documentId, form.named(), form.putAway());
            return documentId.toString();
        });
        return DocumentView.of(documents.get(documentId));
    }

    @GetMapping("/api/documents/{documentId}")
    ResponseEntity<byte[]> document(@PathVariable UUID documentId) {
        Document document = documents.get(documentId);
        return ResponseEntity.ok()
                .contentType(document.kind().type())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(document.fileName(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate())
                .body(documents.bytes(documentId));
    }

    private static Document.Arriving arriving(String name, byte[] bytes) {
        return Document.read("name", name, "document", bytes);
    }

    private void requireSheet(String slug) {
        sheets.onShelf(slug).orElseThrow(() -> new NotHere("sheet", slug));
    }

    private static List<DocumentView> views(List<Document> all) {
        return all.stream().map(DocumentView::of).toList();
    }
}

package openslab.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.UUID;
import openslab.server.document.Document;
import openslab.server.document.DocumentStore;
import openslab.server.job.JobStore;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Papers that came with a job and with a product: invented. */
@Component
@Order(4)
@ConditionalOnProperty("demo")
class DemoDocuments implements ApplicationRunner {
    private static final String BODY = "epoxy-body-coat";

    private final DocumentStore documents;
    private final JobStore jobs;

    DemoDocuments(DocumentStore documents, JobStore jobs) {
        this.documents = documents;
        this.jobs = jobs;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (documents.ofSheet(BODY).isEmpty()) {
            documents.keepWithSheet(UUID.randomUUID(), BODY, paper("Epoxy body coat, data sheet.pdf", BODY));
            jobs.all().stream()
                    .filter(j -> j.facts().name().startsWith("Boat-repair"))
                    .forEach(j -> documents.keepWithJob(
                            UUID.randomUUID(), j.id(), paper("Ground floor, as measured.pdf", "workshop-drawing")));
        }
    }

    private static Document.Arriving paper(String name, String file) {
        try (InputStream in = DemoDocuments.class.getResourceAsStream("/demo/" + file + ".pdf")) {
            return Document.read("name", name, file, in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}

package openslab.server.exchange;

import java.util.UUID;
import openslab.core.job.Handover;
import openslab.server.job.KnownZone;
import openslab.server.job.ZoneReader;
import openslab.server.system.Systems;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A finished floor, handed over on paper. */
@RestController
@RequestMapping("/api/handovers")
class HandoverPageController {
    private final ZoneReader reader;
    private final Systems systems;

    HandoverPageController(ZoneReader reader, Systems systems) {
        this.reader = reader;
        this.systems = systems;
    }

    @GetMapping(value = "/{jobId}/{zoneId}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> page(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        String page = reader.zone(jobId, zoneId, this::written);
        return Pdf.shown("handover.pdf", page);
    }

    private String written(KnownZone zone) {
        String system = systems.find(zone.stored().cycle().buildUp().system())
                .map(s -> s.title())
                .orElse("");
        return HandoverPage.of(
                zone.job().facts(),
                zone.report(),
                system,
                Handover.of(zone.facts(), zone.report(), zone.units()),
                zone.now());
    }
}

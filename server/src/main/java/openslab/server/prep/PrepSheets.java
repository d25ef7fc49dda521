package openslab.server.prep;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import openslab.core.job.PrepSheet;
import openslab.server.job.KnownZone;
import openslab.server.job.PhotoStore;
import openslab.server.job.ZoneReader;
import org.springframework.stereotype.Service;

/** What the preparation of a stored zone takes, at the crew's own paces. */
@Service
public class PrepSheets {
    /** A zone as it stood, and what its preparation takes. */
    public record Read(KnownZone zone, PrepSheet sheet, Map<UUID, List<UUID>> photos) {}

    private final ZoneReader reader;
    private final PaceStore paces;
    private final PhotoStore photos;

    PrepSheets(ZoneReader reader, PaceStore paces, PhotoStore photos) {
        this.reader = reader;
        this.paces = paces;
        this.photos = photos;
    }

    /** @param then what is made of it while it stands still */
    public <T> T read(UUID jobId, UUID zoneId, Function<Read, T> then) {
        return reader.zone(jobId, zoneId, zone -> {
            var sheet = PrepSheet.of(zone.facts(), paces.all(), zone.units(), zone.now());
            return then.apply(new Read(zone, sheet, photos.of(jobId)));
        });
    }
}

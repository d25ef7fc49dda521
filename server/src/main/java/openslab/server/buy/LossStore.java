package openslab.server.buy;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.buy.Losses;
import openslab.core.job.JobTakeOff;
import openslab.core.product.LayerRole;
import openslab.server.job.ZoneReader;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the shop's crew uses beyond the sheets, over all its jobs; of a zone read anew when something of it was logged there. */
@Component
class LossStore {
    /** An entry of a lower number may be seen after one of a higher: so many are looked at once more. */
    private static final int LATE = 1000;

    private final JdbcClient db;
    private final ZoneReader reader;
    private final Map<UUID, Map<LayerRole, List<Losses.Logged>>> byZone = new HashMap<>();
    private long newest = -1;
    private Losses losses = Losses.NONE;

    LossStore(JdbcClient db, ZoneReader reader) {
        this.db = db;
        this.reader = reader;
    }

    synchronized Losses all() {
        long now = newest();
        if (now != newest) {
            touched(newest - LATE).forEach(z -> byZone.put(z.zoneId(), logged(z)));
            losses = together();
            newest = now;
        }
        return losses;
    }

    /** Number of the newest entry that may change a loss. */
    private long newest() {
        return db.sql(
                        """
                select coalesce(max(newest), 0) from (
                    select max(ordinal) newest from log_entry where kind = 'BATCH'
                    union all select max(ordinal) from log_entry where kind = 'COAT'
                    union all select max(ordinal) from log_entry where kind = 'STRIKE') kinds""")
                .query(Long.class)
                .single();
    }

    private record Touched(UUID jobId, UUID zoneId) {}

    /** Zones with such an entry since, and both a batch and a coat at any time. */
    private List<Touched> touched(long since) {
        return db.sql(
                        """
                select z.job_id, z.id zone_id from zone z
                where z.id in (
                        select zone_id from log_entry
                        where kind in ('BATCH', 'COAT', 'STRIKE') and ordinal > :since)
                    and exists (select 1 from log_entry e where e.zone_id = z.id and e.kind = 'BATCH')
                    and exists (select 1 from log_entry e where e.zone_id = z.id and e.kind = 'COAT')""")
                .param("since", since)
                .query(Touched.class)
                .list();
    }

    private Map<LayerRole, List<Losses.Logged>> logged(Touched of) {
        return reader.zone(of.jobId(), of.zoneId(), z -> JobTakeOff.logged(List.of(z.facts())));
    }

    private Losses together() {
        var all = new EnumMap<LayerRole, List<Losses.Logged>>(LayerRole.class);
        byZone.values()
                .forEach(zone -> zone.forEach((role, l) ->
                        all.computeIfAbsent(role, r -> new ArrayList<>()).addAll(l)));
        return new Losses(all);
    }
}

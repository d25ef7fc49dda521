package openslab.server.lay;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** With which mats layers are stamped. */
@Repository
public class StampStore {
    private final JdbcClient db;

    StampStore(JdbcClient db) {
        this.db = db;
    }

    private JdbcClient.StatementSpec of(String sql, LayerKey of) {
        return db.sql(sql).param("zone", of.zoneId()).param("cycle", of.cycle()).param("layer", of.layerId());
    }

    /** The layers of a zone that somebody laid out, by cycle. */
    public List<LayerKey> of(UUID zoneId) {
        return db.sql(
                        "select zone_id, cycle, layer_id from stamp_layout where zone_id = :zone order by cycle, layer_id")
                .param("zone", zoneId)
                .query(LayerKey.class)
                .list();
    }

    public Optional<StampForm> find(LayerKey of) {
        return of(
                        """
                select along, across, shift, grain from stamp_layout
                where zone_id = :zone and cycle = :cycle and layer_id = :layer""",
                        of)
                .query(StampForm.class)
                .optional();
    }

    public void put(LayerKey of, StampForm form) {
        of("delete from stamp_layout where zone_id = :zone and cycle = :cycle and layer_id = :layer", of)
                .update();
        of(
                        """
                insert into stamp_layout (zone_id, cycle, layer_id, along, across, shift, grain)
                values (:zone, :cycle, :layer, :along, :across, :shift, :grain)""",
                        of)
                .param("along", form.along().strip())
                .param("across", form.across().strip())
                .param("shift", form.shift().strip())
                .param("grain", form.grain().strip())
                .update();
        db.sql("update job set changes = changes + 1 where id = (select job_id from zone where id = :zone)")
                .param("zone", of.zoneId())
                .update();
    }
}

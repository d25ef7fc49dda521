package openslab.server.lay;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How layers are laid out in planks. */
@Repository
public class PlankStore {
    /** @param version counts its writes */
    public record Stored(int version, PlankForm form) {}

    private record Row(
            int version, String grain, String widths, String shortest, String longest, String frame, long seed) {}

    private record NudgeRow(int rowNumber, int runNumber, int buttNumber, String moved) {}

    private static final String WHERE = " where zone_id = :zone and cycle = :cycle and layer_id = :layer";

    private final JdbcClient db;

    PlankStore(JdbcClient db) {
        this.db = db;
    }

    private JdbcClient.StatementSpec of(String sql, LayerKey of) {
        return db.sql(sql).param("zone", of.zoneId()).param("cycle", of.cycle()).param("layer", of.layerId());
    }

    /** The layers of a zone that somebody laid out, by cycle. */
    public List<LayerKey> of(UUID zoneId) {
        return db.sql(
                        "select zone_id, cycle, layer_id from plank_layout where zone_id = :zone order by cycle, layer_id")
                .param("zone", zoneId)
                .query(LayerKey.class)
                .list();
    }

    public Optional<Stored> find(LayerKey of) {
        List<PlankForm.NudgeForm> nudges = of(
                        "select row_number, run_number, butt_number, moved from plank_nudge" + WHERE
                                + " order by row_number, run_number, butt_number",
                        of)
                .query(NudgeRow.class)
                .list()
                .stream()
                .map(n -> new PlankForm.NudgeForm(n.rowNumber(), n.runNumber(), n.buttNumber(), n.moved()))
                .toList();
        return of("select version, grain, widths, shortest, longest, frame, seed from plank_layout" + WHERE, of)
                .query(Row.class)
                .optional()
                .map(r -> new Stored(
                        r.version(),
                        new PlankForm(
                                r.grain(),
                                r.widths(),
                                r.shortest(),
                                r.longest(),
                                r.frame(),
                                Long.toString(r.seed()),
                                nudges)));
    }

    public void put(LayerKey of, int version, PlankForm form) {
        of("delete from plank_nudge" + WHERE, of).update();
        of("delete from plank_layout" + WHERE, of).update();
        of(
                        """
                insert into plank_layout (zone_id, cycle, layer_id, version, grain, widths, shortest, longest, frame, seed)
                values (:zone, :cycle, :layer, :version, :grain, :widths, :shortest, :longest, :frame, :seed)""",
                        of)
                .param("version", version)
                .param("grain", form.grain().strip())
                .param("widths", form.widths().strip())
                .param("shortest", form.shortest().strip())
                .param("longest", form.longest().strip())
                .param("frame", form.frame().strip())
                .param("seed", Long.parseLong(form.seed().strip()))
                .update();
        if (form.nudges() != null) {
            form.nudges().forEach(n -> of(
                            """
                            insert into plank_nudge (zone_id, cycle, layer_id, row_number, run_number, butt_number, moved)
                            values (:zone, :cycle, :layer, :row, :run, :butt, :moved)""",
                            of)
                    .param("row", n.row())
                    .param("run", n.run())
                    .param("butt", n.butt())
                    .param("moved", n.by().strip())
                    .update());
        }
        db.sql("update job set changes = changes + 1 where id = (select job_id from zone where id = :zone)")
                .param("zone", of.zoneId())
                .update();
    }
}

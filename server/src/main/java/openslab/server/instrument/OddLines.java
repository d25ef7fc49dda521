package openslab.server.instrument;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Lines of a logger's file that could not be read at all: kept as they stood, with the reason. */
@Repository
class OddLines {
    static final int SHOWN = 200;
    private static final int LONGEST = 400;

    /** @param fileLine counted from 1, the line of names included */
    record Odd(long fileLine, String words, String reason) {}

    private final JdbcClient db;

    OddLines(JdbcClient db) {
        this.db = db;
    }

    List<Odd> of(UUID instrumentId) {
        return db.sql(
                        """
                select file_line, words, reason from odd_line where instrument_id = :id
                order by odd_line_id desc fetch first :most rows only""")
                .param("id", instrumentId)
                .param("most", SHOWN)
                .query(Odd.class)
                .list();
    }

    void keep(UUID instrumentId, Odd odd) {
        String words = odd.words().length() > LONGEST ? odd.words().substring(0, LONGEST) : odd.words();
        db.sql("insert into odd_line (instrument_id, file_line, words, reason) values (:id, :line, :words, :reason)")
                .param("id", instrumentId)
                .param("line", odd.fileLine())
                .param("words", words)
                .param("reason", odd.reason())
                .update();
    }
}

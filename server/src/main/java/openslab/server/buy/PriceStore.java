package openslab.server.buy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import openslab.core.buy.PriceBook;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The shop's price book. */
@Repository
public class PriceStore {
    private record Row(String what, String pack, String supplier, long cents) {}

    private final JdbcClient db;

    PriceStore(JdbcClient db) {
        this.db = db;
    }

    PriceBook all() {
        Map<String, List<PriceBook.Price>> prices = new HashMap<>();
        db.sql("select what, pack, supplier, cents from shop_price order by what, pack, supplier")
                .query(Row.class)
                .list()
                .forEach(r -> prices.computeIfAbsent(r.what(), w -> new ArrayList<>())
                        .add(new PriceBook.Price(r.pack(), r.supplier(), r.cents())));
        return new PriceBook(currency(), prices);
    }

    /** By its code of ISO 4217; empty where nobody said. */
    String currency() {
        return db.sql("select currency from shop_currency")
                .query(String.class)
                .optional()
                .orElse("");
    }

    /** All prices are in this money from now on; what they are is as it was. */
    public void reckonIn(String currency) {
        db.sql("delete from shop_currency").update();
        if (!currency.isEmpty()) {
            db.sql("insert into shop_currency (one, currency) values (1, :currency)")
                    .param("currency", currency)
                    .update();
        }
        tell();
    }

    private void tell() {
        db.sql("update job set changes = changes + 1").update();
    }

    /** Puts these in the place of all prices of one thing; every job is told. */
    public void set(String what, List<PriceBook.Price> prices) {
        db.sql("delete from shop_price where what = :what").param("what", what).update();
        for (PriceBook.Price p : prices) {
            db.sql("insert into shop_price (what, pack, supplier, cents) values (:what, :pack, :supplier, :cents)")
                    .param("what", what)
                    .param("pack", p.pack())
                    .param("supplier", p.supplier())
                    .param("cents", p.cents())
                    .update();
        }
        tell();
    }
}

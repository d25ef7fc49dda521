package openslab.server.buy;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import openslab.core.buy.Delivery;
import openslab.core.product.Packed;
import openslab.server.job.AlsoAbout;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which jobs are bought for together, what was ordered for them, and what came. */
@Repository
public class OrderBook {
    /** OURS: no order has more lines; of no pack more are bought or come at once. */
    public static final int MOST_LINES = 500;

    public static final int MOST_PACKS = 100_000;

    /** An order as it went out. @param supplier empty where nobody noted one */
    public record PlacedOrder(
            UUID id,
            UUID jobId,
            int number,
            String supplier,
            Instant at,
            String by,
            String note,
            List<PlacedLine> lines) {}

    /** @param size litres or kilograms of a pack; 0 where it is bought one by one */
    public record PlacedLine(
            String what, String title, String colour, String pack, double size, int number, long eachCents) {}

    private record OrderRow(
            UUID id, UUID jobId, String supplier, OffsetDateTime placedAt, String placedBy, String note) {}

    private record LineRow(
            UUID orderId,
            String what,
            String title,
            String colour,
            String pack,
            double size,
            int number,
            long eachCents) {
        PlacedLine line() {
            return new PlacedLine(what, title, colour, pack, size, number, eachCents);
        }
    }

    private record DeliveryRow(
            UUID id,
            OffsetDateTime cameAt,
            String notedBy,
            String slug,
            String sheet,
            boolean liquid,
            String pack,
            double size,
            int number,
            String maker,
            String ordered,
            String colour,
            String lot,
            LocalDate bestBefore,
            String faults,
            String note,
            OffsetDateTime boxedAt) {
        Delivery delivery() {
            return new Delivery(
                    id.toString(),
                    cameAt.toInstant(),
                    notedBy,
                    slug,
                    sheet,
                    liquid,
                    pack,
                    new Packed(size),
                    number,
                    maker,
                    ordered,
                    colour,
                    lot,
                    Optional.ofNullable(bestBefore),
                    faults.isEmpty()
                            ? Set.of()
                            : Arrays.stream(faults.split(","))
                                    .map(Delivery.Fault::valueOf)
                                    .collect(Collectors.toSet()),
                    boxedAt != null,
                    note);
        }
    }

    private final JdbcClient db;
    private final Clock clock;

    OrderBook(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The jobs that are bought for with this one, itself among them, in the order in which they were made. */
    List<UUID> together(UUID jobId) {
        List<UUID> party = db.sql(
                        """
                select b.job_id from bought_together b join job j on j.id = b.job_id
                where b.party = (select party from bought_together where job_id = :job)
                order by j.created_at, j.id""")
                .param("job", jobId)
                .query(UUID.class)
                .list();
        return party.isEmpty() ? List.of(jobId) : party;
    }

    /** From now on these are bought for together; what each shared with others before, it does no longer. */
    public void buyTogether(Set<UUID> jobs) {
        Set<UUID> told = new TreeSet<>(jobs);
        jobs.forEach(job -> told.addAll(together(job)));
        for (UUID job : jobs) {
            db.sql("delete from bought_together where job_id = :job")
                    .param("job", job)
                    .update();
        }
        UUID party = UUID.randomUUID();
        if (jobs.size() > 1) {
            jobs.forEach(job -> db.sql("insert into bought_together (job_id, party) values (:job, :party)")
                    .param("job", job)
                    .param("party", party)
                    .update());
        }
        told.forEach(this::tell);
    }

    /** What was ordered for these jobs and not struck, oldest first. */
    public List<PlacedOrder> orders(List<UUID> jobs) {
        Map<UUID, List<PlacedLine>> lines = db
                .sql(
                        """
                select l.order_id, l.what, l.title, l.colour, l.pack, l.size, l.number, l.each_cents
                from placed_line l join placed_order o on o.id = l.order_id
                where o.job_id in (:jobs) order by l.order_id, l.ordinal""")
                .param("jobs", jobs)
                .query(LineRow.class)
                .list()
                .stream()
                .collect(Collectors.groupingBy(
                        LineRow::orderId, Collectors.mapping(LineRow::line, Collectors.toList())));
        List<OrderRow> rows = db.sql(
                        """
                select id, job_id, supplier, placed_at, placed_by, note from placed_order
                where job_id in (:jobs) and struck_at is null order by ordinal""")
                .param("jobs", jobs)
                .query(OrderRow.class)
                .list();
        return IntStream.range(0, rows.size())
                .mapToObj(i -> {
                    OrderRow r = rows.get(i);
                    return new PlacedOrder(
                            r.id(),
                            r.jobId(),
                            i + 1,
                            r.supplier(),
                            r.placedAt().toInstant(),
                            r.placedBy(),
                            r.note(),
                            lines.getOrDefault(r.id(), List.of()));
                })
                .toList();
    }

    /** @param order its number is not kept: it is its place among those of its jobs */
    public void place(PlacedOrder order) {
        db.sql(
                        """
                insert into placed_order (id, job_id, supplier, placed_at, placed_by, note)
                values (:id, :job, :supplier, :at, :by, :note)""")
                .param("id", order.id())
                .param("job", order.jobId())
                .param("supplier", order.supplier())
                .param("at", order.at().atOffset(ZoneOffset.UTC))
                .param("by", order.by())
                .param("note", order.note())
                .update();
        for (int i = 0; i < order.lines().size(); i++) {
            PlacedLine l = order.lines().get(i);
            db.sql(
                            """
                    insert into placed_line (order_id, ordinal, what, title, colour, pack, size, number, each_cents)
                    values (:id, :ordinal, :what, :title, :colour, :pack, :size, :number, :each)""")
                    .param("id", order.id())
                    .param("ordinal", i)
                    .param("what", l.what())
                    .param("title", l.title())
                    .param("colour", l.colour())
                    .param("pack", l.pack())
                    .param("size", l.size())
                    .param("number", l.number())
                    .param("each", l.eachCents())
                    .update();
        }
        together(order.jobId()).forEach(this::tell);
    }

    /** @throws NotHere where no such order was placed for these jobs */
    void strikeOrder(UUID id, List<UUID> jobs, String by) {
        struck(
                db.sql(
                                """
                        update placed_order set struck_at = :now, struck_by = :by
                        where id = :id and job_id in (:jobs) and struck_at is null""")
                        .param("now", OffsetDateTime.now(clock))
                        .param("by", by)
                        .param("id", id)
                        .param("jobs", jobs)
                        .update(),
                "order",
                id,
                jobs);
    }

    /** What came for these jobs and was not struck, oldest first. */
    public List<Delivery> came(List<UUID> jobs) {
        return db
                .sql(
                        """
                select id, came_at, noted_by, slug, sheet, liquid, pack, size, number, maker, ordered, colour, lot, best_before,
                    faults, note, boxed_at
                from delivery where job_id in (:jobs) and struck_at is null order by came_at, ordinal""")
                .param("jobs", jobs)
                .query(DeliveryRow.class)
                .list()
                .stream()
                .map(DeliveryRow::delivery)
                .toList();
    }

    public void came(UUID jobId, Delivery d) {
        db.sql(
                        """
                insert into delivery (id, job_id, came_at, noted_by, slug, sheet, liquid, pack, size, number, maker, ordered, colour,
                    lot, best_before, faults, note, boxed_at, boxed_by)
                values (:id, :job, :at, :by, :slug, :sheet, :liquid, :pack, :size, :number, :maker, :ordered, :colour, :lot, :best,
                    :faults, :note, :boxed, :boxedBy)""")
                .param("id", UUID.fromString(d.id()))
                .param("job", jobId)
                .param("at", d.at().atOffset(ZoneOffset.UTC))
                .param("by", d.by())
                .param("slug", d.slug())
                .param("sheet", d.sheet())
                .param("liquid", d.ofLiquid())
                .param("pack", d.pack())
                .param("size", d.size().amount())
                .param("number", d.count())
                .param("maker", d.maker())
                .param("ordered", d.ordered())
                .param("colour", d.colour())
                .param("lot", d.lot())
                .param("best", d.bestBefore().orElse(null))
                .param("faults", d.faults().stream().map(Enum::name).sorted().collect(Collectors.joining(",")))
                .param("note", d.note())
                .param("boxed", d.boxed() ? d.at().atOffset(ZoneOffset.UTC) : null)
                .param("boxedBy", d.boxed() ? d.by() : null)
                .update();
        together(jobId).forEach(this::tell);
    }

    /** All of one colour of a sheet was poured together. */
    void boxed(List<UUID> jobs, String slug, String colour, String by) {
        db.sql(
                        """
                update delivery set boxed_at = :now, boxed_by = :by
                where job_id in (:jobs) and slug = :slug and lower(colour) = lower(:colour)
                    and boxed_at is null and struck_at is null""")
                .param("now", OffsetDateTime.now(clock))
                .param("by", by)
                .param("jobs", jobs)
                .param("slug", slug)
                .param("colour", colour)
                .update();
        jobs.forEach(this::tell);
    }

    /** @throws NotHere where nothing of the kind came for these jobs */
    void strikeDelivery(UUID id, List<UUID> jobs, String by) {
        struck(
                db.sql(
                                """
                        update delivery set struck_at = :now, struck_by = :by
                        where id = :id and job_id in (:jobs) and struck_at is null""")
                        .param("now", OffsetDateTime.now(clock))
                        .param("by", by)
                        .param("id", id)
                        .param("jobs", jobs)
                        .update(),
                "delivery",
                id,
                jobs);
    }

    private void struck(int rows, String what, UUID id, List<UUID> jobs) {
        if (rows != 1) {
            throw new NotHere(what, id);
        }
        jobs.forEach(this::tell);
    }

    private void tell(UUID jobId) {
        AlsoAbout.note(jobId);
        db.sql("update job set changes = changes + 1 where id = :job")
                .param("job", jobId)
                .update();
    }
}

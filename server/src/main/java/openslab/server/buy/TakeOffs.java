package openslab.server.buy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import openslab.core.buy.Buying;
import openslab.core.buy.Delivery;
import openslab.core.buy.DeliveryCheck;
import openslab.core.buy.Placed;
import openslab.core.job.JobTakeOff;
import openslab.core.job.LayerChoice;
import openslab.core.job.ZoneFacts;
import openslab.core.product.Packed;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.server.job.JobStore;
import openslab.server.job.KnownJob;
import openslab.server.job.KnownZone;
import openslab.server.job.ZoneReader;
import openslab.server.prep.PaceStore;
import openslab.server.store.Snapshot;
import org.springframework.stereotype.Service;

/** What a job takes, together with all that are bought for with it. */
@Service
public class TakeOffs {
    /**
     * As it stood at one moment.
     *
     * @param job the one that was asked for; {@code all} those bought for together, in the order in which they were made
     * @param orders what went out for them, oldest first
     */
    public record Read(
            KnownJob job, List<JobStore.StoredJob> all, JobTakeOff takeOff, List<OrderBook.PlacedOrder> orders) {
        public UnitSystem units() {
            return job.units();
        }
    }

    private final ZoneReader reader;
    private final OrderBook book;
    private final PriceStore prices;
    private final StoreRoom room;
    private final LossStore losses;
    private final PaceStore paces;
    private final Snapshot snapshot;

    TakeOffs(
            ZoneReader reader,
            OrderBook book,
            PriceStore prices,
            StoreRoom room,
            LossStore losses,
            PaceStore paces,
            Snapshot snapshot) {
        this.reader = reader;
        this.book = book;
        this.prices = prices;
        this.room = room;
        this.losses = losses;
        this.paces = paces;
        this.snapshot = snapshot;
    }

    /** @param then what is made of it while it stands still */
    public <T> T read(UUID jobId, Function<Read, T> then) {
        return snapshot.of(() -> reader.job(jobId, job -> then.apply(read(job))));
    }

    /** What is bought of a layer; empty where it is on, or needs nothing. */
    public Optional<Buying> of(KnownJob job, String zone, String layer) {
        return read(job).takeOff().bill().materials().stream()
                .filter(b -> b.uses().stream()
                        .anyMatch(u -> u.zone().equals(zone) && u.layer().equals(layer)))
                .findFirst();
    }

    /**
     * What came for a layer.
     *
     * @param lot which the next batch is of; empty where nobody can tell
     * @param against what speaks against it where it meets in one coat
     */
    public record Came(String lot, List<Finding> against) {}

    public Came came(KnownJob job, ZoneFacts zone, LayerChoice layer) {
        LocalDate today = job.now().atZone(job.stored().facts().timeZone()).toLocalDate();
        Instant since = zone.laidBefore().orElse(Instant.MIN);
        List<Delivery> came = book.came(book.together(job.stored().id())).stream()
                .filter(d -> d.at().isAfter(since))
                .toList();
        String slug = layer.sheet().slug();
        String colour = zone.colour(layer);
        return new Came(DeliveryCheck.lot(came, slug, colour, today), DeliveryCheck.ofLayer(came, slug, colour, today));
    }

    private Read read(KnownJob job) {
        UUID jobId = job.stored().id();
        List<UUID> ids = book.together(jobId);
        List<KnownJob> all = ids.stream()
                .map(id -> id.equals(jobId) ? job : reader.job(id, other -> other))
                .toList();
        List<OrderBook.PlacedOrder> orders = book.orders(ids);
        List<Placed> away = ids.stream()
                .flatMap(id -> room.of(id).stream())
                .map(k -> new Placed(
                        k.storedAt(),
                        k.leftover().slug(),
                        k.leftover().colour(),
                        k.leftover().amount()))
                .toList();
        var shop = new JobTakeOff.Shop(
                losses.all(),
                prices.all(),
                room.all().stream().map(StoreRoom.Kept::leftover).toList(),
                paces.all(),
                orders.stream().flatMap(TakeOffs::placed).toList(),
                orders.stream().flatMap(TakeOffs::small).toList(),
                book.came(ids),
                away);
        Instant now = job.now();
        var when =
                new Buying.When(now, now.atZone(job.stored().facts().timeZone()).toLocalDate());
        List<JobTakeOff.Site> sites = all.stream()
                .map(j -> new JobTakeOff.Site(
                        all.size() == 1 ? "" : j.stored().facts().name(),
                        j.zones().stream().map(KnownZone::facts).toList()))
                .toList();
        return new Read(
                job,
                all.stream().map(KnownJob::stored).toList(),
                JobTakeOff.of(sites, shop, when, job.units()),
                orders);
    }

    private static Stream<JobTakeOff.Ordered> small(OrderBook.PlacedOrder order) {
        return order.lines().stream()
                .filter(l -> l.size() == 0)
                .map(l -> new JobTakeOff.Ordered(order.at(), l.what(), l.number()));
    }

    private static Stream<Placed> placed(OrderBook.PlacedOrder order) {
        return order.lines().stream()
                .filter(l -> l.size() > 0)
                .map(l -> new Placed(order.at(), l.what(), l.colour(), new Packed(l.size()).times(l.number())));
    }
}

package openslab.server.instrument;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.check.SampleCheck;
import openslab.core.survey.instrument.check.Screening;
import openslab.server.form.PapersForm;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Instruments, what they sent, and what of it was set aside. */
@RestController
@RequestMapping("/api/instruments")
class InstrumentController {
    /** @param lapsed whether its certificate does not hold today */
    record InstrumentView(UUID id, int version, Instruments.InstrumentForm form, boolean lapsed) {}

    /** @param address as typed */
    record AddressForm(String address) {}

    /**
     * @param recent the newest samples, oldest first
     * @param newest the last that counts, as it would be keyed in; empty where none does
     */
    record SeriesView(
            String channel,
            String quantity,
            String label,
            String unit,
            String method,
            String field,
            long count,
            List<SampleView> recent,
            Optional<NewestView> newest) {}

    /** @param value absent where the instrument gave none; {@code fault} why it does not count, absent where it does */
    record SampleView(Instant at, Optional<Double> value, Optional<String> fault) {
        static SampleView of(SampleStore.Kept k) {
            return new SampleView(
                    k.at(),
                    Double.isFinite(k.value()) ? Optional.of(k.value()) : Optional.empty(),
                    k.fault().isEmpty()
                            ? Optional.empty()
                            : Optional.of(Screening.check(k.fault()).title()));
        }
    }

    record NewestView(Instant at, String typed) {}

    /** Samples that were set aside for one reason. */
    record AsideView(
            String channel, String label, String title, String because, long count, Instant first, Instant last) {}

    record SentView(List<SeriesView> series, List<AsideView> setAside, List<OddLines.Odd> oddLines) {}

    private static final int RECENT = 700;

    private final InstrumentStore store;
    private final SampleStore samples;
    private final OddLines oddLines;
    private final Instruments instruments;
    private final Clock clock;

    InstrumentController(
            InstrumentStore store, SampleStore samples, OddLines oddLines, Instruments instruments, Clock clock) {
        this.store = store;
        this.samples = samples;
        this.oddLines = oddLines;
        this.instruments = instruments;
        this.clock = clock;
    }

    @GetMapping
    List<InstrumentView> shelf() {
        return store.all().stream().map(this::view).toList();
    }

    private InstrumentView view(InstrumentStore.Stored i) {
        var papers = new PapersForm(
                i.name(), i.calibratedOn().toString(), i.calibrationDue().toString());
        return new InstrumentView(
                i.id(),
                i.version(),
                new Instruments.InstrumentForm(i.kind().name(), i.address(), papers),
                i.papers().lapsed(clock.instant()));
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    InstrumentView add(@RequestHeader("Idempotency-Key") UUID key, @RequestBody Instruments.InstrumentForm form) {
        return view(store.get(instruments.add(key, form)));
    }

    @PutMapping("/{instrumentId}")
    InstrumentView edit(
            @PathVariable UUID instrumentId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestHeader("If-Match") String seen,
            @RequestBody Instruments.InstrumentForm form) {
        instruments.edit(
                instrumentId, key, openslab.server.job.Jobs.Seen.of(key, seen).version(), form);
        return view(store.get(instrumentId));
    }

    /** Asks what answers at an address; nothing is stored. */
    @PostMapping("/look")
    Instruments.InstrumentForm look(@RequestBody AddressForm form) {
        return instruments.look(form.address());
    }

    @PostMapping("/{instrumentId}/collect")
    Instruments.Collected collect(@PathVariable UUID instrumentId, @RequestHeader("Idempotency-Key") UUID key) {
        return instruments.collect(instrumentId, key);
    }

    @GetMapping("/{instrumentId}/samples")
    SentView samples(@PathVariable UUID instrumentId) {
        store.get(instrumentId);
        List<SampleStore.Series> series = samples.series(instrumentId);
        return new SentView(
                series.stream().map(this::view).toList(),
                samples.setAside(instrumentId).stream()
                        .map(a -> view(a, series))
                        .toList(),
                oddLines.of(instrumentId));
    }

    private SeriesView view(SampleStore.Series s) {
        Quantity q = s.quantity();
        return new SeriesView(
                s.channel(),
                q.name(),
                q.label(),
                q.unit().symbol(),
                q.method(),
                q.field(),
                samples.count(s.seriesId()),
                samples.last(s.seriesId(), RECENT).stream().map(SampleView::of).toList(),
                samples.newestGood(s.seriesId()).map(k -> new NewestView(k.at(), typed(k.value(), q))));
    }

    /** Plain enough to be read back as it would be keyed in. */
    private static String typed(double value, Quantity q) {
        String number = java.math.BigDecimal.valueOf(value)
                .round(new java.math.MathContext(4))
                .stripTrailingZeros()
                .toPlainString();
        return number + (q.unit().symbol().isEmpty() ? "" : " " + q.unit().symbol());
    }

    private static AsideView view(SampleStore.SetAside a, List<SampleStore.Series> series) {
        SampleCheck check = Screening.check(a.fault());
        SampleStore.Series of = series.stream()
                .filter(s -> s.seriesId() == a.seriesId())
                .findFirst()
                .orElseThrow();
        return new AsideView(
                of.channel(), of.quantity().label(), check.title(), check.because(), a.count(), a.first(), a.last());
    }
}

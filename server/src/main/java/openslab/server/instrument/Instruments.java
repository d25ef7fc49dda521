package openslab.server.instrument;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import javax.sql.DataSource;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import openslab.core.survey.instrument.InstrumentKind;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import openslab.server.form.PapersForm;
import openslab.server.store.Writes;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;

/** The shelf of instruments, and what they send. */
@Service
class Instruments {
    /** @param papers name and certificate */
    record InstrumentForm(String kind, String address, PapersForm papers) {}

    /**
     * What came in, and how much of it was set aside for which reason.
     *
     * @param repeated how many were here already, and were left out
     * @param more whether the instrument has more than is taken over at once
     */
    record Collected(long samples, long repeated, boolean more, Map<String, Long> setAside) {}

    /** An instrument's clock may run ahead of ours by so much. */
    static final Duration SKEW = Duration.ofMinutes(10);

    private static final int PAGE = 5000;
    /** As many are taken over at once; whoever has more is asked again. */
    private static final int MOST = 200_000;
    /** As often two who collect at once give way to one another. */
    private static final int ROUNDS = 5;

    private final InstrumentStore store;
    private final SampleStore samples;
    private final DeviceClient devices;
    private final Writes writes;
    private final DataSource source;
    private final Clock clock;

    Instruments(
            InstrumentStore store,
            SampleStore samples,
            DeviceClient devices,
            Writes writes,
            DataSource source,
            Clock clock) {
        this.store = store;
        this.samples = samples;
        this.devices = devices;
        this.writes = writes;
        this.source = source;
        this.clock = clock;
    }

    UUID add(UUID key, InstrumentForm form) {
        return UUID.fromString(writes.once(key, List.of("instrument", form), () -> {
            UUID id = UUID.randomUUID();
            store.insert(read(id, form));
            return id.toString();
        }));
    }

    void edit(UUID id, UUID key, int version, InstrumentForm form) {
        writes.once(key, List.of("instrument", id, version, form), () -> {
            store.replace(read(id, form), version);
            return id.toString();
        });
    }

    private InstrumentStore.Stored read(UUID id, InstrumentForm form) {
        var faults = new Faults();
        InstrumentKind kind = faults.oneOf("kind", form.kind(), InstrumentKind.class);
        String address = faults.read(() -> DeviceClient.address("address", form.address()));
        if (form.papers() == null) {
            faults.add("papers", null, "a name, and the days of its calibration");
        }
        faults.check();
        var papers = form.papers().read(faults, "papers.", kind);
        if (papers != null && store.taken(papers.name(), id)) {
            faults.add("papers.name", papers.name(), "a name that no other instrument has");
        }
        faults.check();
        return new InstrumentStore.Stored(id, papers.name(), kind, papers.calibrated(), papers.due(), address, 0, 1);
    }

    /** What the instrument at an address says of itself, as a form to be looked over. */
    InstrumentForm look(String typed) {
        String address = DeviceClient.address("address", typed);
        if (address.isEmpty()) {
            throw new InvalidInput("address", typed, "an address such as http://192.168.1.20/probe");
        }
        Device.Description said = devices.describe(address);
        return new InstrumentForm(said.kind(), address, new PapersForm(said.name(), said.calibrated(), said.due()));
    }

    /** Takes over everything that the instrument wrote since the last time. */
    Collected collect(UUID id, UUID key) {
        for (int round = 0; round < ROUNDS; round++) {
            Optional<Collected> collected = collectOnce(store.get(id), key);
            if (collected.isPresent()) {
                return collected.get();
            }
        }
        throw new Refusal("busy", "Others collect from this instrument at this moment.", "Try again.");
    }

    /** Empty where somebody else collected between our question and its answer: then the answer is not ours to keep. */
    private Optional<Collected> collectOnce(InstrumentStore.Stored instrument, UUID key) {
        if (instrument.address().isEmpty()) {
            throw new InvalidInput("address", null, "an instrument with an address: this one is read by eye");
        }
        Map<String, Quantity> quantities = new HashMap<>();
        devices.describe(instrument.address()).channels().forEach(c -> quantities.put(c.id(), quantity(c)));
        var samples = new ArrayList<Device.SamplePart>();
        boolean more = true;
        while (more && samples.size() < MOST) {
            long after = samples.isEmpty()
                    ? instrument.collected()
                    : samples.get(samples.size() - 1).n();
            Device.Page page = devices.samples(instrument.address(), after, PAGE);
            samples.addAll(page.samples());
            more = page.more() && !page.samples().isEmpty();
        }
        boolean rest = more;
        var collected = new AtomicReference<>(new Collected(0, 0, false, Map.of()));
        try {
            writes.once(key, List.of("collect", instrument.id()), () -> {
                if (!samples.isEmpty()
                        && !store.collected(
                                instrument, samples.get(samples.size() - 1).n())) {
                    throw new Overtaken();
                }
                collected.set(keep(instrument, quantities, samples, rest));
                return instrument.id().toString();
            });
        } catch (Overtaken e) {
            return Optional.empty();
        }
        return Optional.of(collected.get());
    }

    private static final class Overtaken extends RuntimeException {}

    private static Quantity quantity(Device.ChannelPart channel) {
        var faults = new Faults();
        Quantity quantity = faults.oneOf("channels." + channel.id() + ".quantity", channel.quantity(), Quantity.class);
        faults.check();
        return quantity;
    }

    private Collected keep(
            InstrumentStore.Stored instrument,
            Map<String, Quantity> quantities,
            List<Device.SamplePart> parts,
            boolean more) {
        Connection connection = DataSourceUtils.getConnection(source);
        try (var keeper = new SampleKeeper(
                instrument, samples, connection, clock.instant().plus(SKEW))) {
            for (Device.SamplePart part : parts) {
                Quantity quantity = quantities.get(part.channel());
                if (quantity == null) {
                    throw new InvalidInput(
                            "channel", part.channel(), "one of " + String.join(", ", quantities.keySet()));
                }
                keeper.keep(
                        part.channel(),
                        quantity,
                        new Sample(
                                part.at(),
                                part.value() == null ? Double.NaN : part.value(),
                                part.unit() == null ? "" : part.unit(),
                                part.battery() == null ? Double.NaN : part.battery()));
            }
            keeper.flush();
            return new Collected(keeper.kept(), keeper.repeated(), more, keeper.setAside());
        } catch (SQLException e) {
            throw new IllegalStateException("samples could not be stored", e);
        } finally {
            DataSourceUtils.releaseConnection(connection, source);
        }
    }
}

package openslab.server.instrument;

import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import openslab.core.quantity.Refusal;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Puts the simulated instruments on the demo's shelf, by their addresses, as a user would. */
@Component
@Order(3)
@ConditionalOnProperty("demo")
class DemoInstruments implements ApplicationRunner {
    private static final List<String> IDS = List.of("logger-4", "hygro-2", "meter-1", "ohm-1", "pull-3");

    private static final int ASKED = 20;

    private final Instruments instruments;
    private final InstrumentStore store;
    private final Environment environment;

    DemoInstruments(Instruments instruments, InstrumentStore store, Environment environment) {
        this.instruments = instruments;
        this.store = store;
        this.environment = environment;
    }

    /** They are answered by this very process, which may be busy with its own start: asked again, they do answer. */
    private static <T> T patiently(Supplier<T> ask) {
        for (int asked = 1; ; asked++) {
            try {
                return ask.get();
            } catch (Refusal e) {
                if (asked == ASKED) {
                    throw e;
                }
            }
        }
    }

    @Override
    public void run(ApplicationArguments args) {
        if (!store.all().isEmpty()) {
            return;
        }
        String here = "http://127.0.0.1:" + environment.getProperty("local.server.port") + "/stand-ins/";
        for (String id : IDS) {
            UUID instrument = instruments.add(UUID.randomUUID(), patiently(() -> instruments.look(here + id)));
            patiently(() -> instruments.collect(instrument, UUID.randomUUID()));
        }
    }
}

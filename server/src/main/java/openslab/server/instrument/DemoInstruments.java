package openslab.server.instrument;

import java.util.List;
import java.util.UUID;
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

    private final Instruments instruments;
    private final InstrumentStore store;
    private final Environment environment;

    DemoInstruments(Instruments instruments, InstrumentStore store, Environment environment) {
        this.instruments = instruments;
        this.store = store;
        this.environment = environment;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (!store.all().isEmpty()) {
            return;
        }
        String here = "http://127.0.0.1:" + environment.getProperty("local.server.port") + "/stand-ins/";
        for (String id : IDS) {
            UUID instrument = instruments.add(UUID.randomUUID(), instruments.look(here + id));
            instruments.collect(instrument, UUID.randomUUID());
        }
    }
}

package openslab.server.standin;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import openslab.server.instrument.Device;
import openslab.server.web.NotHere;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The simulated instruments, as if each stood in the network under its own address. Demo only. */
@RestController
@RequestMapping("/stand-ins")
@ConditionalOnProperty("demo")
class StandInController {
    private static final Duration WEEK = Duration.ofDays(7);

    private final List<StandIn> standIns;
    private final Clock clock;

    StandInController(Clock clock) {
        this.clock = clock;
        standIns = StandIns.all(clock.instant().truncatedTo(ChronoUnit.MINUTES).minus(WEEK));
    }

    @GetMapping
    List<Device.Description> all() {
        return standIns.stream().map(StandIn::description).toList();
    }

    private StandIn get(String id) {
        return standIns.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotHere("instrumentId", id));
    }

    @GetMapping("/{id}")
    Device.Description description(@PathVariable String id) {
        return get(id).description();
    }

    @GetMapping("/{id}/samples")
    Device.Page samples(
            @PathVariable String id,
            @RequestParam(defaultValue = "0") long after,
            @RequestParam(defaultValue = "1000") int most) {
        return get(id).samples(after, Math.min(most, 10_000), clock.instant());
    }

    /** The same as a file, as from the instrument's memory card. */
    @GetMapping(value = "/{id}/samples.csv", produces = "text/csv")
    String file(@PathVariable String id) {
        StandIn standIn = get(id);
        var csv = new StringBuilder("n,at,channel,quantity,value,unit,battery_v\n");
        long last = standIn.count(clock.instant());
        for (long n = 1; n <= last; n++) {
            Device.SamplePart s = standIn.sample(n);
            String quantity = standIn.channels()
                    .get((int) ((n - 1) % standIn.channels().size()))
                    .quantity()
                    .name();
            csv.append(n)
                    .append(',')
                    .append(s.at())
                    .append(',')
                    .append(s.channel())
                    .append(',')
                    .append(quantity)
                    .append(',')
                    .append(s.value() == null ? "" : s.value())
                    .append(',')
                    .append(s.unit())
                    .append(',')
                    .append(s.battery())
                    .append('\n');
        }
        return csv.toString();
    }
}

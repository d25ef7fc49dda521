package openslab.server;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import openslab.server.store.Beginning;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/**
 * The application: {@code --port=N --data=DIR --database=URL --clock=ISO-TIME --demo=true}, or {@code --move-to=URL} to copy what is kept
 * and end.
 */
@SpringBootApplication
public class OpenSlab {
    public static void main(String[] args) {
        try {
            Beginning.requireSound(args);
            Optional<String> moved = Beginning.moved(args);
            if (moved.isPresent()) {
                System.out.println(moved.get());
                return;
            }
            var context = SpringApplication.run(OpenSlab.class, args);
            String port = context.getEnvironment().getProperty("local.server.port");
            System.out.println("Open Slab is ready at http://127.0.0.1:" + port);
        } catch (RuntimeException e) {
            Optional<String> why = Beginning.why(e, args);
            if (why.isEmpty()) {
                throw e;
            }
            System.err.println("Open Slab does not start: " + why.get());
            System.exit(1);
        }
    }

    /** The one clock. {@code --clock} stops it, for tests and pictures. */
    @Bean
    Clock clock(@Value("${clock:}") String fixed) {
        return fixed.isEmpty() ? Clock.systemUTC() : Clock.fixed(Instant.parse(fixed), ZoneOffset.UTC);
    }
}

package openslab.server.job;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import openslab.server.store.Elsewhere;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every screen on a job that it changed. An event carries the key of the write and the zone that it was about, where it was
 * about one: a screen knows its own writes by the key, and asks after another's for what it shows and what changed.
 */
@Component
class JobWatch implements HandlerInterceptor, WebMvcConfigurer, SmartLifecycle {
    /** A browser opens a stream again by itself when it ends. */
    private static final long STREAM_MS = 30 * 60 * 1000L;
    /** More screens than this do not look at one job. */
    private static final int MOST_STREAMS = 100;

    private final Elsewhere elsewhere;
    private final Map<UUID, Set<SseEmitter>> watching = new ConcurrentHashMap<>();
    private volatile boolean running;

    JobWatch(Elsewhere elsewhere) {
        this.elsewhere = elsewhere;
        elsewhere.listen(this::hear, this::missed);
    }

    SseEmitter watch(UUID jobId) {
        var stream = new SseEmitter(STREAM_MS);
        Set<SseEmitter> streams = watching.computeIfAbsent(jobId, id -> ConcurrentHashMap.newKeySet());
        streams.add(stream);
        if (streams.size() > MOST_STREAMS) {
            // whoever is still there opens another by itself
            streams.stream().findFirst().ifPresent(SseEmitter::complete);
        }
        stream.onCompletion(() -> streams.remove(stream));
        stream.onTimeout(stream::complete);
        send(stream, SseEmitter.event().comment("watching"));
        return stream;
    }

    private static void send(SseEmitter stream, SseEmitter.SseEventBuilder event) {
        try {
            stream.send(event);
        } catch (IOException | IllegalStateException e) {
            // the screen is gone, and with it whoever wanted to know
            stream.complete();
        }
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    /** After any write about a job that was answered well. */
    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        String key = request.getHeader("Idempotency-Key");
        boolean read = request.getMethod().equals("GET");
        if (!read
                && key != null
                && response.getStatus() < 300
                && request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> path
                && path.get("jobId") instanceof String jobId) {
            String zone = path.get("zoneId") instanceof String z ? z : "";
            tellAll(jobId, key + " " + zone);
            AlsoAbout.of(request).stream()
                    .map(UUID::toString)
                    .filter(other -> !other.equals(jobId))
                    .forEach(other -> tellAll(other, key + " "));
        }
    }

    /** Here and in every other application on the database. */
    private void tellAll(String jobId, String keyAndZone) {
        tell(UUID.fromString(jobId), keyAndZone);
        elsewhere.tell(jobId + " " + keyAndZone);
    }

    private void tell(UUID jobId, String keyAndZone) {
        watching.getOrDefault(jobId, Set.of())
                .forEach(stream -> send(stream, SseEmitter.event().data(keyAndZone)));
    }

    /** What another application on the same database wrote. */
    private void hear(String words) {
        int end = words.indexOf(' ');
        tell(UUID.fromString(words.substring(0, end)), words.substring(end + 1));
    }

    /** Anything may have been written: every screen asks. */
    private void missed() {
        watching.keySet().forEach(jobId -> tell(jobId, UUID.randomUUID() + " "));
    }

    @Override
    public void start() {
        running = true;
    }

    /** Streams would hold up a server that waits for its last answers. */
    @Override
    public void stop() {
        running = false;
        watching.values().forEach(streams -> streams.forEach(SseEmitter::complete));
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Before the web server, which stops when its answers are given. */
    @Override
    public int getPhase() {
        return SmartLifecycle.DEFAULT_PHASE;
    }
}

package openslab.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Nobody is answered before what ships is shelved and the demo is laid: half a world would look like a whole one. A browser that came
 * too early asks again by itself.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class BegunFilter extends OncePerRequestFilter {
    private static final String AGAIN_S = "1";

    private final ApplicationAvailability availability;

    BegunFilter(ApplicationAvailability availability) {
        this.availability = availability;
    }

    /** The demo's instruments are read while it is being laid. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().startsWith("/stand-ins/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (availability.getReadinessState() == ReadinessState.REFUSING_TRAFFIC) {
            response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_S);
            response.setHeader("Refresh", AGAIN_S);
            Problems.tell(
                    response,
                    new Problems.Told(
                            HttpStatus.SERVICE_UNAVAILABLE,
                            "starting",
                            "Open Slab is starting; try again in a moment."));
        } else {
            chain.doFilter(request, response);
        }
    }
}

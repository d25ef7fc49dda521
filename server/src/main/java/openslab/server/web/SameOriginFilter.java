package openslab.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The application listens on loopback, where any page in any browser can reach it. So it answers only to the names it was
 * started under (a foreign Host is a name pointed here from outside), and it takes writes only from its own pages.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class SameOriginFilter extends OncePerRequestFilter {
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

    private final List<String> names;

    SameOriginFilter(@Value("${openslab.names}") List<String> names) {
        this.names = names;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader("Host");
        String refused = refusal(request, host);
        if (refused != null) {
            response.setStatus(HttpStatus.FORBIDDEN.value());
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.getWriter()
                    .write("{\"type\":\"/problems/foreign-request\",\"title\":\"Refused\",\"status\":403,\"detail\":\""
                            + refused + "\"}");
            return;
        }
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'");
        chain.doFilter(request, response);
    }

    private String refusal(HttpServletRequest request, String host) {
        if (host == null || !names.contains(withoutPort(host))) {
            return "This address is not one that Open Slab was started under.";
        }
        String origin = request.getHeader("Origin");
        if (!READS.contains(request.getMethod()) && origin != null && !origin.equals("http://" + host)) {
            return "Writes are taken only from Open Slab's own pages.";
        }
        return null;
    }

    private static String withoutPort(String host) {
        return host.replaceFirst(":\\d+$", "");
    }
}

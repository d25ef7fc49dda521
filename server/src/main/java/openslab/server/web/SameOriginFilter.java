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
            Problems.tell(response, new Problems.Told(HttpStatus.FORBIDDEN, "foreign-request", refused));
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
        boolean reads = READS.contains(request.getMethod());
        String origin = request.getHeader("Origin");
        if (!reads && origin != null && !isOwn(origin, host)) {
            return "Writes are taken only from Open Slab's own pages.";
        }
        // a browser says where a request comes from also where it leaves the origin out; a link followed is no harm
        boolean foreign = "cross-site".equals(request.getHeader("Sec-Fetch-Site"));
        boolean followed = reads && "navigate".equals(request.getHeader("Sec-Fetch-Mode"));
        if (foreign && !followed) {
            return "Requests are taken only from Open Slab's own pages.";
        }
        return null;
    }

    /** The same name and port; the scheme is that of whatever stands before us, such as a proxy that speaks TLS. */
    private static boolean isOwn(String origin, String host) {
        return origin.equals("http://" + host) || origin.equals("https://" + host);
    }

    private static String withoutPort(String host) {
        return host.replaceFirst(":\\d+$", "");
    }
}

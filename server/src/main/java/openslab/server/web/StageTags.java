package openslab.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.ShallowEtagHeaderFilter;

/**
 * Heads, stages and logbooks carry an ETag of what they say: whoever has it already is told so in a line. The tag is a weak one, since
 * answers are compressed on their way.
 */
@Component
class StageTags extends ShallowEtagHeaderFilter {
    StageTags() {
        setWriteWeakETag(true);
    }

    /** Whoever keeps an answer asks whether it still holds before it is shown again. */
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noCache().getHeaderValue());
        super.doFilterInternal(request, response, chain);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean tagged = path.startsWith("/api/jobs/")
                && (path.contains("/stages/") || path.endsWith("/head") || path.endsWith("/log"));
        return !tagged || !request.getMethod().equals("GET");
    }
}

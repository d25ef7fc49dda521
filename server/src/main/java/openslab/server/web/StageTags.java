package openslab.server.web;

import jakarta.servlet.http.HttpServletRequest;
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

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean tagged = path.startsWith("/api/jobs/")
                && (path.contains("/stages/") || path.endsWith("/head") || path.endsWith("/log"));
        return !tagged || !request.getMethod().equals("GET");
    }
}

package openslab.server.job;

import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** Other jobs that a write was about, besides the one in its path: their screens are told too. */
public final class AlsoAbout {
    private static final String JOBS = AlsoAbout.class.getName();

    private AlsoAbout() {}

    /** Where nobody asked, as when the demo is laid, nobody is told. */
    public static void note(UUID jobId) {
        RequestAttributes asked = RequestContextHolder.getRequestAttributes();
        if (asked != null) {
            Set<UUID> jobs = new HashSet<>(of(asked.getAttribute(JOBS, RequestAttributes.SCOPE_REQUEST)));
            jobs.add(jobId);
            asked.setAttribute(JOBS, Set.copyOf(jobs), RequestAttributes.SCOPE_REQUEST);
        }
    }

    /** Those that were noted. @param jobs as the request keeps them */
    @SuppressWarnings("unchecked")
    private static Set<UUID> of(Object jobs) {
        return jobs == null ? Set.of() : (Set<UUID>) jobs;
    }

    static Set<UUID> of(jakarta.servlet.http.HttpServletRequest request) {
        return of(request.getAttribute(JOBS));
    }
}

package openslab.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import openslab.core.quantity.Text;
import org.apache.coyote.CloseNowException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is sent is bounded by the request: no body is longer than what it is for, none takes longer than its length allows,
 * none is of a kind that nobody reads, and those that come slowly leave half of the hands free.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BodyFilter extends OncePerRequestFilter {
    private static final Set<String> WITHOUT_BODY = Set.of("GET", "HEAD", "OPTIONS");
    /** A charset may follow. */
    private static final List<MediaType> READ = List.of(
            MediaType.APPLICATION_JSON,
            new MediaType("text", "csv"),
            MediaType.IMAGE_JPEG,
            MediaType.IMAGE_PNG,
            MediaType.APPLICATION_PDF);

    private static final long MEBI = 1L << 20;
    /** A form, a plan. */
    private static final long USUAL = 4 * MEBI;
    /** A job with its pictures; a drawing; a scanned sheet. */
    private static final long FILE = 64 * MEBI;

    private static final long LOGGER_FILE = 1L << 30;
    /** Half of the threads that the server has. */
    private static final int READING = 100;

    /** Slower than this nobody's network is, bytes a second. */
    private static final long SLOWEST = 16_384;

    /** Files are read into memory whole: so many at once have room there. */
    private static final int HEAVY = 2;

    private static final Problems.Told BUSY = new Problems.Told(
            HttpStatus.SERVICE_UNAVAILABLE, "busy", "Too many send something at this moment; try again.");

    /** Of a body that is declined unread, bytes. */
    private static final int HEARD_OUT = 1 << 16;

    private final Semaphore hands = new Semaphore(READING);
    private final Semaphore heavy = new Semaphore(HEAVY, true);
    private final Duration patience;

    /** @param patience with a body before its pace counts, and with others that send files */
    BodyFilter(@Value("${openslab.patience:30s}") Duration patience) {
        this.patience = patience;
    }

    /** A body that is too long, or comes too slowly. */
    static final class BodyRefused extends IOException {
        private final transient Problems.Told told;

        private BodyRefused(Problems.Told told) {
            super(told.detail());
            this.told = told;
        }

        Problems.Told told() {
            return told;
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (WITHOUT_BODY.contains(request.getMethod())) {
            chain.doFilter(request, response);
            return;
        }
        long most = most(request.getRequestURI());
        if (!isKnown(request)) {
            unread(
                    request,
                    response,
                    new Problems.Told(
                            HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                            "unsupported-media-type",
                            "Content-Type: application/json, text/csv, image/jpeg, image/png or application/pdf; got "
                                    + Text.shortened(String.valueOf(request.getContentType()), 80)
                                    + "."));
        } else if (request.getContentLengthLong() > most) {
            unread(request, response, tooLong(most));
        } else if (!hands.tryAcquire()) {
            unread(request, response, BUSY);
        } else {
            try {
                pass(request, response, chain, most);
            } finally {
                hands.release();
            }
        }
    }

    private void pass(HttpServletRequest request, HttpServletResponse response, FilterChain chain, long most)
            throws ServletException, IOException {
        var bounded = new Bounded(request, most);
        long length = request.getContentLengthLong();
        if (most != FILE || length >= 0 && length <= USUAL) {
            through(chain, bounded, response);
        } else if (isFreeSoon(heavy)) {
            try {
                through(chain, bounded, response);
            } finally {
                heavy.release();
            }
        } else {
            unread(request, response, BUSY);
        }
    }

    /** Declined with its body still to come: nobody waits for that, or a slow sender would hold a thread that others need. */
    private static void unread(HttpServletRequest request, HttpServletResponse response, Problems.Told told)
            throws IOException {
        // what has come already is taken: a sender whose words are thrown back at it does not hear why
        var in = request.getInputStream();
        for (int taken = 0; taken < HEARD_OUT && in.available() > 0; ) {
            taken += in.skip(Math.min(HEARD_OUT, in.available()));
        }
        response.setHeader("Connection", "close");
        Problems.tell(response, told);
        response.getWriter().close();
        throw new CloseNowException(told.detail());
    }

    /** A body that was refused is not read to its end either: without this the server would go on waiting for it. */
    private static void through(FilterChain chain, Bounded request, HttpServletResponse response)
            throws ServletException, IOException {
        chain.doFilter(request, response);
        request.hearOut();
        if (request.refused) {
            response.getOutputStream().close();
            throw new CloseNowException("the rest of a body that was refused");
        }
    }

    private boolean isFreeSoon(Semaphore permits) {
        try {
            return permits.tryAcquire(patience.toSeconds(), TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static long most(String path) {
        if (path.startsWith("/api/logger-files")) {
            return LOGGER_FILE;
        }
        return path.startsWith("/api/job-files")
                        || path.startsWith("/api/plan-files")
                        || path.startsWith("/api/readings-files")
                        || path.endsWith("/documents")
                ? FILE
                : USUAL;
    }

    private static Problems.Told tooLong(long most) {
        return new Problems.Told(
                HttpStatus.CONTENT_TOO_LARGE,
                "too-long",
                "The body is longer than the " + most + " bytes that are taken here.");
    }

    private static boolean isKnown(HttpServletRequest request) {
        String type = request.getContentType();
        if (type == null) {
            return request.getContentLengthLong() <= 0;
        }
        try {
            MediaType known = MediaType.parseMediaType(type);
            return READ.stream().anyMatch(known::equalsTypeAndSubtype);
        } catch (InvalidMediaTypeException e) {
            return false;
        }
    }

    private final class Bounded extends HttpServletRequestWrapper {
        private final long most;
        private boolean refused;
        private BoundedStream stream;

        Bounded(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (stream == null) {
                stream = new BoundedStream(super.getInputStream(), this);
            }
            return stream;
        }

        /**
         * What was answered before all of it was read, as where it begins with a mistake: whoever still sends hears the answer only
         * once the rest is taken. It may be as long, and as slow, as what is read.
         */
        private void hearOut() throws IOException {
            var rest = new byte[HEARD_OUT];
            while (!refused) {
                try {
                    if (getInputStream().read(rest, 0, rest.length) < 0) {
                        return;
                    }
                } catch (BodyRefused e) {
                    // the answer is there already: nothing more is told
                }
            }
        }
    }

    private final class BoundedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final Bounded request;
        private final long since = System.nanoTime();
        private long read;

        BoundedStream(ServletInputStream in, Bounded request) {
            this.in = in;
            this.request = request;
        }

        private int counted(int n) throws IOException {
            read += Math.max(0, n);
            if (read > request.most) {
                throw refused(tooLong(request.most));
            }
            long seconds = (System.nanoTime() - since) / 1_000_000_000;
            if (seconds > patience.toSeconds() + read / SLOWEST) {
                throw refused(new Problems.Told(
                        HttpStatus.REQUEST_TIMEOUT, "too-slow", "The body came too slowly; nothing of it was taken."));
            }
            return n;
        }

        private BodyRefused refused(Problems.Told told) {
            request.refused = true;
            return new BodyRefused(told);
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            counted(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            return counted(in.read(b, off, len));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}

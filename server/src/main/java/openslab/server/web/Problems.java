package openslab.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionTimedOutException;
import org.springframework.web.bind.MissingRequestHeaderException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every error leaves as RFC 9457 problem details. A user's mistake names the field, the value and what is accepted and leaves
 * no trace in the log; our own mistake is logged under an incident number, and only the number leaves.
 */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @ExceptionHandler
    ProblemDetail invalid(InvalidInput e) {
        var p = withFaults(HttpStatus.BAD_REQUEST, "invalid-input", e.getMessage(), e.faults());
        if (e.more() > 0) {
            p.setProperty("more", e.more());
        }
        return p;
    }

    @ExceptionHandler
    ProblemDetail refused(Refusal e) {
        var p = problem(HttpStatus.UNPROCESSABLE_CONTENT, e.code(), e.getMessage());
        p.setProperty("remedy", e.remedy());
        return p;
    }

    /** A problem told before anything was read of the request. */
    record Told(HttpStatus status, String code, String detail) {}

    /** Tells it where no controller does. */
    static void tell(HttpServletResponse response, Told told) throws IOException {
        response.setStatus(told.status().value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter()
                .write(JSON.writeValueAsString(Map.of(
                        "type", "/problems/" + told.code(),
                        "title", told.status().getReasonPhrase(),
                        "status", told.status().value(),
                        "detail", told.detail())));
    }

    @ExceptionHandler
    ProblemDetail refusedBody(BodyFilter.BodyRefused e) {
        return problem(e.told().status(), e.told().code(), e.told().detail());
    }

    @ExceptionHandler
    ProblemDetail full(NoSpace e) {
        var p = problem(HttpStatus.INSUFFICIENT_STORAGE, "no-space", e.getMessage());
        p.setProperty("remedy", "Make room where the data are kept; then it goes on by itself.");
        return p;
    }

    /** A server that is restarted, or a network that is gone, is nobody's mistake. */
    @ExceptionHandler({DataAccessResourceFailureException.class, CannotCreateTransactionException.class})
    ProblemDetail silent(Exception e) {
        return unavailable(
                e,
                "no-database",
                "The database does not answer",
                "Try again: it goes on by itself as soon as the database answers.");
    }

    /** Others hold what this needs: neither theirs nor ours is wrong. */
    @ExceptionHandler({TransientDataAccessException.class, TransactionTimedOutException.class})
    ProblemDetail busy(Exception e) {
        return unavailable(e, "busy", "Others write the same at this moment", "Try again: it goes on by itself.");
    }

    private static ProblemDetail unavailable(Exception e, String code, String why, String remedy) {
        LOG.warn(why, e);
        var p = problem(HttpStatus.SERVICE_UNAVAILABLE, code, why + "; nothing was saved.");
        p.setProperty("remedy", remedy);
        return p;
    }

    @ExceptionHandler
    ProblemDetail unknown(NotHere e) {
        return withFaults(
                HttpStatus.NOT_FOUND,
                "not-here",
                e.getMessage(),
                List.of(new InvalidInput.Fault(e.field(), e.value(), "the id of something that is here")));
    }

    @ExceptionHandler
    ProblemDetail stale(StaleWrite e) {
        var p = problem(HttpStatus.PRECONDITION_FAILED, "stale-write", e.getMessage());
        p.setProperty("changes", e.changes());
        return p;
    }

    @ExceptionHandler
    ProblemDetail mismatch(MethodArgumentTypeMismatchException e) {
        Class<?> type = e.getRequiredType();
        String accepted =
                type == UUID.class ? "a UUID such as 0b6e2a3c-58a1-4f0e-9d55-2f1a7c7f8a10" : "another kind of value";
        RequestHeader header = e.getParameter().getParameterAnnotation(RequestHeader.class);
        String name = header == null ? e.getName() : header.value();
        var faults = List.of(new InvalidInput.Fault(name, String.valueOf(e.getValue()), accepted));
        return withFaults(HttpStatus.BAD_REQUEST, "invalid-input", sentences(faults), faults);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        for (Throwable t = e.getCause(); t != null; t = t.getCause()) {
            if (t instanceof BodyFilter.BodyRefused refused) {
                var p = refusedBody(refused);
                return handleExceptionInternal(e, p, headers, refused.told().status(), request);
            }
        }
        var faults = List.of(fault(e));
        var p = withFaults(HttpStatus.BAD_REQUEST, "unreadable-json", sentences(faults), faults);
        return handleExceptionInternal(e, p, headers, HttpStatus.BAD_REQUEST, request);
    }

    @Override
    protected ResponseEntity<Object> handleServletRequestBindingException(
            org.springframework.web.bind.ServletRequestBindingException e,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        String header = e instanceof MissingRequestHeaderException missing ? missing.getHeaderName() : "request";
        var faults = List.of(new InvalidInput.Fault(header, null, "a header that every write carries"));
        var p = withFaults(HttpStatus.BAD_REQUEST, "invalid-input", sentences(faults), faults);
        return handleExceptionInternal(e, p, headers, HttpStatus.BAD_REQUEST, request);
    }

    @ExceptionHandler
    ProblemDetail bug(Exception e) {
        String incident = UUID.randomUUID().toString().substring(0, 8);
        LOG.error("incident {}", incident, e);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "our-mistake", "Our mistake, logged as " + incident + ".");
    }

    private static InvalidInput.Fault fault(HttpMessageNotReadableException e) {
        Throwable cause = e.getCause();
        if (cause instanceof UnrecognizedPropertyException unknown) {
            String known = unknown.getKnownPropertyIds().stream()
                    .map(Object::toString)
                    .sorted()
                    .collect(Collectors.joining(", "));
            return new InvalidInput.Fault(path(unknown), unknown.getPropertyName(), "only " + known);
        }
        if (cause instanceof InvalidFormatException text && text.getTargetType() == String.class) {
            return new InvalidInput.Fault(
                    path(text),
                    "half a character, or none",
                    "text of whole characters, without U+0000, U+FFFE and their like");
        }
        if (cause instanceof InvalidNullException none) {
            return new InvalidInput.Fault(path(none), null, "a value: one of a list is never null");
        }
        if (cause instanceof DatabindException bind) {
            return new InvalidInput.Fault(
                    path(bind), "another kind of value", "the kind of value that this field holds");
        }
        if (cause instanceof StreamReadException read && read.getLocation() != null) {
            return new InvalidInput.Fault(
                    "body",
                    "line " + read.getLocation().getLineNr() + ", column "
                            + read.getLocation().getColumnNr(),
                    "well-formed JSON");
        }
        return new InvalidInput.Fault("body", null, "a JSON object");
    }

    private static String path(JacksonException e) {
        String path = e.getPath().stream()
                .map(r -> r.getPropertyName() == null ? "[" + r.getIndex() + "]" : r.getPropertyName())
                .collect(Collectors.joining("."));
        return path.isEmpty() ? "body" : path.replace(".[", "[");
    }

    private static String sentences(List<InvalidInput.Fault> faults) {
        return faults.stream().map(InvalidInput.Fault::sentence).collect(Collectors.joining(" "));
    }

    private static ProblemDetail withFaults(
            HttpStatus status, String code, String detail, List<InvalidInput.Fault> faults) {
        var p = problem(status, code, detail);
        p.setProperty("faults", faults);
        return p;
    }

    private static ProblemDetail problem(HttpStatus status, String code, String detail) {
        var p = ProblemDetail.forStatusAndDetail(status, detail);
        p.setType(URI.create("/problems/" + code));
        return p;
    }
}

package openslab.server.web;

import com.fasterxml.jackson.annotation.JsonView;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.Map;
import org.springframework.core.MethodParameter;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;

/**
 * An answer that leaves the workings of its figures out: six tenths of it. A figure's own is asked for when somebody opens it, by where
 * it stands in the answer; with {@code ?workings=true} all of them come at once, to be taken where there is no signal.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Brief {
    /** Writes such answers: the serializer of figures sees it as the active view. */
    @ControllerAdvice
    class Advice implements ResponseBodyAdvice<Object> {
        @Override
        public boolean supports(MethodParameter method, Class<? extends HttpMessageConverter<?>> converter) {
            return method.hasMethodAnnotation(Brief.class);
        }

        @Override
        public Object beforeBodyWrite(
                Object body,
                MethodParameter method,
                MediaType type,
                Class<? extends HttpMessageConverter<?>> converter,
                ServerHttpRequest request,
                ServerHttpResponse response) {
            return body;
        }

        @Override
        public Map<String, Object> determineWriteHints(
                Object body,
                MethodParameter method,
                MediaType type,
                Class<? extends HttpMessageConverter<?>> converter) {
            boolean whole = RequestContextHolder.currentRequestAttributes() instanceof ServletRequestAttributes a
                    && "true".equals(a.getRequest().getParameter("workings"));
            return whole ? Map.of() : Map.of(JsonView.class.getName(), Brief.class);
        }
    }
}

package openslab.server.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What goes wrong before or beside every controller leaves as a problem too; asked for by itself it is not here. */
@Controller
class Errors implements ErrorController {
    @RequestMapping("${server.error.path:/error}")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (response.isCommitted()) {
            return;
        }
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                        && HttpStatus.resolve(code) != null
                ? HttpStatus.valueOf(code)
                : HttpStatus.NOT_FOUND;
        Problems.tell(response, new Problems.Told(status, "not-answered", status.getReasonPhrase() + "."));
    }
}

package org.logophon.app.platform.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.logophon.app.platform.failure.NotFound;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.server.ResponseStatusException;

/** The address of failures before any page; asked for by itself, it is no page. */
@Controller
class ErrorAddress implements ErrorController {

    @RequestMapping("/error")
    void answer(HttpServletRequest request) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        if (!(status instanceof Integer code) || HttpStatus.resolve(code) == null) {
            throw new NotFound("There is no page at this address. The shelf shows all projects.");
        }
        throw new ResponseStatusException(
                HttpStatus.valueOf(code), null, (Throwable) request.getAttribute(RequestDispatcher.ERROR_EXCEPTION));
    }
}

package org.logophon.app.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Map;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.render.SpeechFailed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;

/**
 * Every error reaches a person as a sentence with an apt status, as a page or, for a script, as {@code {"sentence":
 * …}}.
 */
@ControllerAdvice
class Errors {

    private static final Logger LOG = LoggerFactory.getLogger(Errors.class);

    @ExceptionHandler(NotFound.class)
    Object notFound(NotFound error, HttpServletRequest request) {
        return answer(HttpStatus.NOT_FOUND, error.getMessage(), request);
    }

    @ExceptionHandler({Refused.class, InvalidInput.class})
    Object refused(RuntimeException error, HttpServletRequest request) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, error.getMessage(), request);
    }

    /** The sentence comes with the number to agree to. */
    @ExceptionHandler(PriceFirst.class)
    Object price(PriceFirst price) {
        return ResponseEntity.status(HttpStatus.PAYMENT_REQUIRED)
                .contentType(MediaType.APPLICATION_JSON)
                .body(new PriceAnswer(price.getMessage(), price.characters(), price.money()));
    }

    @ExceptionHandler(Stale.class)
    Object stale(Stale error, HttpServletRequest request) {
        return answer(HttpStatus.CONFLICT, error.getMessage(), request);
    }

    @ExceptionHandler(SpeechFailed.class)
    Object speechFailed(SpeechFailed error, HttpServletRequest request) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, error.getMessage(), request);
    }

    @ExceptionHandler({
        MethodArgumentTypeMismatchException.class,
        MissingServletRequestParameterException.class,
        MissingServletRequestPartException.class,
        HttpMessageNotReadableException.class,
        JacksonException.class
    })
    Object malformed(Exception error, HttpServletRequest request) {
        return answer(
                HttpStatus.BAD_REQUEST,
                "This request is not written as it should be. Reload the page and try again.",
                request);
    }

    @ExceptionHandler(MultipartException.class)
    Object tooLarge(MultipartException error, HttpServletRequest request) {
        boolean large = error instanceof MaxUploadSizeExceededException
                || String.valueOf(error.getMessage()).contains("exceed");
        return large
                ? answer(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "This is over 30 MB a file or 120 MB in all, which no script is. Take the pictures out, or save it as text.",
                        request)
                : answer(HttpStatus.BAD_REQUEST, "The files did not arrive whole. Choose them again.", request);
    }

    @ExceptionHandler(NoResourceFoundException.class)
    Object noPage(HttpServletRequest request) {
        return answer(HttpStatus.NOT_FOUND, "There is no page at this address. The shelf shows all projects.", request);
    }

    @ExceptionHandler(HttpRequestMethodNotSupportedException.class)
    Object method(HttpServletRequest request) {
        return answer(HttpStatus.METHOD_NOT_ALLOWED, "This address doesn't take that kind of request.", request);
    }

    /** Whoever closes a page while it is answered is no error. */
    @ExceptionHandler(AsyncRequestNotUsableException.class)
    void left() {}

    @ExceptionHandler(Exception.class)
    Object unknown(Exception error, HttpServletRequest request) {
        if (ReaderLeft.is(error)) {
            return null;
        }
        if (DatabaseAway.is(error)) {
            return answer(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.SENTENCE, request);
        }
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), error);
        return answer(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something failed inside Logophon, and it has been logged. What was saved is safe; reload the page.",
                request);
    }

    private static Object answer(HttpStatus status, String sentence, HttpServletRequest request) {
        // a stream of events that can't begin is answered like anything else
        request.removeAttribute(HandlerMapping.PRODUCIBLE_MEDIA_TYPES_ATTRIBUTE);
        String accept = String.valueOf(request.getHeader("Accept")).toLowerCase(Locale.ROOT);
        if (request.getHeader("HX-Request") == null && accept.contains("text/html")) {
            ModelAndView page = new ModelAndView("error", Map.of("sentence", sentence, "status", status.value()));
            page.setStatus(status);
            return page;
        }
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_JSON)
                .body(new SentenceAnswer(sentence));
    }
}

package org.logophon.app.platform.web;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.CharacterCodingException;
import java.util.Locale;
import java.util.Map;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.logophon.app.platform.failure.DatabaseAway;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.Gone;
import org.logophon.app.platform.failure.NoRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.SignInFirst;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.failure.TooOften;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.documents.Documents;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageConversionException;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.util.unit.DataSize;
import org.springframework.validation.BindException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.MissingPathVariableException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.core.JacksonException;

/**
 * Every error reaches a person as a sentence with an apt status, as a page or, for a script, as {@code {"sentence":
 * …}}.
 */
@ControllerAdvice
class Errors {

    private static final String MALFORMED = "This request is malformed. Reload the page and try again.";

    private static final Logger LOG = LoggerFactory.getLogger(Errors.class);

    private final String tooLarge;

    Errors(@Value("${spring.servlet.multipart.max-request-size}") DataSize inAll) {
        tooLarge = "This is over %d MB a file or %d MB in all. Remove the pictures, or save it as text."
                .formatted(Documents.MOST_BYTES >> 20, inAll.toMegabytes());
    }

    @ExceptionHandler(NotFound.class)
    Object notFound(NotFound error, HttpServletRequest request) {
        return answer(HttpStatus.NOT_FOUND, error.getMessage(), request);
    }

    @ExceptionHandler(Gone.class)
    Object gone(Gone error, HttpServletRequest request) {
        return answer(HttpStatus.GONE, error.getMessage(), request);
    }

    @ExceptionHandler(TooOften.class)
    Object tooOften(TooOften error, HttpServletRequest request) {
        return answer(HttpStatus.TOO_MANY_REQUESTS, error.getMessage(), request);
    }

    @ExceptionHandler({Refused.class, InvalidInput.class})
    Object refused(RuntimeException error, HttpServletRequest request) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, error.getMessage(), request);
    }

    @ExceptionHandler(Forbidden.class)
    Object forbidden(Forbidden error, HttpServletRequest request) {
        return answer(HttpStatus.FORBIDDEN, error.getMessage(), request);
    }

    /** A page leads to the door, and from there back to where somebody wanted to go. */
    @ExceptionHandler(SignInFirst.class)
    Object signIn(SignInFirst error, HttpServletRequest request) {
        if (!request.getMethod().equals("GET") || !page(request)) {
            return answer(HttpStatus.UNAUTHORIZED, error.getMessage(), request);
        }
        String wanted =
                request.getRequestURI() + (request.getQueryString() == null ? "" : "?" + request.getQueryString());
        ModelAndView door = new ModelAndView("redirect:/sign-in");
        door.addObject("then", wanted);
        return door;
    }

    /** The sentence comes with the number to agree to. */
    @ExceptionHandler(PriceFirst.class)
    Object price(PriceFirst price) {
        return ResponseEntity.status(HttpStatus.PAYMENT_REQUIRED)
                .contentType(MediaType.APPLICATION_JSON)
                .body(new PriceAnswer(price.getMessage(), price.characters(), price.money()));
    }

    @ExceptionHandler(NoRoom.class)
    Object noRoom(NoRoom error, HttpServletRequest request) {
        return answer(HttpStatus.INSUFFICIENT_STORAGE, error.getMessage(), request);
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
        HttpMessageNotReadableException.class,
        HttpMessageConversionException.class,
        BindException.class,
        JacksonException.class,
        IllegalStateException.class
    })
    Object malformed(Exception error, HttpServletRequest request) {
        if (error instanceof IllegalStateException && !malformedBytes(error)) {
            return unknown(error, request);
        }
        return answer(HttpStatus.BAD_REQUEST, MALFORMED, request);
    }

    /** A form whose bytes are no text: the server's own sign for it is an {@code IllegalStateException}. */
    private static boolean malformedBytes(Throwable error) {
        return error instanceof InvalidParameterException || error.getCause() instanceof CharacterCodingException;
    }

    /** What the framework refuses by itself has its status already: no such path, no such kind of answer. */
    @ExceptionHandler({ServletException.class, ErrorResponseException.class})
    Object refusedByTheFramework(Exception error, HttpServletRequest request) {
        if (!(error instanceof ErrorResponse refusal) || refusal.getStatusCode().is5xxServerError()) {
            return error instanceof MissingPathVariableException ? noPage(request) : unknown(error, request);
        }
        HttpStatus status = HttpStatus.valueOf(refusal.getStatusCode().value());
        return switch (status) {
            case NOT_FOUND -> noPage(request);
            case METHOD_NOT_ALLOWED -> answer(status, "This address doesn't take that kind of request.", request);
            case NOT_ACCEPTABLE, UNSUPPORTED_MEDIA_TYPE ->
                answer(status, "This address takes other kinds of content. Reload the page.", request);
            case CONTENT_TOO_LARGE -> answer(status, tooLarge, request);
            default -> answer(status, MALFORMED, request);
        };
    }

    @ExceptionHandler(MultipartException.class)
    Object tooLarge(MultipartException error, HttpServletRequest request) {
        boolean large = error instanceof MaxUploadSizeExceededException
                || String.valueOf(error.getMessage()).contains("exceed");
        return large
                ? answer(HttpStatus.CONTENT_TOO_LARGE, tooLarge, request)
                : answer(HttpStatus.BAD_REQUEST, "The files did not arrive whole. Choose them again.", request);
    }

    private static Object noPage(HttpServletRequest request) {
        return answer(HttpStatus.NOT_FOUND, "There is no page at this address. The shelf shows all projects.", request);
    }

    /** Whoever closes a page while it is answered is no error. */
    @ExceptionHandler(AsyncRequestNotUsableException.class)
    void left() {}

    @ExceptionHandler(Exception.class)
    Object unknown(Exception error, HttpServletRequest request) {
        if (ReaderLeft.is(error)) {
            return null;
        }
        if (NoRoom.is(error)) {
            return answer(HttpStatus.INSUFFICIENT_STORAGE, NoRoom.SENTENCE, request);
        }
        if (MemoryUsedUp.is(error)) {
            return answer(HttpStatus.SERVICE_UNAVAILABLE, MemoryUsedUp.SENTENCE, request);
        }
        if (DatabaseAway.is(error)) {
            return answer(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.SENTENCE, request);
        }
        // which address it was, not what was in it: what people typed never reaches the log
        LOG.error(
                "{} {} failed: {}",
                request.getMethod(),
                request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE),
                LogSafeTrace.withoutWords(error));
        return answer(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something failed inside Logophon, and it has been logged. What was saved is safe; reload the page.",
                request);
    }

    /** True when somebody looks at the answer, and no script of a page. */
    private static boolean page(HttpServletRequest request) {
        String accept = String.valueOf(request.getHeader("Accept")).toLowerCase(Locale.ROOT);
        return request.getHeader("HX-Request") == null && accept.contains("text/html");
    }

    private static Object answer(HttpStatus status, String sentence, HttpServletRequest request) {
        // a stream of events that can't begin is answered like anything else
        request.removeAttribute(HandlerMapping.PRODUCIBLE_MEDIA_TYPES_ATTRIBUTE);
        if (page(request)) {
            ModelAndView page = new ModelAndView(
                    "error",
                    Map.of(
                            "sentence",
                            sentence,
                            "status",
                            status.value(),
                            // who came by a link or a feed has no shelf
                            "stranger",
                            request.getRequestURI().matches("/([sf]|join)/.*")));
            page.setStatus(status);
            return page;
        }
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_JSON)
                .body(new SentenceAnswer(sentence));
    }
}

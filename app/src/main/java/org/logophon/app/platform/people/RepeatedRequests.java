package org.logophon.app.platform.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.core.input.digest.Sha256;
import org.springframework.core.MethodParameter;
import org.springframework.core.Ordered;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;
import tools.jackson.databind.json.JsonMapper;

/**
 * What makes something new is done once for a key, however often it is sent: a double press, or a request whose answer
 * was lost. The key is the header {@code Idempotency-Key} (IETF httpapi, draft-ietf-httpapi-idempotency-key-header-07)
 * or the field {@value #FIELD} of a form; without one every request counts. Which were done the database knows, for
 * every server; what was answered this server alone, for a minute, since it may be a secret.
 */
@Component
@ControllerAdvice
class RepeatedRequests implements HandlerInterceptor, WebMvcConfigurer, ResponseBodyAdvice<Object> {

    private static final String HEADER = "Idempotency-Key";
    private static final String FIELD = "idempotencyKey";
    private static final String KEY = RepeatedRequests.class.getName();
    private static final Duration ANSWER_KEPT = Duration.ofMinutes(1);
    private static final long MOST_ANSWERS = 10_000;
    private static final Duration WAITED = Duration.ofSeconds(20);
    private static final long LOOK_MS = 50;
    private static final String REDIRECT = "redirect:";

    private final RequestKeys keys;
    private final Visits visits;
    private final JsonMapper json;
    private final Cache<String, Answer> answers = Caffeine.newBuilder()
            .expireAfterWrite(ANSWER_KEPT)
            .maximumSize(MOST_ANSWERS)
            .build();

    RepeatedRequests(RequestKeys keys, Visits visits, JsonMapper json) {
        this.keys = keys;
        this.visits = visits;
        this.json = json;
    }

    /** @param location of a page to go on to; null for none @param body as JSON; null for none */
    private record Answer(String location, String body) {}

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        // who asks is known by then, and whether they may
        registry.addInterceptor(this).order(Ordered.LOWEST_PRECEDENCE);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        String key = handler instanceof HandlerMethod method && method.hasMethodAnnotation(DoneOnce.class)
                ? key(request)
                : null;
        if (key == null) {
            return true;
        }
        while (!keys.begin(key)) {
            Optional<Boolean> ended = awaited(key);
            if (ended.isPresent()) {
                return answered(key, ended.get(), response);
            }
        }
        request.setAttribute(KEY, key);
        return true;
    }

    /** What a key stands for is who asked where for what: a page that is gone back to may ask for something else. */
    private String key(HttpServletRequest request) {
        String given = request.getHeader(HEADER);
        String key = given == null ? request.getParameter(FIELD) : given;
        if (key == null || key.isBlank()) {
            return null;
        }
        StringBuilder all = new StringBuilder(key)
                .append('\n')
                .append(visits.name())
                .append('\n')
                .append(request.getRequestURI());
        new TreeMap<>(request.getParameterMap())
                .forEach((name, values) ->
                        all.append('\n').append(name).append('=').append(List.of(values)));
        return Sha256.hex(all.toString());
    }

    /** @return empty when it failed, and may be tried by this one */
    private Optional<Boolean> awaited(String key) {
        AtomicReference<Optional<Boolean>> seen = new AtomicReference<>(Optional.empty());
        wait(() -> {
            seen.set(keys.ended(key));
            return seen.get().orElse(true);
        });
        return seen.get();
    }

    private static void wait(BooleanSupplier until) {
        long end = System.nanoTime() + WAITED.toNanos();
        try {
            while (!until.getAsBoolean() && System.nanoTime() < end) {
                Thread.sleep(LOOK_MS);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private boolean answered(String key, boolean ended, HttpServletResponse response) throws IOException {
        if (!ended) {
            throw new Stale("This was sent twice, and the first is still being done. Reload the page in a moment.");
        }
        Answer answer = answers.getIfPresent(key);
        if (answer == null) {
            throw new Stale("This was sent twice, and was done once. Reload the page.");
        }
        if (answer.location() != null) {
            response.setStatus(HttpServletResponse.SC_FOUND);
            response.setHeader(HttpHeaders.LOCATION, answer.location());
        } else {
            response.setContentType(MediaType.APPLICATION_JSON_VALUE);
            response.setCharacterEncoding("UTF-8");
            response.getWriter().write(answer.body());
        }
        return false;
    }

    @Override
    public boolean supports(MethodParameter method, Class<? extends HttpMessageConverter<?>> converter) {
        return method.hasMethodAnnotation(DoneOnce.class);
    }

    @Override
    public Object beforeBodyWrite(
            Object body,
            MethodParameter method,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        if (request instanceof ServletServerHttpRequest servlet
                && servlet.getServletRequest().getAttribute(KEY) instanceof String key) {
            answers.put(key, new Answer(null, json.writeValueAsString(body)));
            keys.end(key);
        }
        return body;
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView page) {
        if (request.getAttribute(KEY) instanceof String key
                && page != null
                && page.getViewName() != null
                && page.getViewName().startsWith(REDIRECT)) {
            answers.put(key, new Answer(page.getViewName().substring(REDIRECT.length()), null));
            keys.end(key);
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failed) {
        if (request.getAttribute(KEY) instanceof String key
                && response.getStatus() >= HttpServletResponse.SC_BAD_REQUEST) {
            answers.invalidate(key);
            keys.forget(key);
        }
    }
}

package org.logophon.app.platform.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.UUID;
import org.logophon.app.platform.failure.TooOften;
import org.logophon.app.platform.web.Costly;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The limit on a person's costly requests on a server: thirty at once, and then one a second. Whoever has the
 * machine to themselves may make as many as they like.
 */
@Configuration
class CostlyRequestLimiter implements WebMvcConfigurer, HandlerInterceptor {

    private static final int AT_ONCE = 30;
    private static final Duration EACH = Duration.ofSeconds(1);
    /** A bucket that is full again says nothing. */
    private static final Duration FULL_AFTER = EACH.multipliedBy(AT_ONCE);

    private static final int MOST_KEPT = 100_000;
    /** What decides who asks comes before, and what is asked after. */
    private static final int AFTER_ACCESS = Ordered.HIGHEST_PRECEDENCE + 2;

    private final PeopleSettings settings;
    private final Visits visits;
    private final Cache<UUID, Bucket> buckets = Caffeine.newBuilder()
            .expireAfterAccess(FULL_AFTER)
            .maximumSize(MOST_KEPT)
            .build();

    CostlyRequestLimiter(PeopleSettings settings, Visits visits) {
        this.settings = settings;
        this.visits = visits;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(AFTER_ACCESS);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (settings.on() && handler instanceof HandlerMethod method && method.hasMethodAnnotation(Costly.class)) {
            visits.now().map(visit -> visit.person().id()).ifPresent(this::take);
        }
        return true;
    }

    private void take(UUID person) {
        Bucket bucket = buckets.get(
                person,
                id -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(AT_ONCE).refillGreedy(1, EACH))
                        .build());
        if (!bucket.tryConsume(1)) {
            throw new TooOften("That is more than the machine does for one person at once. Wait a moment, and go on.");
        }
    }
}

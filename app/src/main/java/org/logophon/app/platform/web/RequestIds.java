package org.logophon.app.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** The id of each request, in its answer and in every line of the log that it leads to. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestIds extends OncePerRequestFilter {

    private static final String HEADER = "X-Request-Id";
    private static final String IN_LOG = "request";
    /** One that a balancer gave is kept, so that both logs name it alike. */
    private static final String GIVEN = "[A-Za-z0-9._-]{8,64}";

    /** True on a thread that answers a request. */
    static boolean underWay() {
        return MDC.get(IN_LOG) != null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String given = request.getHeader(HEADER);
        String id = given != null && given.matches(GIVEN)
                ? given
                : UUID.randomUUID().toString().replace("-", "").substring(0, 16);
        response.setHeader(HEADER, id);
        MDC.put(IN_LOG, id);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(IN_LOG);
        }
    }
}

package org.logophon.app.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Only our own pages may ask for anything (W3C, Fetch Metadata Request Headers): a page of another site, or of another
 * port of this machine, may link to ours and no more. A browser that doesn't say where a request comes from says its
 * origin when it changes something (RFC 6454).
 */
final class OwnPagesOnly extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD");

    private final EarlyAnswer answers;

    OwnPagesOnly(EarlyAnswer answers) {
        this.answers = answers;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (own(request)) {
            chain.doFilter(request, response);
            return;
        }
        answers.refuse(request, response, "This request came from another site, and nothing was done.");
    }

    private static boolean own(HttpServletRequest request) {
        boolean reading = READING.contains(request.getMethod());
        String site = request.getHeader("Sec-Fetch-Site");
        if (site != null) {
            // typed, bookmarked, or a link on somebody's page: that opens a page, and changes nothing
            boolean opened = reading && ("none".equals(site) || "navigate".equals(request.getHeader("Sec-Fetch-Mode")));
            return "same-origin".equals(site) || opened;
        }
        String origin = request.getHeader("Origin");
        return reading || origin == null || origin.equals(originOf(request));
    }

    private static String originOf(HttpServletRequest request) {
        return request.getScheme() + "://" + request.getHeader("Host");
    }
}

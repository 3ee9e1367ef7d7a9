package org.logophon.app.platform.web;

import java.net.URI;
import java.net.URISyntaxException;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPattern;

/** Addresses that come with a request, to go on to: only pages of this application are any (CWE-601). */
@Component
public class OwnAddress {

    private static final int LONGEST = 2_000;

    private final RequestMappingHandlerMapping pages;

    OwnAddress(@Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping pages) {
        this.pages = pages;
    }

    /**
     * The page that is meant, as a path with its query, written anew from what was read of it.
     *
     * @return the shelf's for whatever is no page here
     */
    public String orShelf(String asked) {
        if (asked.length() > LONGEST) {
            return "/";
        }
        try {
            URI address = new URI(asked);
            String path = address.getRawPath();
            if (address.isAbsolute() || address.getRawAuthority() != null || path == null || !known(path)) {
                return "/";
            }
            return path + (address.getRawQuery() == null ? "" : "?" + address.getRawQuery());
        } catch (URISyntaxException none) {
            return "/";
        }
    }

    private boolean known(String path) {
        PathContainer steps = PathContainer.parsePath(path);
        return pages.getHandlerMethods().keySet().stream()
                .filter(page -> page.getMethodsCondition().getMethods().contains(RequestMethod.GET))
                .flatMap(page -> page.getPathPatternsCondition().getPatterns().stream())
                .filter(pattern -> !pattern.getPatternString().contains("**"))
                .anyMatch((PathPattern pattern) -> pattern.matches(steps));
    }
}

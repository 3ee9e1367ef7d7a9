package org.logophon.app.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;

/**
 * The CSRF token lives in a cookie, so that a page open over a restart of the server can still save. Browsers share
 * cookies between the ports of a machine, so the port is in its name: two applications don't take one another's.
 */
final class TokenCookies implements CsrfTokenRepository {

    static final String NAME = "logophon-token-";

    private static CookieCsrfTokenRepository of(HttpServletRequest request) {
        CookieCsrfTokenRepository cookie = CookieCsrfTokenRepository.withHttpOnlyFalse();
        cookie.setCookieName(NAME + request.getServerPort());
        cookie.setCookieCustomizer(attributes -> attributes.sameSite("Strict"));
        return cookie;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return of(request).generateToken(request);
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        of(request).saveToken(token, request, response);
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return of(request).loadToken(request);
    }
}

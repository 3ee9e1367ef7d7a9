package org.logophon.app.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/**
 * A word that only this answer knows (Content Security Policy Level 3, nonce): with it a page may hold its map of
 * modules, and its editor a style sheet; nothing that is put into the page otherwise runs.
 */
@ControllerAdvice
class CspNonce {

    private static final String NAME = CspNonce.class.getName();
    private static final SecureRandom RANDOM = new SecureRandom();

    @ModelAttribute("nonce")
    String nonce(HttpServletRequest request) {
        return of(request);
    }

    /** The same for all of one request. */
    static String of(HttpServletRequest request) {
        Object known = request.getAttribute(NAME);
        if (known == null) {
            byte[] bytes = new byte[16];
            RANDOM.nextBytes(bytes);
            known = Base64.getEncoder().encodeToString(bytes);
            request.setAttribute(NAME, known);
        }
        return (String) known;
    }
}

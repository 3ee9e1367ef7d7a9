package org.logophon.app.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.stereotype.Component;

/**
 * The addresses below {@code /actuator}, by which programs watch the application: which disk, and how full, is no
 * matter of who comes from elsewhere. Whether they are answered goes by the connection, and by nothing that a request
 * says of itself. A proxy on this machine passes on what others ask, so where people come in they have a port of their
 * own.
 */
@Component
class ManagementAddresses {

    private static final RequestMatcher PATHS =
            PathPatternRequestMatcher.withDefaults().matcher("/actuator/**");

    private final int port;
    private final AllowedHosts who;

    /** @param port of their own; 0 for none */
    ManagementAddresses(@Value("${management.server.port:0}") int port, AllowedHosts who) {
        this.port = port;
        this.who = who;
    }

    boolean asked(HttpServletRequest request) {
        return PATHS.matches(request);
    }

    boolean allowed(HttpServletRequest request) {
        return port > 0 ? request.getLocalPort() == port : !who.peopleComeIn() && fromHere(request);
    }

    private static boolean fromHere(HttpServletRequest request) {
        try {
            // an address in digits: nobody is asked for it
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException none) {
            return false;
        }
    }
}

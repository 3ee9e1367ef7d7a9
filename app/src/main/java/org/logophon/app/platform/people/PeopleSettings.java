package org.logophon.app.platform.people;

import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import org.logophon.app.platform.web.AllowedHosts;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The settings of accounts and of the public address.
 *
 * @param on            false while whoever uses the machine is everybody
 * @param listen        address that the application listens on
 * @param publicAddress how others call it, as {@code https://narration.example}; empty for nobody else
 * @param proxy         true when a proxy of this machine or its network stands before it and says how it was asked
 * @param ownerLink     true to make a link for one more owner at the next start
 */
@ConfigurationProperties("logophon.people")
public record PeopleSettings(
        @DefaultValue("false") boolean on,
        @DefaultValue("127.0.0.1") String listen,
        @DefaultValue("") String publicAddress,
        @DefaultValue("false") boolean proxy,
        @DefaultValue("false") boolean ownerLink)
        implements AllowedHosts {

    public PeopleSettings {
        if (!on && (!publicAddress.isEmpty() || !loopback(listen))) {
            throw new IllegalArgumentException(
                    "Logophon answers beyond this machine only with accounts switched on. Set "
                            + "LOGOPHON_PEOPLE=true, or leave LOGOPHON_LISTEN and LOGOPHON_PUBLIC out.");
        }
        if (!publicAddress.isEmpty() && host(publicAddress) == null) {
            throw new IllegalArgumentException(
                    "LOGOPHON_PUBLIC is \"%s\"; it must be an address as https://narration.example."
                            .formatted(publicAddress));
        }
    }

    private static boolean loopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException unknown) {
            throw new IllegalArgumentException(
                    "LOGOPHON_LISTEN is \"%s\", which is no address of this machine.".formatted(address), unknown);
        }
    }

    private static String host(String address) {
        try {
            URI uri = new URI(address);
            return "https".equals(uri.getScheme()) || "http".equals(uri.getScheme()) ? uri.getHost() : null;
        } catch (URISyntaxException none) {
            return null;
        }
    }

    @Override
    public boolean peopleComeIn() {
        return on;
    }

    @Override
    public String publicHost() {
        return publicAddress.isEmpty() ? null : host(publicAddress);
    }

    @Override
    public boolean publicByTls() {
        return publicAddress.startsWith("https://");
    }
}

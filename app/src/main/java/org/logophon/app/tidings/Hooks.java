package org.logophon.app.tidings;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import org.logophon.app.web.Refused;
import org.logophon.core.digest.Hmac;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Calls an address with a tiding as JSON, signed by HMAC-SHA-256 (RFC 2104) over the time and the body. An address inside this
 * machine or a private network isn't called unless the settings allow it, and nothing is followed anywhere else.
 */
@Component
class Hooks {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration PATIENCE = Duration.ofSeconds(15);
    private static final int LONGEST = 500;
    private static final int OK = 200;
    private static final int REDIRECTS = 300;

    private final boolean privateToo;
    private final PublicPlace place;
    private final Clock clock;
    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(PATIENCE)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    Hooks(@Value("${logophon.hook-private}") boolean privateToo, PublicPlace place, Clock clock) {
        this.privateToo = privateToo;
        this.place = place;
        this.clock = clock;
    }

    /** That the address took nothing: it is called again. */
    static final class NotTaken extends RuntimeException {

        private static final long serialVersionUID = 1L;

        NotTaken(String how) {
            super(how);
        }
    }

    /** @throws Refused for what is no address, or one that may not be called */
    String checked(String address) {
        String hook = address.strip();
        if (hook.isEmpty()) {
            return "";
        }
        URI uri = uri(hook);
        if (hook.length() > LONGEST || uri == null) {
            throw new Refused("“" + hook.substring(0, Math.min(LONGEST, hook.length()))
                    + "” is no address to call. Write one that begins with https://, or leave it empty.");
        }
        if (!mayCall(uri)) {
            throw new Refused(
                    "“" + uri.getHost()
                            + "” is inside this machine or a private network, or isn't known. Whoever runs Logophon can allow such addresses by LOGOPHON_HOOK_PRIVATE.");
        }
        return hook;
    }

    private static URI uri(String address) {
        try {
            URI uri = new URI(address);
            boolean web = "https".equals(uri.getScheme()) || "http".equals(uri.getScheme());
            return web && uri.getHost() != null && uri.getUserInfo() == null ? uri : null;
        } catch (URISyntaxException none) {
            return null;
        }
    }

    private boolean mayCall(URI uri) {
        if (privateToo) {
            return true;
        }
        try {
            for (InetAddress address : InetAddress.getAllByName(uri.getHost())) {
                if (inside(address)) {
                    return false;
                }
            }
            return true;
        } catch (UnknownHostException unknown) {
            return false;
        }
    }

    /** Loopback, link-local, private (RFC 1918), unique local (RFC 4193), shared (RFC 6598), and what is no single machine. */
    static boolean inside(InetAddress address) {
        byte[] bytes = address.getAddress();
        int first = bytes[0] & 0xff;
        int second = bytes[1] & 0xff;
        boolean shared = bytes.length == 4 && first == 100 && second >= 64 && second < 128;
        boolean uniqueLocal = bytes.length == 16 && (first & 0xfe) == 0xfc;
        boolean none = bytes.length == 4 && (first == 0 || first >= 224);
        return address.isLoopbackAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isAnyLocalAddress()
                || address.isMulticastAddress()
                || shared
                || uniqueLocal
                || none;
    }

    /** @throws NotTaken when it is to be called again */
    void send(Wish wish, Tiding tiding) {
        URI uri = uri(wish.hook());
        if (uri == null || !mayCall(uri)) {
            // what a name leads to may have changed since it was written down
            return;
        }
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("id", tiding.id());
        told.put("kind", tiding.kind().id());
        told.put("project", tiding.projectName());
        told.put("sentence", tiding.sentence());
        told.put("address", place.address(tiding.address()));
        told.put("at", tiding.at().toString());
        String body = JSON.writeValueAsString(told);
        String time = Long.toString(clock.instant().getEpochSecond());
        HttpRequest request = HttpRequest.newBuilder(uri)
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .header("Logophon-Time", time)
                .header("Logophon-Signature", "sha256=" + signature(wish.secret(), time + "." + body))
                .POST(HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8))
                .build();
        try {
            HttpResponse<Void> answer = http.send(request, HttpResponse.BodyHandlers.discarding());
            if (answer.statusCode() < OK || answer.statusCode() >= REDIRECTS) {
                throw new NotTaken("It answers with status " + answer.statusCode() + ".");
            }
        } catch (IOException gone) {
            throw new NotTaken("It doesn't answer.");
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            throw new NotTaken("Logophon is being stopped.");
        }
    }

    static String signature(String secret, String signed) {
        return HexFormat.of().formatHex(Hmac.of(secret, signed));
    }
}

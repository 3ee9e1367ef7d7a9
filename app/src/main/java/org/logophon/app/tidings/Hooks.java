package org.logophon.app.tidings;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.apache.hc.client5.http.DnsResolver;
import org.apache.hc.client5.http.SystemDefaultDnsResolver;
import org.apache.hc.client5.http.classic.methods.HttpPost;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.http.ContentType;
import org.apache.hc.core5.http.io.entity.StringEntity;
import org.apache.hc.core5.util.Timeout;
import org.logophon.app.web.Refused;
import org.logophon.core.digest.Hmac;
import org.springframework.beans.factory.annotation.Autowired;
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
    private static final int LAST_PORT = 65_535;

    private final boolean privateToo;
    private final DnsResolver names;
    private final PublicPlace place;
    private final Clock clock;
    private final CloseableHttpClient http;
    /** Ends what is answered so slowly that no wait for the next byte ever ends. */
    private final ScheduledExecutorService late = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "late calls");
        thread.setDaemon(true);
        return thread;
    });

    @Autowired
    Hooks(@Value("${logophon.hook-private}") boolean privateToo, PublicPlace place, Clock clock) {
        this(privateToo, place, clock, SystemDefaultDnsResolver.INSTANCE);
    }

    /** @param names that addresses are looked up by: what was looked at is what is connected to, whatever a name says next */
    Hooks(boolean privateToo, PublicPlace place, Clock clock, DnsResolver names) {
        this.http = client(privateToo ? names : new OutsideOnly(names));
        this.names = names;
        this.privateToo = privateToo;
        this.place = place;
        this.clock = clock;
    }

    private static CloseableHttpClient client(DnsResolver names) {
        Timeout patience = Timeout.of(PATIENCE);
        return HttpClients.custom()
                .setConnectionManager(PoolingHttpClientConnectionManagerBuilder.create()
                        .setDnsResolver(names)
                        .setDefaultConnectionConfig(ConnectionConfig.custom()
                                .setConnectTimeout(patience)
                                .setSocketTimeout(patience)
                                .build())
                        .build())
                .setDefaultRequestConfig(
                        RequestConfig.custom().setResponseTimeout(patience).build())
                .disableRedirectHandling()
                .disableAutomaticRetries()
                .disableCookieManagement()
                .disableContentCompression()
                .build();
    }

    /** Looks addresses up, and knows none that is inside. */
    private record OutsideOnly(DnsResolver names) implements DnsResolver {

        @Override
        public InetAddress[] resolve(String host) throws UnknownHostException {
            InetAddress[] found = names.resolve(host);
            for (InetAddress address : found) {
                if (inside(address)) {
                    throw new UnknownHostException("An address inside");
                }
            }
            return found;
        }

        @Override
        public String resolveCanonicalHostname(String host) throws UnknownHostException {
            return names.resolveCanonicalHostname(host);
        }
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
            boolean port = uri.getPort() == -1 || uri.getPort() > 0 && uri.getPort() <= LAST_PORT;
            return web && port && uri.getHost() != null && uri.getUserInfo() == null ? uri : null;
        } catch (URISyntaxException none) {
            return null;
        }
    }

    private boolean mayCall(URI uri) {
        if (privateToo) {
            return true;
        }
        try {
            for (InetAddress address : names.resolve(uri.getHost())) {
                if (inside(address)) {
                    return false;
                }
            }
            return true;
        } catch (UnknownHostException unknown) {
            return false;
        }
    }

    /**
     * What leads into this machine or a network that isn't everybody's: see the registries of special-purpose addresses (RFC
     * 6890). An IPv6 address that carries one of IPv4 is what it carries.
     */
    static boolean inside(InetAddress address) {
        byte[] bytes = address.getAddress();
        byte[] carried = bytes.length == IPV4_BYTES ? bytes : carried(bytes);
        return address.isLoopbackAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isAnyLocalAddress()
                || address.isMulticastAddress()
                || bytes.length != IPV4_BYTES && (bytes[0] & 0xfe) == 0xfc
                || carried != null && INSIDE.stream().anyMatch(block -> block.holds(carried));
    }

    /** Null for none: IPv4-compatible and -mapped (RFC 4291), NAT64 (RFC 6052, RFC 8215), 6to4 (RFC 3056), Teredo (RFC 4380). */
    private static byte[] carried(byte[] bytes) {
        int first = (bytes[0] & 0xff) << 8 | bytes[1] & 0xff;
        int second = (bytes[2] & 0xff) << 8 | bytes[3] & 0xff;
        boolean zeros = true;
        for (int i = 0; i < 10; i++) {
            zeros &= bytes[i] == 0;
        }
        if (zeros || first == 0x64 && second == 0xff9b) {
            return Arrays.copyOfRange(bytes, 12, 16);
        }
        if (first == 0x2002) {
            return Arrays.copyOfRange(bytes, 2, 6);
        }
        // where nobody is to be called: its own address is hidden in it
        return first == 0x2001 && second == 0 ? new byte[IPV4_BYTES] : null;
    }

    /** A block of IPv4 addresses. */
    private record Block(int address, int bits) {

        static Block of(int a, int b, int c, int bits) {
            return new Block(a << 24 | b << 16 | c << 8, bits);
        }

        boolean holds(byte[] other) {
            int at = (other[0] & 0xff) << 24 | (other[1] & 0xff) << 16 | (other[2] & 0xff) << 8 | other[3] & 0xff;
            return (at ^ address) >>> 32 - bits == 0;
        }
    }

    private static final int IPV4_BYTES = 4;

    /** This network, private, shared, loopback, link-local, protocol assignments, 6to4 relays, benchmarks, multicast, reserved. */
    private static final List<Block> INSIDE = List.of(
            Block.of(0, 0, 0, 8),
            Block.of(10, 0, 0, 8),
            Block.of(100, 64, 0, 10),
            Block.of(127, 0, 0, 8),
            Block.of(169, 254, 0, 16),
            Block.of(172, 16, 0, 12),
            Block.of(192, 0, 0, 24),
            Block.of(192, 88, 99, 24),
            Block.of(192, 168, 0, 16),
            Block.of(198, 18, 0, 15),
            Block.of(224, 0, 0, 3));

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
        HttpPost request = new HttpPost(uri);
        request.setHeader("Logophon-Time", time);
        request.setHeader("Logophon-Signature", "sha256=" + signature(wish.secret(), time + "." + body));
        request.setEntity(new StringEntity(body, ContentType.APPLICATION_JSON));
        ScheduledFuture<?> end = late.schedule(request::cancel, 2 * PATIENCE.toSeconds(), TimeUnit.SECONDS);
        try {
            // of what it says only the status counts: nothing more is read
            int status = http.executeOpen(null, request, null).getCode();
            if (status < OK || status >= REDIRECTS) {
                throw new NotTaken("It answers with status " + status + ".");
            }
        } catch (IOException gone) {
            throw new NotTaken("It doesn't answer.");
        } finally {
            end.cancel(false);
            request.cancel();
        }
    }

    @PreDestroy
    void close() throws IOException {
        late.shutdownNow();
        http.close();
    }

    static String signature(String secret, String signed) {
        return HexFormat.of().formatHex(Hmac.of(secret, signed));
    }
}

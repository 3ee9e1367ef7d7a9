package org.logophon.app.services.notifications;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.LinkedHashMap;
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
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.core.input.digest.Hmac;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Calls an address with a notification as JSON, signed by HMAC-SHA-256 (RFC 2104) over the time and the body. An
 * address inside this machine or a private network isn't called unless the settings allow it, and nothing is followed
 * anywhere else.
 */
@Component
class Hooks {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration PATIENCE = Duration.ofSeconds(15);
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

    /**
     * @param names that addresses are looked up by: what was looked at is what is connected to, whatever a name says
     *     next
     */
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
                if (SpecialAddresses.inside(address)) {
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

    /** The failure of a webhook; it is called again. */
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
        if (hook.length() > FieldLimits.WEBHOOK || uri == null) {
            throw new Refused("“" + hook.substring(0, Math.min(FieldLimits.WEBHOOK, hook.length()))
                    + "” is no address to call. Write one that begins with https://, or leave it empty.");
        }
        if (!mayCall(uri)) {
            throw new Refused("“" + uri.getHost()
                    + "” is inside this machine or a private network, or isn't known. Whoever runs "
                    + "Logophon can allow such addresses by LOGOPHON_HOOK_PRIVATE.");
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
                if (SpecialAddresses.inside(address)) {
                    return false;
                }
            }
            return true;
        } catch (UnknownHostException unknown) {
            return false;
        }
    }

    /** @throws NotTaken when it is to be called again */
    void send(NotificationSettings wish, Notification notification) {
        URI uri = uri(wish.hook());
        if (uri == null || !mayCall(uri)) {
            // what a name leads to may have changed since it was written down
            return;
        }
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("id", notification.id());
        told.put("kind", notification.kind().id());
        told.put("project", notification.projectName());
        told.put("sentence", notification.sentence());
        told.put("address", place.address(notification.address()));
        told.put("at", notification.at().toString());
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
                throw new NotTaken("It answered with status " + status + ".");
            }
        } catch (IOException gone) {
            throw new NotTaken("It didn't answer.");
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

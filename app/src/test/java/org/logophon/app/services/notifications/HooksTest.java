package org.logophon.app.services.notifications;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpHandler;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.hc.client5.http.DnsResolver;
import org.apache.hc.client5.http.SystemDefaultDnsResolver;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.app.platform.failure.Refused;
import org.mockito.Mockito;

/** Which addresses are called, and how a call is signed. */
class HooksTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "127.0.0.1",
                "127.9.9.9",
                "::1",
                "10.0.0.1",
                "172.16.0.1",
                "172.31.255.255",
                "192.168.1.1",
                "169.254.169.254",
                "100.64.0.1",
                "0.0.0.0",
                "224.0.0.1",
                "255.255.255.255",
                "fe80::1",
                "fc00::1",
                "fd12:3456::1",
                "::",
                "::ffff:127.0.0.1",
                "::ffff:10.0.0.1",
                "64:ff9b::7f00:1",
                "64:ff9b::10.0.0.1",
                "64:ff9b:1::192.168.0.1",
                "2002:7f00:1::1",
                "2002:c0a8:1::1",
                "::127.0.0.1",
                "::10.0.0.1",
                "2001:0:4136:e378:8000:63bf:3fff:fdd2",
                "198.18.0.1",
                "198.19.255.255",
                "192.0.0.1",
                "192.88.99.1"
            })
    void whatIsInsideIsNotCalled(String address) throws UnknownHostException {
        assertThat(SpecialAddresses.inside(InetAddress.getByName(address))).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "192.0.2.1",
                "8.8.8.8",
                "172.32.0.1",
                "100.128.0.1",
                "2001:db8::1",
                "64:ff9b::8.8.8.8",
                "2002:808:808::1",
                "198.20.0.1"
            })
    void whatIsOutsideIs(String address) throws UnknownHostException {
        assertThat(SpecialAddresses.inside(InetAddress.getByName(address))).isFalse();
    }

    private static final PublicPlace PLACE = Mockito.mock(PublicPlace.class);

    private static final class Names implements DnsResolver {

        private final List<String> answers;
        private int asked;

        Names(String... answers) {
            this.answers = List.of(answers);
        }

        @Override
        public InetAddress[] resolve(String host) throws UnknownHostException {
            String answer = answers.get(Math.min(asked++, answers.size() - 1));
            return new InetAddress[] {InetAddress.getByName(answer)};
        }

        @Override
        public String resolveCanonicalHostname(String host) {
            return host;
        }
    }

    private static NotificationSettings wish(String hook) {
        return new NotificationSettings(UUID.randomUUID(), null, true, true, true, "", hook, "secret");
    }

    private static final Notification NOTIFICATION = new Notification(
            1,
            UUID.randomUUID(),
            UUID.randomUUID(),
            "Fog",
            Notification.Kind.DELIVERIES,
            "Ready.",
            "/",
            false,
            Instant.EPOCH);

    @ParameterizedTest
    @ValueSource(
            strings = {
                "http://example.test:65536/",
                "http://example.test:99999/",
                "http://example.test:0/",
                "ftp://example.test/",
                "http://someone@example.test/",
                "/told",
                "http://"
            })
    void whatIsNoAddressIsRefused(String address) {
        Hooks hooks = new Hooks(false, PLACE, Clock.systemUTC(), new Names("8.8.8.8"));
        assertThatThrownBy(() -> hooks.checked(address))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no address");
    }

    @Test
    void aNameThatChangesItsAnswerLeadsNowhereInside() throws IOException {
        AtomicInteger called = new AtomicInteger();
        HttpServer inside = server(exchange -> {
            called.incrementAndGet();
            exchange.sendResponseHeaders(204, -1);
        });
        String address = "http://changes.test:" + inside.getAddress().getPort() + "/";
        // outside while it is looked at, inside when it is called
        Hooks hooks = new Hooks(false, PLACE, Clock.systemUTC(), new Names("8.8.8.8", "8.8.8.8", "127.0.0.1"));
        assertThat(hooks.checked(address)).isEqualTo(address);
        assertThatThrownBy(() -> hooks.send(wish(address), NOTIFICATION)).isInstanceOf(Hooks.NotTaken.class);
        assertThat(called).hasValue(0);
        inside.stop(0);
    }

    @Test
    void aRedirectIsNotFollowedAndIsNoAnswer() throws IOException {
        AtomicInteger followed = new AtomicInteger();
        HttpServer server = server(exchange -> {
            if (exchange.getRequestURI().getPath().equals("/elsewhere")) {
                followed.incrementAndGet();
            }
            exchange.getResponseHeaders().set("Location", "/elsewhere");
            exchange.sendResponseHeaders(307, -1);
        });
        String address = "http://127.0.0.1:" + server.getAddress().getPort() + "/";
        Hooks hooks = new Hooks(true, PLACE, Clock.systemUTC(), SystemDefaultDnsResolver.INSTANCE);
        assertThatThrownBy(() -> hooks.send(wish(address), NOTIFICATION)).hasMessageContaining("status 307");
        assertThat(followed).hasValue(0);
        server.stop(0);
    }

    @Test
    void anAnswerWithoutEndIsNotWaitedFor() throws IOException {
        CountDownLatch end = new CountDownLatch(1);
        HttpServer server = server(exchange -> {
            exchange.sendResponseHeaders(200, 0);
            exchange.getResponseBody().write(new byte[8]);
            exchange.getResponseBody().flush();
            try {
                end.await(60, TimeUnit.SECONDS);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        });
        Hooks hooks = new Hooks(true, PLACE, Clock.systemUTC(), SystemDefaultDnsResolver.INSTANCE);
        String address = "http://127.0.0.1:" + server.getAddress().getPort() + "/";
        assertThatCode(() -> hooks.send(wish(address), NOTIFICATION)).doesNotThrowAnyException();
        assertThat(end.getCount()).as("it was still answering").isEqualTo(1);
        end.countDown();
        server.stop(0);
    }

    private static HttpServer server(HttpHandler answer) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            answer.handle(exchange);
            exchange.close();
        });
        server.start();
        return server;
    }

    /** RFC 4231, test case 2. */
    @Test
    void theSignatureIsHmacOfSha256() {
        assertThat(Hooks.signature("Jefe", "what do ya want for nothing?"))
                .isEqualTo("5bdcc146bf60754e6a042426089575c75a003f089d2739839dec58b964ec3843");
    }
}

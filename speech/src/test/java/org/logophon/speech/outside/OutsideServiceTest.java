package org.logophon.speech.outside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpHandler;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.outside.OutsideService.Words;

/** A service outside that does everything but answer. */
class OutsideServiceTest {

    private static final Words WORDS =
            new Words("The service", "LOGOPHON_HIRED_KEY", "It can't be paid.%s", "this text");

    private HttpServer server;
    private final CopyOnWriteArrayList<String> keys = new CopyOnWriteArrayList<>();
    private final AtomicInteger asked = new AtomicInteger();

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(Executors.newCachedThreadPool());
        server.start();
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    private OutsideService service(Duration answeredWithin) {
        return new OutsideService("http://127.0.0.1:" + server.getAddress().getPort(), "secret", WORDS, answeredWithin);
    }

    private void answers(String path, HttpHandler handler) {
        server.createContext(path, exchange -> {
            asked.incrementAndGet();
            handler.handle(exchange);
            exchange.close();
        });
    }

    @Test
    void aRedirectIsARefusalAndTheKeyGoesNowhere() {
        answers("/voices", exchange -> {
            exchange.getResponseHeaders().set("Location", "/elsewhere");
            exchange.sendResponseHeaders(307, -1);
        });
        answers("/elsewhere", exchange -> keys.add(exchange.getRequestHeaders().getFirst("Authorization")));
        OutsideService service = service(Duration.ofSeconds(5));
        assertThatThrownBy(() -> service.ask(service.request("voices").build()))
                .isInstanceOf(ServiceRefused.class)
                .hasMessageContaining("status 307");
        assertThat(keys).isEmpty();
    }

    @Test
    void anAnswerThatNeverEndsIsEndedAndAskedForAgain() {
        answers("/voices", exchange -> {
            exchange.sendResponseHeaders(200, 0);
            try (OutputStream out = exchange.getResponseBody()) {
                while (true) {
                    out.write(' ');
                    out.flush();
                    TimeUnit.MILLISECONDS.sleep(20);
                }
            } catch (IOException | InterruptedException ended) {
                // whoever asked has gone
            }
        });
        OutsideService service = service(Duration.ofMillis(300));
        assertThatThrownBy(() -> service.ask(service.request("voices").build(), 2))
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("it did not answer, 2 times");
        assertThat(asked).hasValue(2);
    }

    @Test
    void aWaitThatIsNoneIsPassedOver() {
        answers("/voices", exchange -> {
            exchange.getResponseHeaders().set("Retry-After", asked.get() == 1 ? "Wed, 21 Oct 2026 07:28:00 GMT" : "-5");
            exchange.sendResponseHeaders(429, -1);
        });
        OutsideService service = service(Duration.ofSeconds(5));
        assertThatThrownBy(() -> service.ask(service.request("voices").build(), 3))
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("too many requests, 3 times");
    }
}

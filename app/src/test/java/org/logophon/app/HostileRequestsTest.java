package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.ThrowableProxyUtil;
import ch.qos.logback.core.read.ListAppender;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.logophon.app.speech.MadeUpSpeech;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Every address that the framework lists, asked with hostile values: no request makes the server fail, tells what it is
 * made of, brings anything unescaped, or takes long. Each run has a seed of its own; {@code -Dhostile.seed} asks the
 * same again.
 */
@DirtiesContext
@Import(MadeUpSpeech.Speaking.class)
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"logophon.measure-voices=false", "spring.datasource.hikari.maximum-pool-size=6"})
class HostileRequestsTest {

    private static final int REQUESTS = Integer.getInteger("hostile.requests", 1_000);
    /** Five seconds on a quiet machine; this one runs other tests meanwhile. */
    private static final Duration MOST = Duration.ofSeconds(180);

    private static final OtherDatabase DATABASE = OtherDatabase.create("hostile");

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
    }

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping addresses;

    @LocalServerPort
    private int port;

    private Server server;
    private final List<String> complaints = new ArrayList<>();
    private final ListAppender<ILoggingEvent> log = new ListAppender<>();

    @BeforeEach
    void meet() {
        server = new Server("http://localhost:" + port);
    }

    @Test
    void everyAddressAnswersHostileRequestsWithASentence() {
        long seed = Long.getLong("hostile.seed", 1);
        System.out.println("Hostile requests, seed " + seed);
        HostileRequests requests = new HostileRequests(seed, listed());
        log.start();
        Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.addAppender(log);
        try {
            Projects projects = projects();
            for (int i = 0; i < REQUESTS; i++) {
                if (i % 100 == 0) {
                    projects = projects();
                }
                ask(requests.next(projects.own(), projects.other()));
            }
        } finally {
            root.detachAppender(log);
        }
        assertThat(complaints).as("seed " + seed).isEmpty();
        assertThat(log.list)
                .as("seed " + seed)
                .extracting(event -> event.getFormattedMessage()
                        + (event.getThrowableProxy() == null
                                ? ""
                                : ThrowableProxyUtil.asString(event.getThrowableProxy())))
                .noneMatch(line -> line.contains(HostileRequests.MARKER) || line.contains(HostileRequests.TYPED));
    }

    /** Two projects with something in them: one that the addresses name, and one that they don't. */
    private record Projects(List<String> own, List<String> other) {}

    private Projects projects() {
        return new Projects(ids(server.project("Own", SCRIPT)), ids(server.project("Other", SCRIPT)));
    }

    private static final String SCRIPT =
            "# The headland\n\nThe lamp weighs 2.3 t.\n\nKEEPER: “Fog,” he said, and read the log.\n";

    private List<String> ids(String project) {
        List<String> ids = new ArrayList<>(List.of(project.substring(project.lastIndexOf('/') + 1)));
        server.cues(project).forEach(cue -> ids.add(cue.get("id").asString()));
        return ids;
    }

    private List<HostileRequests.Address> listed() {
        List<HostileRequests.Address> listed = new ArrayList<>();
        addresses.getHandlerMethods().forEach((mapping, handler) -> {
            // what has no end can't be waited for
            boolean stream = handler.getReturnType().getParameterType().equals(SseEmitter.class);
            for (String pattern : mapping.getPatternValues()) {
                if (!stream && handler.getBeanType().getName().startsWith("org.logophon")) {
                    String method = mapping.getMethodsCondition().getMethods().isEmpty()
                            ? "GET"
                            : mapping.getMethodsCondition()
                                    .getMethods()
                                    .iterator()
                                    .next()
                                    .name();
                    listed.add(new HostileRequests.Address(method, pattern, handler));
                }
            }
        });
        listed.sort(
                Comparator.comparing(HostileRequests.Address::pattern).thenComparing(HostileRequests.Address::method));
        assertThat(listed).hasSizeGreaterThan(90);
        return listed;
    }

    private void ask(HostileRequests.Asked asked) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + asked.path()))
                .timeout(MOST)
                .header("Accept", asked.accept())
                .header("X-XSRF-TOKEN", server.token())
                .method(
                        asked.method(),
                        asked.body() == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofByteArray(asked.body()));
        if (asked.type() != null) {
            request.header("Content-Type", asked.type());
        }
        HttpResponse<String> answer;
        try {
            answer = server.send(request);
        } catch (IllegalStateException late) {
            complaints.add(asked + " wasn't answered: " + late.getCause());
            return;
        }
        String body = answer.body();
        if (answer.statusCode() >= 500) {
            complaints.add(asked + " answered " + answer.statusCode() + ": " + shortened(body));
        }
        boolean page = answer.headers().firstValue("Content-Type").orElse("").contains("html");
        for (String part : page
                ? List.of("Exception", "\tat ", "org.logophon.", "org.postgresql", HostileRequests.MARKER)
                : List.of("Exception", "\tat ", "org.logophon.", "org.postgresql")) {
            if (body.contains(part) && !asked.path().contains(part)) {
                complaints.add(asked + " brought “" + part + "”: " + shortened(body.substring(body.indexOf(part))));
            }
        }
    }

    private static String shortened(String text) {
        return text.length() > 200 ? text.substring(0, 200) + "…" : text;
    }
}

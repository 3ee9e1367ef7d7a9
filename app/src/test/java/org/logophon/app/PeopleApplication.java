package org.logophon.app;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.app.speech.MadeUpSpeech;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.databind.JsonNode;

/** Tests of an application with people switched on, behind a proxy; one instance and one database serve all of them. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "logophon.measure-voices=false",
            "spring.datasource.hikari.maximum-pool-size=8",
            "logophon.people.on=true",
            "logophon.people.proxy=true",
            "logophon.people.public-address=https://narration.example"
        })
@Import({PeopleApplication.Log.class, PeopleApplication.LetIn.class, MadeUpSpeech.Speaking.class})
abstract class PeopleApplication {

    static final String PROBE = "X-Only-Ask";
    static final int LET_IN = 299;
    static final String PHRASE = "a lamp burns over the bay";
    private static final OtherDatabase DATABASE = OtherDatabase.create("people");
    private static final ListAppender<ILoggingEvent> LOGGED = new ListAppender<>();
    /** Of the workspace that is there first; made by the link in the log, as on a first start. */
    private static Server keeper;

    /** Reads along in the log from before the first line that people are meant to read. */
    @TestConfiguration
    static class Log {

        @EventListener
        void read(ApplicationStartedEvent started) {
            LOGGED.start();
            ((Logger) LoggerFactory.getLogger("org.logophon.app.platform.people")).addAppender(LOGGED);
        }
    }

    /** Stands behind what decides, and before all else: an address is asked for, and nothing is done. */
    @TestConfiguration
    static class LetIn implements WebMvcConfigurer, HandlerInterceptor {

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(this).order(Ordered.HIGHEST_PRECEDENCE + 1);
        }

        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
            if (request.getHeader(PROBE) == null) {
                return true;
            }
            response.setStatus(LET_IN);
            return false;
        }
    }

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
    }

    @LocalServerPort
    private int port;

    String address() {
        return "http://localhost:" + port;
    }

    Server nobody() {
        return new Server(address());
    }

    /** What the log says to whoever starts it, but for what stands before it. */
    static String firstLink() {
        Matcher link = Pattern.compile("https://narration\\.example(/join/\\S+)")
                .matcher(LOGGED.list.get(0).getFormattedMessage());
        if (!link.find()) {
            throw new AssertionError(LOGGED.list);
        }
        return link.group(1);
    }

    Server keeper() {
        synchronized (PeopleApplication.class) {
            if (keeper == null) {
                Server first = nobody();
                HttpResponse<String> joined = first.post(firstLink(), Map.of("name", "Morwenna", "phrase", PHRASE));
                if (joined.statusCode() != 200) {
                    throw new AssertionError(joined.body());
                }
                keeper = first;
            }
        }
        return keeper;
    }

    /** A workspace of its own. @return its address */
    String workspace(Server owner, String name) {
        JsonNode made = Server.parse(owner.post("/people/workspaces", Map.of("name", name)));
        return made.get("address").asString();
    }

    /** @return path of the link */
    static String invitation(Server owner, String workspace, String role) {
        return Server.parse(owner.post(workspace + "/people/invitations", Map.of("role", role)))
                .get("address")
                .asString();
    }

    /** Somebody new, by an invitation. */
    Server comes(Server owner, String workspace, String role, String name) {
        Server comes = nobody();
        HttpResponse<String> joined =
                comes.post(invitation(owner, workspace, role), Map.of("name", name, "phrase", PHRASE));
        if (joined.statusCode() != 200) {
            throw new AssertionError(joined.body());
        }
        return comes;
    }

    /** A project in a workspace. @return its address */
    static String project(Server editor, String workspace, String name, String script) {
        String location = editor.post(workspace + "/projects", Map.of("name", name))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        String project = location.replaceAll("^.*?(/projects/[^/]+).*$", "$1");
        editor.save(project, script, 0);
        return project;
    }

    /** A name that nobody has yet. */
    static String named(String name) {
        return name + " " + UUID.randomUUID().toString().substring(0, 6);
    }

    /** What a page or a script is told. */
    static String sentence(HttpResponse<String> answer) {
        return answer.body().startsWith("{")
                ? Server.parse(answer).get("sentence").asString()
                : answer.body()
                        .replaceAll("(?s).*<h1 class=\"h5\">(.*?)</h1>.*", "$1")
                        .replace("&#39;", "'");
    }
}

package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.VoiceOffer;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** A server with a file of engines of the user's own, one of which has a fault. */
@DirtiesContext
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"logophon.measure-voices=false", "spring.datasource.hikari.maximum-pool-size=6"})
class OwnEnginesTest {

    private static final OtherDatabase DATABASE = OtherDatabase.create("own");

    @DynamicPropertySource
    static void settings(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
        properties.add("logophon.engines", OwnEnginesTest::file);
        properties.add("logophon.launcher", OwnEnginesTest::launcher);
    }

    private static String file() {
        try {
            Path file = Files.createTempFile("engines", ".yaml");
            file.toFile().deleteOnExit();
            Files.writeString(file, Files.readString(Path.of("../docs/engines.yaml")) + """
                    - id: broken
                      command: [/nowhere/<b>speaker</b>]
                      voices: [{id: a, name: A, language: en, gender: man}]
                    """);
            return file.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Says what it was asked for, and fails as without a network. */
    private static String launcher() {
        try {
            Path script = Files.createTempFile("launcher", "");
            script.toFile().deleteOnExit();
            Files.writeString(
                    script, "#!/bin/sh\necho asked for $* with ${LOGOPHON_DATABASE_PASSWORD:-nothing}\nexit 1\n");
            assertThat(script.toFile().setExecutable(true)).isTrue();
            return script.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @LocalServerPort
    private int port;

    @Test
    void itsVoicesAreCastAndRenderedAndItsFaultIsTold() {
        Server server = new Server("http://localhost:" + port);
        String project = server.project("Own engines", "The lens came by sea, in forty boxes.");
        String page = server.get(project + "/cast?search=wren&language=English").body();
        assertThat(page)
                .contains("Something is wrong with your file of engines")
                .contains("“/nowhere/&lt;b&gt;speaker&lt;/b&gt;” is no program that can be run")
                .contains("Wren");
        assertThat(server.post(project + "/cast", Map.of("role", "Narrator", "voice", "own-pipe-wren"))
                        .body())
                .contains("speaks Narrator now");
        server.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("the cue is rendered", () -> server.ready(project) == 1);
        assertThat(server.get(project + "/cast?language=English").body()).contains("Wren");
    }

    /** Of a language that this machine lacks better voices of: which one depends on what is installed. */
    @Test
    void betterVoicesOfALanguageAreOfferedAndWhatFailsIsSaid() {
        VoiceOffer offer = NativeVoices.offers().get(0);
        Server server = new Server("http://localhost:" + port);
        String project = server.project("Offer", "One line.");
        assertThat(server.get(project + "/cast?language=" + offer.languageName())
                        .body())
                .contains(offer.languageName() + " can sound better.")
                .contains("data-get=\"" + offer.language() + "\"");
        assertThat(server.get(project + "/cast?language=English").body()).doesNotContain("can sound better");
        HttpResponse<String> answer = server.post(project + "/voices/get", Map.of("language", offer.language()));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("installed ones work as before.")
                .contains("asked for voices --get " + offer.language() + " with nothing");
        assertThat(server.post(project + "/voices/get", Map.of("language", "xx; rm -rf /"))
                        .body())
                .contains("There are no more voices for this language.");
    }
}

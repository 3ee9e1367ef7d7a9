package org.logophon.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.logophon.app.speech.MadeUpSpeech;
import org.logophon.standin.Temper;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/**
 * Tests of the whole application on a real database, a real port and a stand-in for hired voices; one instance serves
 * all of them. Its voices are made up; tests that judge the sound are marked {@link RealSpeech}.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = "logophon.measure-voices=false")
@Import({CountedQueries.Counting.class, MadeUpSpeech.Speaking.class})
abstract class ApplicationTest {

    /** Cuts off every third answer after it has charged for it, and is busy now and then; it doesn't take its time. */
    static final HiredStandIn STAND_IN = new HiredStandIn(new Temper(13, 0, 3, 0, 0, 0));

    static final Path WATCHED = watched();

    private static Path watched() {
        try {
            return Files.createTempDirectory("logophon-watched");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @DynamicPropertySource
    static void hire(DynamicPropertyRegistry properties) {
        properties.add("logophon.hired-address", STAND_IN::address);
        properties.add("logophon.hired-key", () -> HiredStandIn.KEY);
        properties.add("logophon.watch-folder", WATCHED::toString);
        properties.add("logophon.translation-address", STAND_IN::address);
        properties.add("logophon.translation-key", () -> HiredStandIn.KEY);
    }

    @LocalServerPort
    private int port;

    protected Server server;

    @BeforeEach
    void meet() {
        server = new Server(address());
    }

    String address() {
        return "http://localhost:" + port;
    }
}

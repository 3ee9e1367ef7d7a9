package org.logophon.app;

import org.junit.jupiter.api.BeforeEach;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Tests of the whole application on a real database, real workers and a real port; one instance serves all of them. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT, properties = "logophon.measure-voices=false")
abstract class ApplicationTest {

    @LocalServerPort
    private int port;
    Server server;

    @BeforeEach
    void meet() {
        server = new Server(address());
    }

    String address() {
        return "http://localhost:" + port;
    }
}

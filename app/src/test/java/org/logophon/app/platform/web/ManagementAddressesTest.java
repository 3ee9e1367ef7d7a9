package org.logophon.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

/** Who is told what programs watch, by settings and connections of every kind. */
class ManagementAddressesTest {

    private record Caller(boolean peopleComeIn) implements AllowedHosts {
        @Override
        public String publicHost() {
            return "narration.example";
        }

        @Override
        public boolean publicByTls() {
            return true;
        }
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
            # port of its own, people, connection from, to the port, allowed
            0, false, 127.0.0.1, 8490, true
            0, false, ::1, 8490, true
            0, false, 192.168.0.7, 8490, false
            0, true, 127.0.0.1, 8490, false
            0, true, 192.168.0.7, 8490, false
            8491, false, 127.0.0.1, 8490, false
            8491, false, 127.0.0.1, 8491, true
            8491, true, 127.0.0.1, 8490, false
            8491, true, 127.0.0.1, 8491, true
            8491, true, 10.0.0.9, 8491, true
            """)
    void itGoesByTheConnection(int port, boolean people, String from, int to, boolean allowed) {
        for (String host : new String[] {"localhost", "127.0.0.1", "narration.example"}) {
            MockHttpServletRequest request = new MockHttpServletRequest("GET", "/actuator/health");
            request.setRemoteAddr(from);
            request.setLocalPort(to);
            request.setServerName(host);
            request.addHeader("X-Forwarded-Host", "localhost");
            assertThat(new ManagementAddresses(port, new Caller(people)).allowed(request))
                    .as(host)
                    .isEqualTo(allowed);
        }
    }
}

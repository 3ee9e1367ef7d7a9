package org.logophon.app.tidings;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which addresses are called, and how a call is signed. */
class HooksTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "127.0.0.1", "127.9.9.9", "::1", "10.0.0.1", "172.16.0.1", "172.31.255.255", "192.168.1.1",
                        "169.254.169.254", "100.64.0.1",
                "0.0.0.0", "224.0.0.1", "255.255.255.255", "fe80::1", "fc00::1", "fd12:3456::1", "::",
                        "::ffff:127.0.0.1", "::ffff:10.0.0.1"
            })
    void whatIsInsideIsNotCalled(String address) throws UnknownHostException {
        assertThat(Hooks.inside(InetAddress.getByName(address))).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"192.0.2.1", "8.8.8.8", "172.32.0.1", "100.128.0.1", "2001:db8::1"})
    void whatIsOutsideIs(String address) throws UnknownHostException {
        assertThat(Hooks.inside(InetAddress.getByName(address))).isFalse();
    }

    /** RFC 4231, test case 2. */
    @Test
    void theSignatureIsHmacOfSha256() {
        assertThat(Hooks.signature("Jefe", "what do ya want for nothing?"))
                .isEqualTo("5bdcc146bf60754e6a042426089575c75a003f089d2739839dec58b964ec3843");
    }
}

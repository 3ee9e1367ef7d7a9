package org.logophon.app.platform.people;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RightsTest {

    @ParameterizedTest
    @CsvSource({
        "GET, /projects/{id}/listen, LISTEN",
        "HEAD, /projects/{id}/listen, LISTEN",
        "POST, /projects/{id}/cues/{cue}/approval, LISTEN",
        "GET, /projects/{id}/write, EDIT",
        "PUT, /projects/{id}/script, EDIT",
        "POST, /projects/{id}/deliveries, EDIT",
        "POST, /projects/{id}/deliveries/{delivery}/feed, OWN",
        "POST, /projects/{id}/voices/get, KEEP",
        "GET, /, LISTEN",
        "GET, /workspaces/{workspace}, LISTEN",
        "POST, /workspaces/{workspace}/projects, EDIT",
        "POST, /workspaces/{workspace}/people/invitations, OWN",
        "GET, /me, PERSON",
        "GET, /s/{token}/programme, ANYBODY",
        "POST, /join/{token}, ANYBODY"
    })
    void anAddressAsksForItsRight(String method, String pattern, Right right) {
        assertThat(Rights.of(method, pattern)).isEqualTo(right);
    }

    @Test
    void whatNobodyThoughtOfAsksForTheMost() {
        assertThat(Rights.of("POST", "/something/new")).isEqualTo(Right.KEEP);
        assertThat(Rights.of("DELETE", "/")).isEqualTo(Right.KEEP);
        assertThat(Rights.of("DELETE", "/projects/{id}/listen")).isEqualTo(Right.EDIT);
        assertThat(Rights.of("GET", "/share"))
                .as("begins as an open address does")
                .isEqualTo(Right.KEEP);
    }
}

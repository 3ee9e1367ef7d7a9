package org.logophon.app.platform.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Nobody else comes in by a setting that was forgotten. */
class PeopleSettingsTest {

    @ParameterizedTest
    @ValueSource(strings = {"0.0.0.0", "::", "192.0.2.7"})
    void otherAddressesNeedPeople(String listen) {
        assertThatThrownBy(() -> new PeopleSettings(false, listen, "", false, false))
                .hasMessageContaining("only with accounts switched on");
        assertThat(new PeopleSettings(true, listen, "", false, false).listen()).isEqualTo(listen);
    }

    @ParameterizedTest
    @ValueSource(strings = {"127.0.0.1", "127.1.2.3", "localhost", "::1"})
    void thisMachineNeedsNothing(String listen) {
        assertThat(new PeopleSettings(false, listen, "", false, false).publicHost())
                .isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"narration.example", "ftp://narration.example", "https://", "https://a b", "//x"})
    void aPublicAddressIsAnAddress(String address) {
        assertThatThrownBy(() -> new PeopleSettings(true, "127.0.0.1", address, true, false))
                .hasMessageContaining("as https://narration.example");
    }

    @Test
    void itsHostAndWhetherItIsByTlsFollowFromIt() {
        PeopleSettings settings = new PeopleSettings(true, "127.0.0.1", "https://narration.example/", true, false);
        assertThat(settings.publicHost()).isEqualTo("narration.example");
        assertThat(settings.publicByTls()).isTrue();
        assertThat(new PeopleSettings(true, "127.0.0.1", "http://narration.example:8490", false, false).publicByTls())
                .isFalse();
        assertThatThrownBy(() -> new PeopleSettings(false, "127.0.0.1", "https://narration.example", true, false))
                .hasMessageContaining("LOGOPHON_PEOPLE=true");
    }
}

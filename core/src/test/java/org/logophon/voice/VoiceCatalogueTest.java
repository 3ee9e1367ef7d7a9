package org.logophon.voice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class VoiceCatalogueTest {

    private static final Voice VERA = new Voice("vera", "Vera", "en-GB", "English", "Scotland", Gender.FEMALE, "e", "x", Set.of(Ability.WHISPER));

    @Test
    void findsByIdWithoutRegardToCase() {
        VoiceCatalogue catalogue = new FixedVoices(List.of(VERA));
        assertThat(catalogue.find("VERA")).contains(VERA);
        assertThat(catalogue.find(null)).isEmpty();
        assertThat(catalogue.find("nobody")).isEmpty();
    }

    @Test
    void twoVoicesOfOneIdAreAMistake() {
        assertThatThrownBy(() -> new FixedVoices(List.of(VERA, VERA))).hasMessageContaining("vera");
    }

    @Test
    void saysWhatItSpeaksAndCanDo() {
        assertThat(VERA.speaks()).isEqualTo("English, Scotland");
        assertThat(VERA.whispers()).isTrue();
        assertThat(Ability.WORD_TIMES.word()).isEqualTo("word times");
        assertThat(Gender.FEMALE.word()).isEqualTo("woman");
    }
}

package org.logophon.core.voice.figures;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SpeakingRateTableTest {

    @ParameterizedTest
    @ValueSource(strings = {"rufus", "isla", "aldric", "bram", "hamish"})
    void ourEnglishVoicesSpeakAboutAsTheReference(String base) {
        assertThat(SpeakingRateTable.of(base).orElseThrow().factor()).isBetween(0.75, 1.35);
    }

    @Test
    void aVoiceThatNobodyHasMeasuredHasNoRate() {
        assertThat(SpeakingRateTable.of("own-engine-voice")).isEmpty();
    }
}

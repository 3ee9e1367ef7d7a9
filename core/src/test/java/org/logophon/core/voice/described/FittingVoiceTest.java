package org.logophon.core.voice.described;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;

class FittingVoiceTest {

    private static Voice voice(String id, String language, Gender gender, Age age) {
        return new Voice(id, id, language, "x", "", gender, "test", id, EnumSet.of(Ability.PACE))
                .as(id, id, gender, age, List.of(), Tuning.NONE);
    }

    private static final List<Voice> VOICES = List.of(
            voice("blurred", "en-GB", Gender.MALE, Age.GROWN),
            voice("clear", "en-US", Gender.MALE, Age.GROWN),
            voice("crone", "en-GB", Gender.FEMALE, Age.OLD),
            voice("maid", "en-GB", Gender.FEMALE, Age.YOUNG),
            voice("german", "de", Gender.MALE, Age.GROWN));

    private static String fitting(String language, String role, String... taken) {
        return FittingVoice.of(
                        VOICES,
                        language,
                        role,
                        Set.of(taken),
                        id -> id.equals("clear") ? Optional.of(new Clearness(97, 100)) : Optional.empty())
                .map(Voice::id)
                .orElse("nobody");
    }

    @Test
    void theNameOfTheRoleTellsWhoItIs() {
        assertThat(fitting("en-GB", "Grandmother")).isEqualTo("crone");
        assertThat(fitting("en-GB", "Girl on the quay")).isEqualTo("maid");
        assertThat(fitting("en-GB", "Keeper")).as("the clearest").isEqualTo("clear");
        assertThat(fitting("en-GB", "Old Man")).as("there is no old one").isEqualTo("clear");
        assertThat(fitting("de-DE", "Wärter")).isEqualTo("german");
    }

    @Test
    void aVoiceThatSpeaksAnotherRoleIsLeftToIt() {
        assertThat(fitting("en-GB", "Sailor", "clear")).isEqualTo("blurred");
        assertThat(fitting("de-DE", "Wärter", "german"))
                .as("better than nobody")
                .isEqualTo("german");
        assertThat(fitting("ja", "Keeper")).isEqualTo("nobody");
    }
}

package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.OwnSounds;
import org.logophon.core.voice.render.Recipe;

/** What words of other languages sound like, held against espeak-ng's own command. */
class LanguageSoundsTest {

    private static String command(String voice, String words) throws IOException, InterruptedException {
        Process process = new ProcessBuilder("espeak-ng", "-q", "--ipa", "-v", voice, words).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        assertThat(process.waitFor()).isZero();
        return said;
    }

    @Test
    void theyAreWhatTheEnginesOwnCommandSays() throws Exception {
        try (WorkerPool pool = new WorkerPool(1)) {
            LanguageSounds sounds = new LanguageSounds(pool);
            for (String[] word : List.of(
                    new String[] {"fr", "bonjour"},
                    new String[] {"cy", "goleuni"},
                    new String[] {"de", "Küste"},
                    new String[] {"it", "gnocchi"},
                    new String[] {"pl", "łódź"})) {
                assertThat(sounds.of(word[1], word[0])).as(word[1]).contains(command(word[0], word[1]));
                assertThat(sounds.of(word[1], word[0])).as("remembered").isPresent();
            }
            assertThat(sounds.of("bonjour", "tlh")).isEmpty();
            assertThat(sounds.of("", "fr")).isEmpty();
        }
    }

    /**
     * An English voice that says French with English sounds sounds otherwise than one that reads it as if it were
     * English.
     */
    @Test
    void anEnglishVoiceSaysThemInItsOwnSounds() {
        try (WorkerPool pool = new WorkerPool(1)) {
            Narrator narrator = new Narrator(new Engines(pool), new WorkerResampler(pool));
            Voice voice = EspeakVoices.all().stream()
                    .filter(OwnSounds::can)
                    .findFirst()
                    .orElseThrow();
            String text = "Les feux brillent.";
            OwnSounds own = OwnSounds.of(
                    text,
                    List.of(Mark.own(0, text.length(), Instruction.of("language", "fr own"))),
                    voice,
                    new LanguageSounds(pool));
            assertThat(own.missing()).isEmpty();
            assertThat(own.said()).hasSize(3).allMatch(Pronunciation::ipa);
            Recipe plain = Recipe.of(text, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
            Recipe accented =
                    Recipe.of(text, own.said(), voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
            assertThat(accented.hash()).isNotEqualTo(plain.hash());
            // "feux" and "brillent" have one syllable each in French, and more where they are read as English
            assertThat(narrator.render(accented).words()).hasSize(3);
            assertThat(narrator.render(accented).sound().samples().length)
                    .isLessThan(narrator.render(plain).sound().samples().length);
        }
    }
}

package org.logophon.core.voice.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;

class ClipFinisherTest {

    private static final Sound QUIET = new Sound(new float[4_800], 48_000);
    private static final Speech SPEECH = new Speech(
            Tones.joined(QUIET, Tones.sine(220, -30, 2, 48_000), QUIET),
            List.of(new WordTime(0, 4, 4_800, 100_800)),
            Measurement.NEUTRAL);

    private final ClipFinisher finishing = new ClipFinisher((sound, rate) -> {
        throw new AssertionError("nothing to convert");
    });

    @Test
    void trimsToTheSpeechAndKeepsTwentyMilliseconds() {
        Clip clip = finishing.finish(SPEECH, FinishSettings.to(null), 0);
        assertThat(clip.sound().inMemory().seconds()).isCloseTo(2.04, within(0.001));
        assertThat(clip.words().get(0).startSeconds()).isCloseTo(0.020, within(0.001));
        assertThat(clip.words().get(0).endSeconds()).isCloseTo(2.020, within(0.001));
    }

    @Test
    void bringsToTheTargetAndKeepsTheOffset() {
        for (double offset : new double[] {0, -3, 4}) {
            Clip clip = finishing.finish(SPEECH, FinishSettings.to(-19.0), offset);
            assertThat(LoudnessMeter.of(clip.sound().inMemory()).lufs()).isCloseTo(-19 + offset, within(0.1));
            assertThat(clip.loudness().lufs()).isCloseTo(-19 + offset, within(0.1));
            assertThat(clip.truePeakDbtp()).isLessThanOrEqualTo(-1.0);
        }
    }

    @Test
    void offLeavesTheLevelAsRendered() {
        Clip clip = finishing.finish(SPEECH, FinishSettings.to(null), 0);
        assertThat(clip.loudness().lufs())
                .isCloseTo(LoudnessMeter.of(SPEECH.sound()).lufs(), within(0.2));
    }

    @Test
    void headAndTailAreSilenceAndMoveTheWords() {
        Clip clip = finishing.finish(SPEECH, new FinishSettings(-19.0, -1, 48_000, 500, 250), 0);
        assertThat(clip.sound().inMemory().seconds()).isCloseTo(2.79, within(0.001));
        assertThat(clip.words().get(0).startSeconds()).isCloseTo(0.520, within(0.001));
    }
}

package org.logophon.core.voice.recording;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Hums;
import org.logophon.core.signal.sound.Sound;

/** Made-up speech in a room whose noise is 45 dB under it. */
class GapsTest {

    private static final int RATE = 16_000;

    private static Sound inARoom(Sound clean) {
        Random noise = new Random(3);
        float[] samples = clean.samples().clone();
        for (int i = 0; i < samples.length; i++) {
            samples[i] += (float) (0.0006 * noise.nextGaussian());
        }
        return new Sound(samples, clean.rate());
    }

    private static final Sound RECORDING = inARoom(new Hums(120, RATE)
            .silence(0.5)
            .word(0, 0, 0.4)
            .silence(1.5)
            .word(1, 1, 0.4)
            .silence(0.3)
            .word(2, 2, 0.4)
            .silence(0.5)
            .sound());

    @Test
    void pausesAreFoundWhereNobodySpeaks() {
        List<Activity.Span> pauses = Activity.of(RECORDING).pauses();
        assertThat(pauses).hasSize(2);
        assertThat(pauses.get(0).from() / (double) RATE).isBetween(0.87, 0.95);
        assertThat(pauses.get(0).to() / (double) RATE).isBetween(2.35, 2.43);
        assertThat(pauses.get(1).to() - pauses.get(1).from()).isBetween((int) (0.26 * RATE), (int) (0.34 * RATE));
        Activity.Span speech = Activity.of(RECORDING).speech(0.1, RECORDING.samples().length);
        assertThat(speech.from() / (double) RATE).isBetween(0.35, 0.45);
        assertThat(speech.to() / (double) RATE).isBetween(3.55, 3.68);
    }

    @Test
    void onlyTheLongGapIsShortenedAndTheRoomSoundsOnInIt() {
        Sound shorter = Gaps.shortened(RECORDING, 0.6);
        assertThat(RECORDING.seconds() - shorter.seconds()).isBetween(0.85, 0.95);
        assertThat(Activity.of(shorter).pauses()).hasSize(2);
        // no hole and no bump at the joint: every 10 ms of the gap are as loud as the room
        int joint = (int) (1.2 * RATE);
        double room = RECORDING.rms(0, RATE / 4);
        for (int at = joint - RATE / 10; at < joint + RATE / 10; at += RATE / 100) {
            assertThat(shorter.rms(at, at + RATE / 100)).isBetween(0.6 * room, 1.6 * room);
        }
    }

    @Test
    void aRecordingWithoutLongGapsStaysAsItIs() {
        assertThat(Gaps.shortened(RECORDING, 2)).isSameAs(RECORDING);
    }

    @Test
    void figuresTellTheRoomAndTheLongestGap() {
        RecordingFigures figures = RecordingFigures.of(RECORDING);
        // 20 log 0.0006
        assertThat(figures.noiseDb()).isBetween(-67.0, -63.0);
        assertThat(figures.longestGap()).isBetween(1.4, 1.56);
        assertThat(figures.clipped()).isZero();
        assertThat(figures.warning()).isEmpty();
    }

    @Test
    void whatSpoilsARecordingIsSaid() {
        assertThat(RecordingFigures.of(new Hums(120, RATE).silence(2).sound()).warning())
                .startsWith("There is no sound in it.");
        assertThat(RecordingFigures.of(RECORDING.amplified(0.03)).warning()).startsWith("It is very quiet");
        Sound loud = RECORDING.amplified(20);
        for (int i = 0; i < loud.samples().length; i++) {
            loud.samples()[i] = Math.max(-1, Math.min(1, loud.samples()[i]));
        }
        assertThat(RecordingFigures.of(loud).warning()).startsWith("It is too loud for the microphone in");
    }
}

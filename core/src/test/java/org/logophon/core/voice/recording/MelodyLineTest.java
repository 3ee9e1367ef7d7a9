package org.logophon.core.voice.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.pitch.PitchTrack;

class MelodyLineTest {

    private static float[] steady(int hops) {
        float[] hertz = new float[hops];
        Arrays.fill(hertz, 120);
        return hertz;
    }

    @Test
    void whereNothingIsVoicedTheLineGoesStraightInSemitones() {
        float[] hertz = steady(60);
        Arrays.fill(hertz, 20, 39, 0);
        Arrays.fill(hertz, 39, 60, 150);
        double[] line = MelodyLine.of(new PitchTrack(hertz));
        assertThat(line[10]).isCloseTo(120, within(0.01));
        // half-way between 120 and 150 Hz is their geometric mean
        assertThat(line[29]).isCloseTo(Math.sqrt(120.0 * 150), within(0.5));
        assertThat(line[50]).isCloseTo(150, within(0.01));
    }

    @Test
    void theEndsGoOnAsTheyWere() {
        float[] hertz = steady(60);
        Arrays.fill(hertz, 0, 15, 0);
        Arrays.fill(hertz, 45, 60, 0);
        assertThat(MelodyLine.of(new PitchTrack(hertz))).containsOnly(120);
    }

    @Test
    void anOctaveThatWasMeasuredWrongGoesAlong() {
        float[] hertz = steady(60);
        hertz[30] = 240;
        hertz[31] = 60;
        assertThat(MelodyLine.of(new PitchTrack(hertz))).containsOnly(120);
    }

    @Test
    void whatHasNoVoiceHasNoLine() {
        assertThat(MelodyLine.of(new PitchTrack(new float[20]))).containsOnly(0);
    }
}

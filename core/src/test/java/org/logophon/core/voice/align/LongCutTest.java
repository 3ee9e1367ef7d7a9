package org.logophon.core.voice.align;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Hums;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;

/** A long recording of made-up speech, by another voice than the one that it is cut by. */
class LongCutTest {

    private static final int RATE = 16_000;
    private static final double VOICE_HZ = 110;
    private static final double PERSON_HZ = 140;
    /** Words of three cues. */
    private static final int[][] CUES = {{0, 4, 2, 7, 5}, {3, 1, 8, 6, 2}, {7, 0, 6, 1, 3}};

    private static final List<Sound> SAID = IntStream.range(0, CUES.length)
            .mapToObj(cue -> said(new Hums(VOICE_HZ, RATE), cue, 1).sound())
            .toList();

    private static Hums said(Hums hums, int cue, double slower) {
        for (int word : CUES[cue]) {
            hums.word(word, word, 0.3 * slower);
        }
        return hums;
    }

    private static List<Integer> cues(List<LongCut.Said> found) {
        return found.stream().map(LongCut.Said::cue).toList();
    }

    private static List<LongCut.Said> cut(int... read) {
        Hums hums = new Hums(PERSON_HZ, RATE).silence(0.8);
        for (int cue : read) {
            said(hums, cue, 1.15).silence(0.9);
        }
        return LongCut.of(SoundSource.of(hums.sound()), SAID);
    }

    @Test
    void cuesAreFoundWhereTheyAreSaid() {
        List<LongCut.Said> found = cut(0, 1, 2);
        assertThat(cues(found)).containsExactly(0, 1, 2);
        double at = 0.8;
        for (LongCut.Said one : found) {
            double spoken = 5 * 0.3 * 1.15;
            assertThat(one.fromSeconds()).isBetween(at - 0.45, at + 0.1);
            assertThat(one.toSeconds()).isBetween(at + spoken - 0.1, at + spoken + 0.45);
            at += spoken + 0.9;
        }
    }

    @Test
    void aCueThatIsLeftOutIsMissing() {
        assertThat(cues(cut(0, 2))).containsExactly(0, 2);
    }

    @Test
    void aCueThatIsSaidAgainIsThereTwice() {
        assertThat(cues(cut(0, 1, 1, 2))).containsExactly(0, 1, 1, 2);
    }

    @Test
    void aRecordingInWhichNobodySpeaksHasNoCues() {
        Sound silence = new Hums(PERSON_HZ, RATE).silence(3).sound();
        assertThat(LongCut.of(SoundSource.of(silence), SAID)).isEmpty();
        assertThat(LongCut.of(SoundSource.of(silence.cut(0, 0)), SAID)).isEmpty();
    }

    @Test
    void aCueThatTheVoiceCannotSayIsPassedOver() {
        List<Sound> without = new ArrayList<>(SAID);
        without.set(1, null);
        Hums hums = said(new Hums(PERSON_HZ, RATE).silence(0.8), 0, 1).silence(0.9);
        said(hums, 2, 1).silence(0.9);
        assertThat(cues(LongCut.of(SoundSource.of(hums.sound()), without))).containsExactly(0, 2);
    }
}

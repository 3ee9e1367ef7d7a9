package org.logophon.core.time.place;

import java.util.Arrays;
import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.render.Silences;
import org.logophon.core.voice.render.WordTime;

/**
 * A take's word times and rests, for a fit.
 *
 * @param words in samples at {@code rate}
 * @param rests one after each word but the last: how long nothing is heard, so how much of it a pause mark can change.
 *              A voice that dies away slowly rests for less than the gap between its words
 */
public record TimedTake(List<WordTime> words, int rate, List<SampleCount> rests) {

    public TimedTake {
        words = List.copyOf(words);
        rests = List.copyOf(rests);
    }

    public static TimedTake of(Sound sound, List<WordTime> words) {
        int[] silent = Silences.between(sound, words);
        return new TimedTake(
                words,
                sound.rate(),
                Arrays.stream(silent)
                        .mapToObj(samples -> SampleCount.converted(samples, sound.rate()))
                        .toList());
    }
}

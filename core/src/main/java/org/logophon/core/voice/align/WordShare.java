package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * The share of a sound that a word takes, beside its share in another voice. Pauses don't count.
 *
 * @param codePoint   where the word starts in the spoken text
 * @param known       seconds that it sounds in the reference
 * @param found       seconds that it sounds in the sound
 * @param fromSeconds where it starts in the sound
 * @param toSeconds   where it ends there
 */
public record WordShare(int codePoint, double known, double found, double fromSeconds, double toSeconds) {

    /** A step so far under the loudest is a pause. */
    private static final double PAUSE_DB = -38;

    /** @param reference says the same text and tells word starts. @return a share for each word that it tells of */
    public static List<WordShare> of(Utterance reference, Sound sound) {
        SpeechSpan span = SpeechSpan.of(sound);
        SpeechSpan known = SpeechSpan.of(reference.sound());
        if (span.from() == span.to()
                || known.from() == known.to()
                || reference.words().isEmpty()) {
            return List.of();
        }
        double highest =
                MelCepstra.highestHertz(Math.min(sound.rate(), reference.sound().rate()));
        MelCepstra first = MelCepstra.of(reference.sound().cut(known.from(), known.to()), highest);
        MelCepstra second = MelCepstra.of(sound.cut(span.from(), span.to()), highest);
        int[] path = Warp.path(first.frames(), second.frames());
        List<WordStart> words = reference.words();
        List<WordShare> shares = new ArrayList<>();
        double before = span.from() / (double) sound.rate();
        for (int i = 0; i < words.size(); i++) {
            int from = i == 0 ? 0 : step(words.get(i), reference.sound(), known, first);
            int to = i + 1 < words.size()
                    ? step(words.get(i + 1), reference.sound(), known, first)
                    : first.frames().length;
            int begins = path[from];
            int ends = path[Math.max(from, to)];
            shares.add(new WordShare(
                    words.get(i).codePoint(),
                    sounding(first.levels(), from, to) * first.stepSeconds(),
                    sounding(second.levels(), begins, ends) * second.stepSeconds(),
                    before + begins * second.stepSeconds(),
                    before + ends * second.stepSeconds()));
        }
        return List.copyOf(shares);
    }

    private static int step(WordStart word, Sound sound, SpeechSpan span, MelCepstra steps) {
        double step = (word.sample() - span.from()) / (steps.stepSeconds() * sound.rate());
        return (int) Math.max(0, Math.min(steps.frames().length, Math.round(step)));
    }

    private static int sounding(float[] levels, int from, int to) {
        int count = 0;
        for (int i = Math.max(0, from); i < Math.min(levels.length, to); i++) {
            count += levels[i] > PAUSE_DB ? 1 : 0;
        }
        return count;
    }
}

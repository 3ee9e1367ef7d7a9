package org.logophon.core.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.script.Word;
import org.logophon.core.script.Words;

/**
 * Lays an engine's word events over the written words. A word starts at the first event inside it (events of a word can
 * be several: {@code 1,240} has four) and ends where the next word or a pause starts. A word without an event (the
 * engine
 * read it in one breath with its neighbour) shares the time of the run it stands in, by its length in letters.
 */
final class WordTimes {

    private WordTimes() {}

    static List<WordTime> of(String cue, SpokenText spoken, Utterance utterance) {
        List<Word> words = Words.of(cue);
        int[] starts = starts(words, spoken, utterance);
        int samples = utterance.sound().samples().length;
        spread(words, starts, samples);
        List<WordTime> times = new ArrayList<>(words.size());
        for (int i = 0; i < words.size(); i++) {
            int next = i + 1 < words.size() ? starts[i + 1] : samples;
            int end = Math.max(starts[i], speechEnd(utterance, starts[i], next));
            times.add(new WordTime(words.get(i).start(), words.get(i).end(), starts[i], end));
        }
        return List.copyOf(times);
    }

    private static int[] starts(List<Word> words, SpokenText spoken, Utterance utterance) {
        int[] starts = new int[words.size()];
        java.util.Arrays.fill(starts, -1);
        int latest = -1;
        for (Utterance.WordStart event : utterance.words()) {
            int word = wordAt(words, spoken.writtenAt(event.codePoint()));
            if (word > latest) {
                starts[word] = event.sample();
                latest = word;
            }
        }
        return starts;
    }

    /** The word that holds a written position, or the next one when it lies between words; −1 after the last. */
    private static int wordAt(List<Word> words, int position) {
        int low = 0;
        int high = words.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (words.get(middle).end() <= position) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low < words.size() ? low : -1;
    }

    private static void spread(List<Word> words, int[] starts, int samples) {
        for (int i = 0; i < starts.length; i++) {
            if (starts[i] >= 0) {
                continue;
            }
            int first = i == 0 ? 0 : i - 1;
            int last = i;
            while (last < starts.length && starts[last] < 0) {
                last++;
            }
            int from = i == 0 ? 0 : starts[i - 1];
            int to = last < starts.length ? starts[last] : samples;
            int letters = words.get(last - 1).end() - words.get(first).start();
            for (int k = i; k < last; k++) {
                starts[k] = from
                        + (int) ((long) (to - from)
                                * (words.get(k).start() - words.get(first).start())
                                / Math.max(1, letters));
            }
        }
    }

    /** Where the pause before the next word starts; a pause inside a word (after "thousand") doesn't end it. */
    private static int speechEnd(Utterance utterance, int from, int to) {
        int end = to;
        for (Utterance.PhonemeStart phoneme : utterance.phonemes()) {
            if (phoneme.sample() >= to) {
                break;
            }
            if (phoneme.sample() > from) {
                end = !phoneme.silent() ? to : end == to ? phoneme.sample() : end;
            }
        }
        return end;
    }
}

package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.logophon.core.text.dictionary.Dictionary;
import org.logophon.core.text.dictionary.Sounds;
import org.logophon.core.text.reading.BracketedDirections;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * Lays an engine's word events over the written words. A word starts at the first event inside it (events of a word can
 * be several: {@code 1,240} has four) and ends where the next word or a pause starts. Words that the engine says in one
 * breath ("no one", "on the" are one event of espeak-ng) are parted where a sound begins, by how many sounds each has.
 */
public final class WordTimes {

    private WordTimes() {}

    /** @param language BCP 47 tag of the voice */
    public static List<WordTime> of(String cue, String language, SpokenText spoken, Utterance utterance) {
        List<Word> words = Words.of(cue);
        int[] starts = starts(words, spoken, utterance);
        int samples = utterance.sound().samples().length;
        part(cue, language.startsWith("en"), words, starts, utterance);
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
        Arrays.fill(starts, -1);
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

    private static void part(String cue, boolean english, List<Word> words, int[] starts, Utterance utterance) {
        for (int i = 0; i < starts.length; i++) {
            if (starts[i] >= 0) {
                continue;
            }
            int last = i;
            while (last < starts.length && starts[last] < 0) {
                last++;
            }
            // the word before them is in the same breath
            int first = Math.max(0, i - 1);
            int from = i == 0 ? 0 : starts[i - 1];
            int to = last < starts.length ? starts[last] : utterance.sound().samples().length;
            int[] weights = new int[last - first];
            for (int k = first; k < last; k++) {
                Word word = words.get(k);
                weights[k - first] = unspoken(cue, word) ? 0 : sounds(cue.substring(word.start(), word.end()), english);
            }
            int[] cuts = cuts(weights, from, to, soundStarts(utterance, from, to));
            for (int k = i; k < last; k++) {
                starts[k] = cuts[k - first];
            }
        }
    }

    /** A word of a direction takes no time. */
    private static boolean unspoken(String cue, Word word) {
        return BracketedDirections.unspoken(cue).stream()
                .anyMatch(direction -> direction.start() < word.end() && direction.end() > word.start());
    }

    private static int sounds(String word, boolean english) {
        Optional<Sounds> known =
                english ? Dictionary.english().sounds(word.toLowerCase(Locale.ROOT)) : Optional.empty();
        return known.map(Sounds::count).orElse(word.length());
    }

    private static int[] soundStarts(Utterance utterance, int from, int to) {
        return utterance.phonemes().stream()
                .filter(phoneme -> !phoneme.silent() && phoneme.sample() >= from && phoneme.sample() < to)
                .mapToInt(Utterance.PhonemeStart::sample)
                .distinct()
                .toArray();
    }

    /**
     * Where each of several words starts. Where the engine made as many sounds as the words have, they are counted off.
     */
    private static int[] cuts(int[] weights, int from, int to, int[] sounds) {
        int all = Math.max(1, Arrays.stream(weights).sum());
        int[] cuts = new int[weights.length];
        int before = 0;
        for (int k = 0; k < cuts.length; k++) {
            int even = from + (int) ((long) (to - from) * before / all);
            cuts[k] = k == 0
                    ? from
                    : sounds.length == all ? sounds[before] : Math.max(cuts[k - 1], nearest(sounds, even));
            before += weights[k];
        }
        return cuts;
    }

    private static int nearest(int[] sounds, int sample) {
        return Arrays.stream(sounds)
                .boxed()
                .min(Comparator.comparingInt(start -> Math.abs(start - sample)))
                .orElse(sample);
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

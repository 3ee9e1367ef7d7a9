package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.voice.render.Utterance.PhonemeStart;

/**
 * A single sound of a word, placed by shares of the word: wherever the word comes to lie, and however long it comes to
 * be, its sounds go with it.
 *
 * @param word place of the word's first letter in the cue's text
 * @param from share of the word's length at which it starts; a little under 0 where the lips close before the word's
 *             time
 * @param to   share at which the next one starts
 * @param ipa  letters of the International Phonetic Alphabet
 */
public record Phone(int word, double from, double to, String ipa) {

    /** The engine's sounds by the words that they are in; none where it doesn't name them. */
    public static List<Phone> of(List<WordTime> words, Utterance utterance) {
        List<PhonemeStart> heard = utterance.phonemes();
        if (words.isEmpty() || heard.stream().allMatch(phoneme -> phoneme.ipa().isEmpty())) {
            return List.of();
        }
        int[] starts = Closures.starts(utterance);
        List<Phone> phones = new ArrayList<>();
        int word = 0;
        for (int i = 0; i < starts.length; i++) {
            PhonemeStart phoneme = heard.get(i);
            while (word + 1 < words.size() && words.get(word + 1).startSample() <= phoneme.sample()) {
                word++;
            }
            if (phoneme.silent() || phoneme.ipa().isEmpty()) {
                continue;
            }
            int end = i + 1 < starts.length ? starts[i + 1] : utterance.sound().samples().length;
            WordTime of = words.get(word);
            double length = Math.max(1, of.endSample() - of.startSample());
            if (end > starts[i]) {
                phones.add(new Phone(
                        of.start(),
                        (starts[i] - of.startSample()) / length,
                        (end - of.startSample()) / length,
                        phoneme.ipa()));
            }
        }
        return phones;
    }

    /** The same in a text that has more before it. */
    Phone later(int characters) {
        return new Phone(word + characters, from, to, ipa);
    }

    /** Phones in one line each: word, from, to and IPA, parted by spaces. */
    public static String written(List<Phone> phones) {
        StringBuilder lines = new StringBuilder();
        phones.forEach(phone -> lines.append(
                String.format(Locale.ROOT, "%d %.4f %.4f %s%n", phone.word, phone.from, phone.to, phone.ipa)));
        return lines.toString();
    }

    /** What {@link #written} wrote. A language has few sounds: each is held once. */
    public static List<Phone> read(String lines) {
        return lines.lines()
                .map(line -> line.split(" ", 4))
                .map(cells -> new Phone(
                        Integer.parseInt(cells[0]),
                        Double.parseDouble(cells[1]),
                        Double.parseDouble(cells[2]),
                        cells[3].intern()))
                .toList();
    }
}

package org.logophon.core.voice.render;

import java.util.List;
import java.util.Set;

/** Where the syllable of a word starts that most likely bears its stress. */
final class StressedSyllable {

    private static final String VOWELS = "aeiouyæɑɒɔəɚɛɜɝɪʊʌɐøœɨʉɯɤɘɵɞɶɐ";
    /** Reduced vowels bear no stress. */
    private static final Set<String> WEAK = Set.of("ə", "ɚ", "ɐ", "ɨ", "ᵻ");
    /** Without the engine's sounds: two fifths into the word. */
    private static final double USUAL = 0.4;
    /** A last vowel is long because it is last. */
    private static final double LAST = 0.5;

    private StressedSyllable() {}

    /** @return sample of its vowel's start */
    static int start(Speech speech, int i) {
        WordTime word = speech.words().get(i);
        List<Phone> vowels = speech.phones().stream()
                .filter(phone -> phone.word() == word.start())
                .filter(phone ->
                        !phone.ipa().isEmpty() && VOWELS.indexOf(phone.ipa().charAt(0)) >= 0)
                .toList();
        int length = word.endSample() - word.startSample();
        double from = vowels.isEmpty() ? USUAL : 0;
        double most = -1;
        for (int v = 0; v < vowels.size(); v++) {
            Phone vowel = vowels.get(v);
            int start = sample(word, vowel.from());
            int end = sample(word, vowel.to());
            double weight = speech.sound().rms(Math.max(0, start), end)
                    * Math.sqrt(Math.max(0, end - start))
                    * (WEAK.contains(vowel.ipa()) ? 0.3 : 1)
                    * (v + 1 == vowels.size() ? LAST : 1);
            if (weight > most) {
                most = weight;
                from = Math.max(0, vowel.from());
            }
        }
        return word.startSample() + (int) Math.min(length * 0.9, length * from);
    }

    private static int sample(WordTime word, double share) {
        return word.startSample() + (int) (share * (word.endSample() - word.startSample()));
    }
}

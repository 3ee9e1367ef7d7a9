package org.logophon.speech;

import java.util.Optional;

/**
 * IPA in espeak-ng's phoneme mnemonics for English, built by printing both forms of a word list. Stress marks move to
 * the vowel,
 * where the engine wants them; signs of length after a vowel belong to it.
 */
final class IpaMnemonics {

    /** The longest first: a diphthong is no two vowels. */
    private static final String[][] SOUNDS = {
        {"tʃ", "tS"},
        {"dʒ", "dZ"},
        {"iː", "i:"},
        {"uː", "u:"},
        {"ɑː", "A:"},
        {"ɔː", "O:"},
        {"ɜː", "3:"},
        {"ɛː", "e@"},
        {"eɪ", "eI"},
        {"aɪ", "aI"},
        {"ɔɪ", "OI"},
        {"aʊ", "aU"},
        {"əʊ", "oU"},
        {"oʊ", "oU"},
        {"ɪə", "i@"},
        {"eə", "e@"},
        {"ɛə", "e@"},
        {"ʊə", "U@"},
        {"ɝ", "3:"},
        {"ɚ", "3"},
        {"oː", "O:"},
        {"aː", "A:"},
        {"eː", "eI"},
        {"i", "i"},
        {"ɪ", "I"},
        {"e", "E"},
        {"ɛ", "E"},
        {"æ", "a"},
        {"a", "a"},
        {"ɑ", "A:"},
        {"ɒ", "0"},
        {"ɔ", "O"},
        {"ʊ", "U"},
        {"u", "u:"},
        {"ʌ", "V"},
        {"ɜ", "3:"},
        {"ə", "@"},
        {"ɐ", "a#"},
        {"ᵻ", "I2"},
        {"o", "oU"},
        {"p", "p"},
        {"b", "b"},
        {"t", "t"},
        {"d", "d"},
        {"k", "k"},
        {"ɡ", "g"},
        {"g", "g"},
        {"f", "f"},
        {"v", "v"},
        {"θ", "T"},
        {"ð", "D"},
        {"s", "s"},
        {"z", "z"},
        {"ʃ", "S"},
        {"ʒ", "Z"},
        {"h", "h"},
        {"m", "m"},
        {"n", "n"},
        {"ŋ", "N"},
        {"l", "l"},
        {"ɫ", "l"},
        {"ɹ", "r"},
        {"r", "r"},
        {"w", "w"},
        {"j", "j"},
        {"x", "x"},
        {"ʔ", "?"},
        {"ɬ", "l"},
        {"ɾ", "t2"},
        {"ʍ", "w"}
    };

    private static final String VOWELS = "iɪeɛæaɑɒɔʊuʌɜəɐᵻoɝɚ";
    private static final String NOTHING = ".‿/ˑ̯̩͡";

    private IpaMnemonics() {}

    /** @return empty when a sign is no sound that the engine knows */
    static Optional<String> of(String ipa) {
        StringBuilder said = new StringBuilder();
        String stress = "";
        for (int i = 0; i < ipa.length(); ) {
            char sign = ipa.charAt(i);
            if (sign == 'ˈ' || sign == '\'' || sign == 'ˌ') {
                stress = sign == 'ˌ' ? "," : "'";
                i++;
            } else if (NOTHING.indexOf(sign) >= 0) {
                i++;
            } else if (sign == ' ') {
                said.append("||");
                i++;
            } else {
                String[] sound = sound(ipa, i);
                if (sound == null) {
                    return Optional.empty();
                }
                if (VOWELS.indexOf(sign) >= 0) {
                    said.append(stress);
                    stress = "";
                }
                said.append(sound[1]);
                i += sound[0].length();
            }
        }
        return said.isEmpty() ? Optional.empty() : Optional.of(said.toString());
    }

    private static String[] sound(String ipa, int at) {
        for (String[] sound : SOUNDS) {
            if (ipa.startsWith(sound[0], at)) {
                return sound;
            }
        }
        return null;
    }
}

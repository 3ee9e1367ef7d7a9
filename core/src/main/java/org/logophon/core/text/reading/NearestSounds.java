package org.logophon.core.text.reading;

import java.util.Map;

/**
 * Sounds of any language in those of English, as English speakers take them who have no others (Wells, Accents of
 * English, 1982, on loans; the rest from memory, by place and manner of the IPA chart).
 */
public final class NearestSounds {

    /** What a letter is to English; a nasal vowel is a vowel and an n. */
    private static final Map<String, String> NEAREST = Map.ofEntries(
            Map.entry("y", "uː"),
            Map.entry("ʏ", "ʊ"),
            Map.entry("ø", "ɜː"),
            Map.entry("œ", "ɜː"),
            Map.entry("ɶ", "ɜː"),
            Map.entry("ɨ", "ɪ"),
            Map.entry("ʉ", "uː"),
            Map.entry("ɯ", "ʊ"),
            Map.entry("ɤ", "ʌ"),
            Map.entry("ɘ", "ə"),
            Map.entry("ɵ", "ə"),
            Map.entry("ɞ", "ɜː"),
            Map.entry("ʁ", "ɹ"),
            Map.entry("ʀ", "ɹ"),
            Map.entry("r", "ɹ"),
            Map.entry("ɾ", "ɹ"),
            Map.entry("ɻ", "ɹ"),
            Map.entry("ɽ", "ɹ"),
            Map.entry("x", "k"),
            Map.entry("χ", "k"),
            Map.entry("ç", "ʃ"),
            Map.entry("ɕ", "ʃ"),
            Map.entry("ʂ", "ʃ"),
            Map.entry("ʑ", "ʒ"),
            Map.entry("ʐ", "ʒ"),
            Map.entry("ʝ", "j"),
            Map.entry("ɣ", "ɡ"),
            Map.entry("ɢ", "ɡ"),
            Map.entry("q", "k"),
            Map.entry("c", "tʃ"),
            Map.entry("ɟ", "dʒ"),
            Map.entry("ɲ", "nj"),
            Map.entry("ɳ", "n"),
            Map.entry("ɴ", "ŋ"),
            Map.entry("ɱ", "m"),
            Map.entry("ʎ", "lj"),
            Map.entry("ɭ", "l"),
            Map.entry("ɬ", "θl"),
            Map.entry("ɮ", "l"),
            Map.entry("β", "v"),
            Map.entry("ɸ", "f"),
            Map.entry("ʋ", "v"),
            Map.entry("ɥ", "w"),
            Map.entry("ɰ", "w"),
            Map.entry("ʈ", "t"),
            Map.entry("ɖ", "d"),
            Map.entry("ħ", "h"),
            Map.entry("ʕ", "ə"),
            Map.entry("ɦ", "h"),
            Map.entry("ɓ", "b"),
            Map.entry("ɗ", "d"),
            Map.entry("ɠ", "ɡ"));
    /** What English has, letter by letter; long marks stay where they are. */
    private static final String ENGLISH = "iɪeɛæaɑɒɔʊuʌɜəɐᵻoɝɚpbtdkɡgfvθðszʃʒhmnŋlɫɹwjʔˈˌː ";

    private static final char NASAL = '\u0303';
    private static final String VOWELS = "iɪeɛæaɑɒɔʊuʌɜəɐᵻoɝɚyʏøœɶɨʉɯɤɘɵɞ";

    private NearestSounds() {}

    /** @param ipa of any language @return with sounds of English alone; what is no sound is left out */
    public static String english(String ipa) {
        StringBuilder near = new StringBuilder();
        String plain = ipa.replace("\u0361", "").replace("\u035C", "");
        boolean vowel = false;
        for (int i = 0; i < plain.length(); i++) {
            char sign = plain.charAt(i);
            if (sign == NASAL) {
                near.append(vowel ? "n" : "");
                continue;
            }
            String nearest = NEAREST.getOrDefault(String.valueOf(sign), "");
            if (!nearest.isEmpty()) {
                near.append(nearest);
            } else if (ENGLISH.indexOf(sign) >= 0) {
                // length belongs to a vowel, and two marks of it are one
                boolean length = sign == 'ː';
                if (!length || near.length() > 0 && VOWELS.indexOf(near.charAt(near.length() - 1)) >= 0) {
                    near.append(sign);
                }
            }
            vowel = sign == 'ː' ? vowel : VOWELS.indexOf(sign) >= 0;
        }
        return near.toString().strip();
    }
}

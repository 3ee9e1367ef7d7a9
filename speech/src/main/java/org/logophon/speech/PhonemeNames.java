package org.logophon.speech;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** The names that engines have for the sounds of speech, in the International Phonetic Alphabet. */
final class PhonemeNames {

    /** The set of the American English voices (ARPAbet, in small letters). */
    private static final Map<String, String> ARPABET =
            table("aa ɑ ae æ ah ʌ ao ɔ aw aʊ ax ə axr ɚ ay aɪ b b ch tʃ d d dh ð dx ɾ"
                    + " eh ɛ el l em m en n er ɝ ey eɪ f f g ɡ hh h hv h ih ɪ iy i jh dʒ k k l l m m n n nx "
                    + "n ng ŋ ow oʊ oy ɔɪ p p r ɹ s s"
                    + " sh ʃ t t th θ uh ʊ uw u v v w w y j z z zh ʒ");

    /** Letters that stand for other sounds where a set is written in ASCII (SAMPA, and sets like it). */
    private static final Map<Character, String> ASCII = letters(
            "A ɑ B β C ç D ð E ɛ G ɣ H ɥ I ɪ J ɲ L ʎ M ɱ N ŋ O ɔ Q ɒ R ʁ S ʃ T θ U ʊ V ʌ" + " X χ Y ʏ Z ʒ @ ə g ɡ");

    private PhonemeNames() {}

    static String arpabet(String name) {
        return ARPABET.getOrDefault(name.toLowerCase(Locale.ROOT).replaceAll("\\d", ""), "");
    }

    /** Affricates as single names, then letter by letter; stress, length and what isn't known are left out. */
    static String ascii(String name) {
        String plain = name.replace("tS", "tʃ")
                .replace("dZ", "dʒ")
                .replace("ch", "tʃ")
                .replace("sh", "ʃ")
                .replace("zh", "ʒ");
        StringBuilder ipa = new StringBuilder();
        for (char letter : plain.toCharArray()) {
            ipa.append(ASCII.getOrDefault(letter, Character.isLetter(letter) ? String.valueOf(letter) : ""));
        }
        return ipa.toString();
    }

    private static Map<String, String> table(String pairs) {
        String[] cells = pairs.split(" ");
        Map<String, String> table = new HashMap<>();
        for (int i = 0; i < cells.length; i += 2) {
            table.put(cells[i], cells[i + 1]);
        }
        return Map.copyOf(table);
    }

    private static Map<Character, String> letters(String pairs) {
        Map<Character, String> letters = new HashMap<>();
        table(pairs).forEach((from, to) -> letters.put(from.charAt(0), to));
        return Map.copyOf(letters);
    }
}

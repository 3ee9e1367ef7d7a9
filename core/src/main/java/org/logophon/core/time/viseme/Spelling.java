package org.logophon.core.time.viseme;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Map;

/** A rough guess at the sounds of a written word, a letter each: enough for the shape of a mouth. Ours. */
final class Spelling {

    private static final Map<Character, String> SOUNDS = Map.ofEntries(
            Map.entry('c', "k"),
            Map.entry('h', ""),
            Map.entry('j', "ʒ"),
            Map.entry('q', "k"),
            Map.entry('x', "ks"),
            Map.entry('y', "i"),
            Map.entry('ß', "s"),
            Map.entry('æ', "ɛ"),
            Map.entry('ø', "ø"));

    private Spelling() {}

    static String ipa(String word) {
        String plain = Normalizer.normalize(word.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replace("sch", "ʃ")
                .replace("sh", "ʃ")
                .replace("th", "θ")
                .replace("ph", "f");
        StringBuilder sounds = new StringBuilder();
        for (char letter : plain.toCharArray()) {
            String sound = SOUNDS.getOrDefault(letter, Character.isLetter(letter) ? String.valueOf(letter) : "");
            sounds.append(sound);
        }
        return sounds.toString();
    }
}

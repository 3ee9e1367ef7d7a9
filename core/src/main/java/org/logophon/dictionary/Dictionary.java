package org.logophon.dictionary;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalInt;
import java.util.zip.GZIPInputStream;

/**
 * The words of English with their syllables, from the CMU Pronouncing Dictionary (its 126,046 spellings; a syllable is a vowel
 * with a stress figure). British spellings and regular endings that it lacks are found through the word they belong to.
 */
public final class Dictionary {

    private static final String WORDS = "words.txt.gz";
    /** British spelling to the American one that the dictionary has: ending by ending. */
    private static final String[][] BRITISH = {{"isation", "ization"}, {"ising", "izing"}, {"ised", "ized"}, {"iser", "izer"}, {"ises", "izes"}, {"ise", "ize"},
        {"yse", "yze"}, {"ysed", "yzed"}, {"our", "or"}, {"ours", "ors"}, {"oured", "ored"}, {"ouring", "oring"}, {"ourful", "orful"}, {"ourable", "orable"},
        {"tre", "ter"}, {"tres", "ters"}, {"ogue", "og"}, {"ence", "ense"}, {"elled", "eled"}, {"elling", "eling"}, {"eller", "eler"}, {"ellery", "elry"}, {"aeo", "eo"}};

    private static final class Holder {
        private static final Dictionary ENGLISH = new Dictionary();
    }

    private final Map<String, Byte> syllables = new HashMap<>(200_000);

    private Dictionary() {
        try (InputStream packed = Dictionary.class.getResourceAsStream(WORDS);
             BufferedReader lines = new BufferedReader(new InputStreamReader(new GZIPInputStream(packed, 1 << 16), StandardCharsets.US_ASCII))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                int space = line.indexOf(' ');
                syllables.put(line.substring(0, space), Byte.valueOf(line.substring(space + 1)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The dictionary can't be read. Build the application again.", e);
        }
    }

    public static Dictionary english() {
        return Holder.ENGLISH;
    }

    /** @param word in lower case, with a straight or a curly apostrophe */
    public OptionalInt syllables(String word) {
        String plain = word.replace('’', '\'');
        Byte known = syllables.get(plain);
        if (known != null) {
            return OptionalInt.of(known);
        }
        return ending(plain);
    }

    /** True for a word as the dictionary has it, without endings: what capitals may shout. */
    public boolean isPlain(String word) {
        return syllables.containsKey(word);
    }

    public boolean knows(String word) {
        return syllables(word).isPresent();
    }

    private OptionalInt ending(String word) {
        for (String[] pair : BRITISH) {
            if (word.endsWith(pair[0])) {
                Byte known = syllables.get(word.substring(0, word.length() - pair[0].length()) + pair[1]);
                if (known != null) {
                    return OptionalInt.of(known);
                }
            }
        }
        return regular(word);
    }

    private OptionalInt regular(String word) {
        String[][] endings = {{"'s", "", "0"}, {"s'", "s", "0"}, {"es", "", "1"}, {"s", "", "0"}, {"ed", "", "0"}, {"d", "", "0"}, {"ing", "", "1"}, {"ing", "e", "1"},
            {"ly", "", "1"}, {"ness", "", "1"}, {"less", "", "1"}, {"like", "", "1"}, {"er", "", "1"}, {"est", "", "1"}, {"able", "", "2"}, {"ment", "", "1"}};
        for (String[] ending : endings) {
            if (word.length() > ending[0].length() + 2 && word.endsWith(ending[0])) {
                Byte stem = syllables.get(word.substring(0, word.length() - ending[0].length()) + ending[1]);
                if (stem != null) {
                    return OptionalInt.of(stem + Integer.parseInt(ending[2]));
                }
            }
        }
        for (String start : new String[]{"un", "re", "non", "over", "under", "out", "pre", "mis"}) {
            if (word.startsWith(start) && word.length() > start.length() + 2) {
                Byte stem = syllables.get(word.substring(start.length()));
                if (stem != null) {
                    return OptionalInt.of(stem + (start.endsWith("er") ? 2 : 1));
                }
            }
        }
        return OptionalInt.empty();
    }
}

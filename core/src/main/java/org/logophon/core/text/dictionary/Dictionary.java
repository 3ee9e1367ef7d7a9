package org.logophon.core.text.dictionary;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPInputStream;

/**
 * The words of English with their sounds, counted from the CMU Pronouncing Dictionary (126,046 spellings, the first
 * pronunciation
 * of each). British spellings and regular endings that it lacks are found through the word they belong to.
 */
public final class Dictionary {

    private static final String WORDS = "words.txt.gz";
    /** British spelling to the American one that the dictionary has: ending by ending. */
    private static final String[][] BRITISH = {
        {"isation", "ization"},
        {"ising", "izing"},
        {"ised", "ized"},
        {"iser", "izer"},
        {"ises", "izes"},
        {"ise", "ize"},
        {"yse", "yze"},
        {"ysed", "yzed"},
        {"our", "or"},
        {"ours", "ors"},
        {"oured", "ored"},
        {"ouring", "oring"},
        {"ourful", "orful"},
        {"ourable", "orable"},
        {"tre", "ter"},
        {"tres", "ters"},
        {"ogue", "og"},
        {"ence", "ense"},
        {"elled", "eled"},
        {"elling", "eling"},
        {"eller", "eler"},
        {"ellery", "elry"},
        {"aeo", "eo"}
    };

    /** Ending, what stood there before it, weak vowels and consonants that it adds. */
    private static final String[][] ENDINGS = {
        {"'s", "", "0", "1"},
        {"s'", "s", "0", "0"},
        {"es", "", "1", "1"},
        {"s", "", "0", "1"},
        {"ed", "", "0", "1"},
        {"d", "", "0", "1"},
        {"ing", "", "1", "1"},
        {"ing", "e", "1", "1"},
        {"ly", "", "1", "1"},
        {"ness", "", "1", "2"},
        {"less", "", "1", "2"},
        {"like", "", "1", "2"},
        {"er", "", "1", "1"},
        {"est", "", "1", "2"},
        {"able", "", "2", "2"},
        {"ment", "", "1", "3"}
    };

    private static final String[] STARTS = {"un", "re", "non", "over", "under", "out", "pre", "mis"};

    private static final class Holder {
        private static final Dictionary ENGLISH = new Dictionary();
    }

    private final Map<String, Sounds> words = new HashMap<>(200_000);

    private Dictionary() {
        Map<String, Sounds> shared = new HashMap<>();
        try (InputStream packed = Dictionary.class.getResourceAsStream(WORDS);
                BufferedReader lines = new BufferedReader(
                        new InputStreamReader(new GZIPInputStream(packed, 1 << 16), StandardCharsets.US_ASCII))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                int space = line.indexOf(' ');
                words.put(line.substring(0, space), shared.computeIfAbsent(line.substring(space + 1), Sounds::parse));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The dictionary can't be read. Build the application again.", e);
        }
    }

    public static Dictionary english() {
        return Holder.ENGLISH;
    }

    /** @param word in lower case, with a straight or a curly apostrophe */
    public Optional<Sounds> sounds(String word) {
        String plain = word.replace('’', '\'');
        Sounds known = words.get(plain);
        return known != null ? Optional.of(known) : ending(plain);
    }

    /** True for a word as the dictionary has it, without endings: what capitals may shout. */
    public boolean isPlain(String word) {
        return words.containsKey(word);
    }

    public boolean knows(String word) {
        return sounds(word).isPresent();
    }

    private Optional<Sounds> ending(String word) {
        for (String[] pair : BRITISH) {
            if (word.endsWith(pair[0])) {
                Sounds known = words.get(word.substring(0, word.length() - pair[0].length()) + pair[1]);
                if (known != null) {
                    return Optional.of(known);
                }
            }
        }
        return regular(word);
    }

    private Optional<Sounds> regular(String word) {
        for (String[] ending : ENDINGS) {
            if (word.length() > ending[0].length() + 2 && word.endsWith(ending[0])) {
                Sounds stem = words.get(word.substring(0, word.length() - ending[0].length()) + ending[1]);
                if (stem != null) {
                    return Optional.of(stem.with(Integer.parseInt(ending[2]), Integer.parseInt(ending[3])));
                }
            }
        }
        for (String start : STARTS) {
            Sounds stem = word.startsWith(start) && word.length() > start.length() + 2
                    ? words.get(word.substring(start.length()))
                    : null;
            if (stem != null) {
                return Optional.of(stem.with(start.endsWith("er") ? 2 : 1, 1));
            }
        }
        return Optional.empty();
    }
}

package org.logophon.core.time.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * The words that a sentence could lose and still say what it says: phrases between two commas, adverbs, an adjective
 * before another one. Shown, never cut by itself. English; other languages have the phrases only.
 */
public final class Cuttable {

    private static final Pattern BETWEEN_COMMAS = Pattern.compile(",\\s*([^,.;:!?]{3,80}),");
    private static final int MOST_WORDS = 9;
    private static final Pattern DOUBLED = Pattern.compile("\\b(\\p{L}{3,}),\\s+(\\p{L}{3,})\\s+\\p{L}{3,}");
    /** Ends like an adverb, and is none. */
    private static final List<String> NO_ADVERBS =
            List.of("only", "family", "reply", "supply", "july", "fly", "apply", "early");

    private Cuttable() {}

    /** A stretch that could go. @param words in it */
    public record Stretch(int start, int end, int words) {}

    /** @return the longest first; none overlaps another */
    public static List<Stretch> of(String text, String language) {
        List<Stretch> found = new ArrayList<>();
        Matcher phrase = BETWEEN_COMMAS.matcher(text);
        int from = 0;
        while (phrase.find(from)) {
            int words = Words.count(phrase.group(1));
            if (words > 0 && words <= MOST_WORDS) {
                found.add(new Stretch(phrase.start(1), phrase.end(1), words));
            }
            // the comma that ends one phrase may begin the next
            from = phrase.end() - 1;
        }
        if (language.startsWith("en")) {
            for (Word word : Words.of(text)) {
                String written = word.in(text).toLowerCase(Locale.ROOT);
                if (written.length() > 4 && written.endsWith("ly") && !NO_ADVERBS.contains(written)) {
                    found.add(new Stretch(word.start(), word.end(), 1));
                }
            }
            Matcher doubled = DOUBLED.matcher(text);
            while (doubled.find()) {
                found.add(new Stretch(doubled.start(1), doubled.end(1), 1));
            }
        }
        found.sort(Comparator.comparingInt(Stretch::words).reversed().thenComparingInt(Stretch::start));
        List<Stretch> apart = new ArrayList<>();
        for (Stretch stretch : found) {
            if (apart.stream().noneMatch(other -> other.start() < stretch.end() && other.end() > stretch.start())) {
                apart.add(stretch);
            }
        }
        return List.copyOf(apart);
    }
}

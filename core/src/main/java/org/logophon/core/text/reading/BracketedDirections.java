package org.logophon.core.text.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Directions in brackets, {@code [beat]} or {@code (softly)}: meant for the speaker, never spoken. Round brackets hold
 * asides too, so those need a word of directing.
 */
public final class BracketedDirections {

    private static final Pattern BRACKETS = Pattern.compile("\\[[^\\]\\[]{1,80}\\]|\\([^()]{1,40}\\)");
    private static final Pattern DIRECTS = Pattern.compile(
            "(?:laugh|sigh|beat|pause|silen|whisper|cough|cr(?:y|ies)|shout|gasp|smil|nod|clear|music|sfx|fx|fade|"
                    + "sound|breath|sniff|groan|chuckl|giggl|yawn|long|short|v\\.?o\\.?$|o\\.?s\\.?$|vo$|off$|cont|"
                    + "to (?:self|camera|himself|herself)|excited|angr|sad|calm|quiet|soft|slow|fast|loud|\\p{L}+ly$)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}]");
    private static final int MOST_WORDS = 3;

    private BracketedDirections() {}

    /**
     * One of them.
     *
     * @param start  UTF-16 index of its opening bracket
     * @param end    index after its closing one
     * @param words  between them
     * @param surely true when its words direct; in square brackets other words may be a note, or a direction unknown
     *               here
     */
    public record Bracketed(int start, int end, String words, boolean surely) {}

    /** In the order of the text: those that direct, and all else in square brackets. */
    public static List<Bracketed> in(String text) {
        if (text.indexOf('[') < 0 && text.indexOf('(') < 0) {
            return List.of();
        }
        List<Bracketed> found = new ArrayList<>();
        Matcher brackets = BRACKETS.matcher(text);
        while (brackets.find()) {
            String inside =
                    brackets.group().substring(1, brackets.group().length() - 1).strip();
            boolean square = text.charAt(brackets.start()) == '[';
            boolean directs =
                    DIRECTS.matcher(inside).lookingAt() && (square || inside.split("\\s+").length <= MOST_WORDS);
            if (!inside.isEmpty() && (square || directs)) {
                found.add(new Bracketed(brackets.start(), brackets.end(), inside, directs));
            }
        }
        return found;
    }

    /** Those that aren't spoken: where nothing else would be, the writer may have meant the words. */
    public static List<Bracketed> unspoken(String text) {
        List<Bracketed> sure = in(text).stream().filter(Bracketed::surely).toList();
        if (sure.isEmpty()) {
            return sure;
        }
        StringBuilder rest = new StringBuilder(text);
        for (int i = sure.size() - 1; i >= 0; i--) {
            rest.delete(sure.get(i).start(), sure.get(i).end());
        }
        return WORD.matcher(rest).find() ? sure : List.of();
    }
}

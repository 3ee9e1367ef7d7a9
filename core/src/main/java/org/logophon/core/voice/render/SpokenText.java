package org.logophon.core.voice.render;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UCharacterCategory;
import com.ibm.icu.lang.UProperty;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.logophon.core.text.reading.Pronunciation;

/**
 * The text that an engine is asked to say, with the way back to the written text. Every code point of {@code text}
 * comes from one place of the written text, so that a position in one is a position in the other. Left out or turned
 * into a space: control and format characters (bidi marks among them), emoji, and characters of markup that an engine
 * would name.
 *
 * @param text    for the engine
 * @param written for each code point of {@code text}, the UTF-16 index in the written text
 */
public record SpokenText(String text, int[] written) {

    /** The name of the letter A in letters that every engine reads so: espeak-ng says "ay" as "eye". */
    private static final String A = "eigh";

    /** A letter A by itself or among letters: English engines read it as the article. */
    private static final Pattern LETTER_A =
            Pattern.compile("^A$|\\bA\\b(?= \\p{Lu}\\b)|(?<=\\b\\p{Lu} )A\\b|\\bA\\b(?= M\\b)");

    /** The last of several letters in an English plural: engines spell "P Cs" as three, and say "P C's" as two. */
    private static final Pattern LETTERS = Pattern.compile("(?<=\\b\\p{Lu} )(\\p{Lu})s\\b");

    private static final String MARKUP = "*_~`|^<>[]{}\\#•·…";

    /** Stand around IPA: characters of private use never come from a script, they are left out of it. */
    public static final char IPA_START = '\uE000';

    public static final char IPA_END = '\uE001';

    /** The text as written. */
    public static SpokenText of(String cue) {
        return written(cue, 0, cue.length());
    }

    /**
     * @param said     places that are said otherwise, in order and apart from one another
     * @param language BCP 47 tag of the voice that speaks
     */
    public static SpokenText of(String cue, List<Pronunciation> said, String language) {
        if (said.isEmpty()) {
            return of(cue);
        }
        boolean english = Locale.forLanguageTag(language).getLanguage().equals("en");
        StringBuilder text = new StringBuilder();
        IntStream.Builder places = IntStream.builder();
        int from = 0;
        for (Pronunciation place : said) {
            append(written(cue, from, place.start()), text, places);
            String words = place.ipa()
                    ? IPA_START + place.words() + IPA_END
                    : lettered(of(place.words()).text(), english);
            String apart = joins(text, words) ? " " : "";
            text.append(apart).append(words);
            // every character of the replacement stands for the start of what it replaces
            (apart + words).codePoints().forEach(c -> places.add(place.start()));
            from = place.end();
            if (from < cue.length() && Character.isLetterOrDigit(cue.codePointAt(from))) {
                text.append(' ');
                places.add(place.start());
            }
        }
        append(written(cue, from, cue.length()), text, places);
        return new SpokenText(text.toString(), places.build().toArray());
    }

    private static String lettered(String words, boolean english) {
        return english ? LETTERS.matcher(LETTER_A.matcher(words).replaceAll(A)).replaceAll("$1's") : words;
    }

    private static boolean joins(StringBuilder text, String words) {
        return !text.isEmpty()
                && Character.isLetterOrDigit(text.codePointBefore(text.length()))
                && Character.isLetterOrDigit(words.codePointAt(0));
    }

    private static void append(SpokenText piece, StringBuilder text, IntStream.Builder places) {
        text.append(piece.text());
        Arrays.stream(piece.written()).forEach(places::add);
    }

    private static SpokenText written(String cue, int from, int to) {
        StringBuilder text = new StringBuilder(to - from);
        int[] written = new int[to - from];
        int count = 0;
        for (int i = from; i < to; ) {
            int codePoint = cue.codePointAt(i);
            int spoken = spoken(codePoint, cue, i);
            if (spoken >= 0) {
                text.appendCodePoint(spoken);
                written[count++] = i;
            }
            i += Character.charCount(codePoint);
        }
        return new SpokenText(text.toString(), Arrays.copyOf(written, count));
    }

    /** The written place of a code point of the spoken text; the end of it is the last place. */
    public int writtenAt(int codePoint) {
        return written[Math.max(0, Math.min(written.length - 1, codePoint))];
    }

    private static int spoken(int codePoint, String cue, int at) {
        int type = UCharacter.getType(codePoint);
        if (codePoint == '…') {
            return '.';
        }
        if (type == UCharacterCategory.CONTROL
                || UCharacter.isWhitespace(codePoint)
                || MARKUP.indexOf(codePoint) >= 0
                || isEmoji(codePoint, cue, at)) {
            return ' ';
        }
        boolean nothing = type == UCharacterCategory.FORMAT
                || type == UCharacterCategory.SURROGATE
                || type == UCharacterCategory.PRIVATE_USE
                || type == UCharacterCategory.UNASSIGNED
                || UCharacter.hasBinaryProperty(codePoint, UProperty.VARIATION_SELECTOR);
        return nothing ? -1 : codePoint;
    }

    private static boolean isEmoji(int codePoint, String cue, int at) {
        if (UCharacter.hasBinaryProperty(codePoint, UProperty.EMOJI_PRESENTATION)
                || UCharacter.hasBinaryProperty(codePoint, UProperty.EMOJI_MODIFIER)) {
            return true;
        }
        int next = at + Character.charCount(codePoint);
        boolean asked = next < cue.length() && cue.charAt(next) == '\uFE0F';
        return UCharacter.hasBinaryProperty(codePoint, UProperty.EXTENDED_PICTOGRAPHIC) && (asked || codePoint > 0x2190)
                || codePoint == 0x20E3;
    }
}

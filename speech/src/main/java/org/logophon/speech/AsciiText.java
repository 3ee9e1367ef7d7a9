package org.logophon.speech;

import com.ibm.icu.text.Transliterator;
import java.util.Arrays;
import org.logophon.core.render.SpokenText;

/**
 * A text for an engine that knows ASCII alone: letters lose their marks, other scripts are written in Latin letters,
 * and
 * what has no such letter becomes a space.
 *
 * @param spoken for each character of the text the code point of the spoken text that it comes from
 */
record AsciiText(String text, int[] spoken) {

    private static final Transliterator TO_ASCII = Transliterator.getInstance("Any-Latin; Latin-ASCII");

    static AsciiText of(SpokenText source) {
        StringBuilder text = new StringBuilder();
        int[] spoken = new int[source.text().length() * 2 + 16];
        int place = 0;
        for (int i = 0; i < source.text().length(); place++) {
            int codePoint = source.text().codePointAt(i);
            i += Character.charCount(codePoint);
            String ascii = codePoint < 0x80 ? Character.toString(codePoint) : plain(codePoint);
            if (text.length() + ascii.length() > spoken.length) {
                spoken = Arrays.copyOf(spoken, 2 * spoken.length + ascii.length());
            }
            Arrays.fill(spoken, text.length(), text.length() + ascii.length(), place);
            text.append(ascii);
        }
        return new AsciiText(text.toString(), Arrays.copyOf(spoken, text.length()));
    }

    private static String plain(int codePoint) {
        String ascii = TO_ASCII.transliterate(Character.toString(codePoint));
        return ascii.chars().allMatch(c -> c < 0x80) && !ascii.isEmpty() ? ascii : " ";
    }

    /** The code point of the spoken text for a place of this one. */
    int spokenAt(int place) {
        return spoken.length == 0 ? 0 : spoken[Math.max(0, Math.min(spoken.length - 1, place))];
    }
}

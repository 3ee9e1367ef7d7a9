package org.logophon.speech;

import com.ibm.icu.text.Transliterator;
import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.logophon.core.voice.render.SpokenText;

/**
 * A text for an engine that knows some characters alone: other letters lose their marks, other scripts are written in
 * Latin letters, and what has no such letter becomes a space.
 *
 * @param text   one character for each byte that the engine is given
 * @param spoken for each of them the code point of the spoken text that it comes from
 */
record NarrowText(String text, int[] spoken) {

    private static final Transliterator TO_ASCII = Transliterator.getInstance("Any-Latin; Latin-ASCII");

    static NarrowText ascii(SpokenText source) {
        return of(source, StandardCharsets.US_ASCII);
    }

    static NarrowText of(SpokenText source, Charset known) {
        CharsetEncoder encoder = known.newEncoder();
        StringBuilder text = new StringBuilder();
        int[] spoken = new int[source.text().length() * 2 + 16];
        int place = 0;
        for (int i = 0; i < source.text().length(); place++) {
            int codePoint = source.text().codePointAt(i);
            i += Character.charCount(codePoint);
            String written = Character.toString(codePoint);
            String narrow = codePoint < 0x80
                    ? written
                    : encoder.canEncode(written)
                            ? new String(written.getBytes(known), StandardCharsets.ISO_8859_1)
                            : plain(written);
            if (text.length() + narrow.length() > spoken.length) {
                spoken = Arrays.copyOf(spoken, 2 * spoken.length + narrow.length());
            }
            Arrays.fill(spoken, text.length(), text.length() + narrow.length(), place);
            text.append(narrow);
        }
        return new NarrowText(text.toString(), Arrays.copyOf(spoken, text.length()));
    }

    private static String plain(String written) {
        String ascii = TO_ASCII.transliterate(written);
        return ascii.chars().allMatch(c -> c < 0x80) && !ascii.isEmpty() ? ascii : " ";
    }

    /** The code point of the spoken text for a place of this one. */
    int spokenAt(int place) {
        return spoken.length == 0 ? 0 : spoken[Math.max(0, Math.min(spoken.length - 1, place))];
    }
}

package org.logophon.render;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UCharacterCategory;
import com.ibm.icu.lang.UProperty;
import java.util.Arrays;

/**
 * What an engine is asked to say, with the way back to the written text. Every code point of {@code text} comes from one
 * place of the written text, so that a position in one is a position in the other. Left out or turned into a space:
 * control and format characters (bidi marks among them), emoji, and characters of markup that an engine would name.
 *
 * @param text    for the engine
 * @param written for each code point of {@code text}, the UTF-16 index in the written text
 */
public record SpokenText(String text, int[] written) {

    private static final String MARKUP = "*_~`|^<>[]{}\\#•·…";

    public static SpokenText of(String cue) {
        StringBuilder text = new StringBuilder(cue.length());
        int[] written = new int[cue.length()];
        int count = 0;
        for (int i = 0; i < cue.length(); ) {
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
        if (type == UCharacterCategory.CONTROL || UCharacter.isWhitespace(codePoint) || MARKUP.indexOf(codePoint) >= 0
                || isEmoji(codePoint, cue, at)) {
            return ' ';
        }
        boolean nothing = type == UCharacterCategory.FORMAT || type == UCharacterCategory.SURROGATE || type == UCharacterCategory.PRIVATE_USE
                || type == UCharacterCategory.UNASSIGNED || UCharacter.hasBinaryProperty(codePoint, UProperty.VARIATION_SELECTOR);
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

package org.logophon.core.text.script;

import com.ibm.icu.text.Normalizer2;
import java.util.Arrays;

/**
 * Words to speak, on one line and in NFC, with the way back to the source.
 *
 * @param text   single spaces between words
 * @param places for each character of the text its UTF-16 index in the source
 */
record MappedText(String text, int[] places) {

    /** U+0300, the first of the combining marks. */
    private static final char FIRST_MARK = 0x300;

    static final MappedText EMPTY = new MappedText("", new int[0]);

    /** A stretch of one line of the source; runs of white space become one space. */
    static MappedText of(String source, int start, int end) {
        MappedText plain = plain(source, start, end);
        return plain != null ? plain : normalized(source, start, end);
    }

    /**
     * A line as most are, with nothing to change: it is copied whole.
     *
     * @return null when it has more than plain words with single spaces
     */
    private static MappedText plain(String source, int start, int end) {
        boolean space = true;
        for (int i = start; i < end; i++) {
            char c = source.charAt(i);
            if (c < ' ' || c >= 0x7F || c == ' ' && space) {
                return null;
            }
            space = c == ' ';
        }
        if (space) {
            return null;
        }
        int[] places = new int[end - start];
        for (int i = 0; i < places.length; i++) {
            places[i] = start + i;
        }
        return new MappedText(source.substring(start, end), places);
    }

    private static MappedText normalized(String source, int start, int end) {
        Normalizer2 nfc = Normalizer2.getNFCInstance();
        StringBuilder text = new StringBuilder(end - start);
        int[] places = new int[Math.max(16, end - start + 2)];
        boolean space = false;
        for (int i = start; i < end; ) {
            char plain = source.charAt(i);
            if (plain > ' '
                    && plain < 0x7F
                    && (i + 1 == end || source.charAt(i + 1) < FIRST_MARK)
                    && text.length() + 1 < places.length) {
                // most of a script: a character that is its own NFC, with no mark to join it
                if (space) {
                    places[text.length()] = i;
                    text.append(' ');
                    space = false;
                }
                places[text.length()] = i++;
                text.append(plain);
                continue;
            }
            int next = i + Character.charCount(source.codePointAt(i));
            if (Character.isWhitespace(source.codePointAt(i)) || source.codePointAt(i) == '\uFEFF') {
                space = !text.isEmpty();
                i = next;
                continue;
            }
            while (next < end && !nfc.hasBoundaryBefore(source.codePointAt(next))) {
                next += Character.charCount(source.codePointAt(next));
            }
            String piece = nfc.normalize(source.substring(i, next));
            String added = space ? " " + piece : piece;
            if (text.length() + added.length() > places.length) {
                places = Arrays.copyOf(places, 2 * places.length + added.length());
            }
            Arrays.fill(places, text.length(), text.length() + added.length(), i);
            text.append(added);
            space = false;
            i = next;
        }
        return new MappedText(text.toString(), Arrays.copyOf(places, text.length()));
    }

    boolean isEmpty() {
        return text.isEmpty();
    }

    /** Both, with a space between. */
    MappedText then(MappedText next) {
        if (isEmpty() || next.isEmpty()) {
            return isEmpty() ? next : this;
        }
        int[] all = Arrays.copyOf(places, text.length() + 1 + next.text.length());
        all[text.length()] = next.places[0];
        System.arraycopy(next.places, 0, all, text.length() + 1, next.text.length());
        return new MappedText(text + " " + next.text, all);
    }

    /** A stretch of it without spaces at its ends. */
    MappedText cut(int from, int to) {
        int start = from;
        int end = to;
        while (start < end && text.charAt(start) == ' ') {
            start++;
        }
        while (end > start && text.charAt(end - 1) == ' ') {
            end--;
        }
        if (start == 0 && end == text.length()) {
            return this;
        }
        return new MappedText(text.substring(start, end), Arrays.copyOfRange(places, start, end));
    }

    /** The first character at or after a place of the source; the length when there is none. */
    int at(int place) {
        int low = 0;
        int high = places.length;
        while (low < high) {
            int middle = (low + high) / 2;
            if (places[middle] < place) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}

package org.logophon.app.platform.web;

/**
 * Text as the database can hold it: no null character (PostgreSQL, 8.3) and no half of a surrogate pair, which is no
 * text in UTF-8. U+FFFD stands for each, so that every place in the text stays where it is.
 */
public final class StorableText {

    private static final char REPLACEMENT = '\uFFFD';

    private StorableText() {}

    public static String of(String text) {
        StringBuilder changed = null;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.isHighSurrogate(c) && i + 1 < text.length() && Character.isLowSurrogate(text.charAt(i + 1))) {
                i++;
            } else if (c == '\0' || Character.isSurrogate(c)) {
                changed = changed == null ? new StringBuilder(text) : changed;
                changed.setCharAt(i, REPLACEMENT);
            }
        }
        return changed == null ? text : changed.toString();
    }
}

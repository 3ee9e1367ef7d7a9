package org.logophon.core.direction.ssml;

/** Text without the characters that XML can't hold, escaped or not (XML 1.0, 2.2). */
final class XmlText {

    private XmlText() {}

    /** With a space in the place of each of them, so that all positions stay. */
    static String of(String text) {
        StringBuilder out = new StringBuilder(text);
        for (int i = 0; i < out.length(); i++) {
            char c = out.charAt(i);
            boolean pair =
                    Character.isHighSurrogate(c) && i + 1 < out.length() && Character.isLowSurrogate(out.charAt(i + 1));
            if (pair) {
                i++;
            } else if (c < ' ' && c != '\n' && c != '\t'
                    || c == '\uFFFE'
                    || c == '\uFFFF'
                    || Character.isSurrogate(c)) {
                out.setCharAt(i, ' ');
            }
        }
        return out.toString();
    }
}

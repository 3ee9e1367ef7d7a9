package org.logophon.speech.hired;

import org.logophon.core.voice.render.SpokenText;

/**
 * A spoken text as the contract sends it: plain, or SSML 1.1 where words are given by IPA.
 *
 * @param body       text, or a {@code speak} element
 * @param ssml       which of them
 * @param characters what is charged: code points of the text, a phoneme element standing for its IPA
 * @param places     for each of those characters its code point in the spoken text
 */
record SentText(String body, boolean ssml, int characters, int[] places) {

    static SentText of(SpokenText spoken, String language) {
        int[] points = spoken.text().codePoints().toArray();
        boolean ssml = spoken.text().indexOf(SpokenText.IPA_START) >= 0;
        StringBuilder body = new StringBuilder();
        int[] places = new int[points.length];
        int characters = 0;
        for (int i = 0; i < points.length; i++) {
            if (points[i] == SpokenText.IPA_START) {
                body.append("<phoneme alphabet=\"ipa\" ph=\"");
            } else if (points[i] == SpokenText.IPA_END) {
                body.append("\"/>");
            } else {
                append(body, points[i], ssml);
                places[characters++] = i;
            }
        }
        String speak = ssml
                ? "<speak version=\"1.1\" xmlns=\"http://www.w3.org/2001/10/synthesis\" xml:lang=\"" + language + "\">"
                        + body + "</speak>"
                : body.toString();
        return new SentText(speak, ssml, characters, java.util.Arrays.copyOf(places, characters));
    }

    private static void append(StringBuilder body, int point, boolean ssml) {
        if (ssml && (point == '<' || point == '&' || point == '"' || point == '>')) {
            body.append("&#").append(point).append(';');
        } else {
            body.appendCodePoint(point);
        }
    }

    /** A place in what was sent, as a place in the spoken text. */
    int spoken(int sent) {
        return places.length == 0 ? 0 : places[Math.max(0, Math.min(places.length - 1, sent))];
    }
}

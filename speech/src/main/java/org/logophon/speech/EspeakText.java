package org.logophon.speech;

import java.util.stream.IntStream;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpokenText;

/**
 * A spoken text as espeak-ng takes it: IPA as mnemonics in double square brackets, which no script's own text can hold.
 *
 * @param places for each code point of {@code text} its place in the spoken text
 */
record EspeakText(String text, int[] places) {

    static EspeakText of(SpokenText spoken) {
        String source = spoken.text();
        if (source.indexOf(SpokenText.IPA_START) < 0) {
            return new EspeakText(source, null);
        }
        StringBuilder text = new StringBuilder();
        IntStream.Builder places = IntStream.builder();
        int codePoint = 0;
        for (int i = 0; i < source.length(); codePoint++) {
            if (source.charAt(i) == SpokenText.IPA_START) {
                int end = source.indexOf(SpokenText.IPA_END, i);
                String ipa = source.substring(i + 1, end);
                String said = "[["
                        + IpaMnemonics.of(ipa)
                                .orElseThrow(() -> new SpeechFailed("The reading /" + ipa
                                        + "/ has a sign that this voice can't say. Write it "
                                        + "with the sounds of English, or as words."))
                        + "]]";
                text.append(said);
                int place = codePoint;
                said.codePoints().forEach(c -> places.add(place));
                codePoint += ipa.codePointCount(0, ipa.length()) + 1;
                i = end + 1;
            } else {
                int c = source.codePointAt(i);
                text.appendCodePoint(c);
                places.add(codePoint);
                i += Character.charCount(c);
            }
        }
        return new EspeakText(text.toString(), places.build().toArray());
    }

    /** Where a code point of the engine's text is in the spoken text. */
    int spokenAt(int codePoint) {
        return places == null ? codePoint : places[Math.max(0, Math.min(places.length - 1, codePoint))];
    }
}

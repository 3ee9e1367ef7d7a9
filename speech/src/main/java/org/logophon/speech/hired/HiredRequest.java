package org.logophon.speech.hired;

import java.util.List;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.PiecewiseEngine;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.VoicePart;

/**
 * A request that a service charges for.
 *
 * @param key        the same words in the same voice and style have the same one, also after a crash: they are charged
 *     once
 * @param characters code points, as the contract counts them
 */
public record HiredRequest(String key, int characters, Voice voice) {

    /** The requests that the hired voices of a recipe come to. */
    public static List<HiredRequest> of(Recipe recipe) {
        return recipe.pieces().stream()
                .map(VoicePart::recipe)
                .filter(piece -> !piece.voice().terms().free())
                .flatMap(
                        piece -> PiecewiseEngine.requests(
                                new SpeechRequest(piece.voice(), piece.spokenText(), 1, 0, piece.style(), null))
                                .stream())
                .map(HiredRequest::of)
                .toList();
    }

    static HiredRequest of(SpeechRequest request) {
        String text = request.text().text();
        String said =
                request.voice().engineVoice() + '\0' + text + (request.style().isEmpty() ? "" : '\0' + request.style());
        return new HiredRequest(
                Sha256.hex(said),
                SentText.of(request.text(), request.voice().language()).characters(),
                request.voice());
    }
}

package org.logophon.speech.hired;

import java.util.List;
import org.logophon.digest.Sha256;
import org.logophon.render.PiecewiseEngine;
import org.logophon.render.Recipe;
import org.logophon.render.SpeechRequest;

/**
 * What a service is asked and charges for.
 *
 * @param key        the same words in the same voice and style have the same one, also after a crash: they are charged once
 * @param characters code points, as the contract counts them
 */
public record HiredRequest(String key, int characters) {

    /** The requests that a recipe of a hired voice comes to. */
    public static List<HiredRequest> of(Recipe recipe) {
        return PiecewiseEngine.requests(new SpeechRequest(recipe.voice(), recipe.spokenText(), 1, 0, recipe.style())).stream().map(HiredRequest::of).toList();
    }

    static HiredRequest of(SpeechRequest request) {
        String text = request.text().text();
        String said = request.voice().engineVoice() + '\0' + text + (request.style().isEmpty() ? "" : '\0' + request.style());
        return new HiredRequest(Sha256.hex(said), SentText.of(request.text(), request.voice().language()).characters());
    }
}

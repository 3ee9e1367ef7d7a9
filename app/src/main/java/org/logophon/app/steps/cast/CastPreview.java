package org.logophon.app.steps.cast;

import java.util.List;
import org.logophon.app.services.hired.Quote;

/**
 * The effect of casting a voice, before it is done.
 *
 * @param changed cues that have a take and would want another
 * @param cues    of the role
 * @param lacks   what the role asks for and the voice can't do, with what happens instead
 * @param quote   for rendering all of them
 */
record CastPreview(String role, String voice, int changed, int cues, List<String> lacks, Quote quote) {

    /** As a sentence. */
    String sentence() {
        String what = changed == 0
                ? "No take becomes outdated."
                : (changed == 1
                        ? "1 cue becomes changed; its take stays."
                        : changed + " cues become changed; their takes stay.");
        return voice + " speaks " + (cues == 1 ? "1 cue" : cues + " cues") + " of " + role + ". " + what;
    }

    /** Empty when it costs nothing. */
    String cost() {
        return quote.free()
                ? ""
                : "Rendering all of them costs " + quote.sentence() + " You are asked again before it is paid.";
    }
}

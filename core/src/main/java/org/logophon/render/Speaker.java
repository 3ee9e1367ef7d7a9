package org.logophon.render;

import org.logophon.direction.Effective;
import org.logophon.voice.Voice;

/**
 * Somebody who speaks.
 *
 * @param engineVersion name and version of the voice's engine
 * @param direction     how, when nothing stands on the words
 */
public record Speaker(Voice voice, String engineVersion, Effective direction) {

    /** @param tag BCP 47; only the language itself counts, not its region */
    boolean speaks(String tag) {
        return voice.language().split("-")[0].equalsIgnoreCase(tag.split("-")[0]);
    }
}

package org.logophon.core.voice.render;

import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.voice.Voice;

/**
 * A voice with its direction.
 *
 * @param engineVersion name and version of the voice's engine
 * @param direction     how, when nothing stands on the words
 */
public record Speaker(Voice voice, String engineVersion, ResolvedDirection direction) {

    /** @param tag BCP 47; only the language itself counts, not its region */
    boolean speaks(String tag) {
        return voice.language().split("-")[0].equalsIgnoreCase(tag.split("-")[0]);
    }
}

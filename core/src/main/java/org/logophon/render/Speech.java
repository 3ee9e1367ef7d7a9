package org.logophon.render;

import java.util.List;
import org.logophon.sound.Sound;

/**
 * A rendered recipe, before finishing.
 *
 * @param sound   at the engine's rate, untrimmed
 * @param words   every written word with its time
 * @param reached what was measured against what was asked
 */
public record Speech(Sound sound, List<WordTime> words, Reached reached) {
}

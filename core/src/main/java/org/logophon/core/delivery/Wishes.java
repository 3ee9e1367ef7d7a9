package org.logophon.core.delivery;

import java.util.Set;
import org.logophon.core.coding.SoundFormat;
import org.logophon.core.input.InvalidInput;

/**
 * How the parts of a delivery are wished for.
 *
 * @param format   of sound files
 * @param captions kinds of caption files: {@code srt}, {@code vtt}, {@code ttml}, {@code words}
 * @param minutes  that a part of the programme lasts at most
 */
public record Wishes(SoundFormat format, Set<String> captions, int minutes) {

    private static final int LONGEST_MINUTES = 600;

    public static final Wishes USUAL = new Wishes(SoundFormat.USUAL, Set.of("srt", "vtt"), 10);

    public Wishes {
        captions = Set.copyOf(captions);
        if (minutes < 1 || minutes > LONGEST_MINUTES) {
            throw new InvalidInput("A part lasts from 1 to " + LONGEST_MINUTES + " minutes, not " + minutes + ".");
        }
    }
}

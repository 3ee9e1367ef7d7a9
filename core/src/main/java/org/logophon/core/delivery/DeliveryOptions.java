package org.logophon.core.delivery;

import java.util.Set;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.coding.SoundFormat;

/**
 * How the parts of a delivery are wished for.
 *
 * @param format   of sound files
 * @param captions kinds of caption files: {@code srt}, {@code vtt}, {@code ttml}, {@code words}
 * @param minutes  that a part of the programme lasts at most
 * @param bedFile  true when sounds and beds go along as a file of their own, which timelines then show
 * @param inClips  true when they are heard in the clips as well
 */
public record DeliveryOptions(SoundFormat format, Set<String> captions, int minutes, boolean bedFile, boolean inClips) {

    public static final int LONGEST_MINUTES = 600;

    public static final DeliveryOptions USUAL = new DeliveryOptions(SoundFormat.USUAL, Set.of("srt", "vtt"), 10);

    /** Clips of the voice alone, and no file of beds. */
    public DeliveryOptions(SoundFormat format, Set<String> captions, int minutes) {
        this(format, captions, minutes, false, false);
    }

    public DeliveryOptions {
        captions = Set.copyOf(captions);
        if (minutes < 1 || minutes > LONGEST_MINUTES) {
            throw new InvalidInput("A part lasts from 1 to " + LONGEST_MINUTES + " minutes, not " + minutes + ".");
        }
    }
}

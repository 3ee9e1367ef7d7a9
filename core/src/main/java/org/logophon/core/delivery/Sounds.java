package org.logophon.core.delivery;

import java.time.LocalDateTime;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.programme.SampleCount;

/** The sound of a delivery's clips, and what codes it. */
public interface Sounds {

    /** A finished clip at 48 kHz; it may be asked for as often as wanted. */
    SoundSource clip(DeliveredClip clip);

    /** When its take was made: the same take gives the same file. */
    LocalDateTime made(DeliveredClip clip);

    /** What goes before the programme where it is one sound, as a spoken title; null for nothing. */
    SoundSource before();

    /**
     * Sounds and beds under the programme, at 48 kHz from its start, as they are without regard to peaks; null where
     * there are none.
     */
    SoundSource layer();

    Coder coder();

    Resampler resampler();

    /** How much silence parts what goes before from the programme. */
    SampleCount BEFORE_GAP = SampleCount.ofMillis(1_200);
}

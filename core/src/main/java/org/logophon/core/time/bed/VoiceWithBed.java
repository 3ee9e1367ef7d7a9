package org.logophon.core.time.bed;

import java.util.Arrays;
import org.logophon.core.signal.loudness.PeakRoom;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.voice.finish.FinishSettings;

/**
 * Voice and layer from the same place on: together, or the layer alone as it is beside that voice. The voice stays as
 * it is; where both would pass the ceiling of true peaks, the layer gives way.
 */
public final class VoiceWithBed implements SoundSource {

    private static final double CEILING = Decibels.toFactor(FinishSettings.CEILING_DBTP);

    private final SoundSource voice;
    private final SoundSource layer;
    private final boolean together;
    private final long length;

    private VoiceWithBed(SoundSource voice, SoundSource layer, boolean together, long length) {
        this.voice = voice;
        this.layer = layer;
        this.together = together;
        this.length = length;
    }

    /** As long as the longer one. */
    public static SoundSource mix(SoundSource voice, SoundSource layer) {
        return new VoiceWithBed(voice, layer, true, Math.max(voice.length(), layer.length()));
    }

    /** The layer, for whoever lays the voice over it. */
    public static SoundSource alone(SoundSource voice, SoundSource layer) {
        return new VoiceWithBed(voice, layer, false, layer.length());
    }

    @Override
    public int rate() {
        return layer.rate();
    }

    @Override
    public long length() {
        return length;
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        PeakRoom room = new PeakRoom(rate(), CEILING);
        for (long start = from; start < to; start += BLOCK) {
            long end = Math.min(to, start + BLOCK);
            long first = Math.max(0, start - room.margin());
            long last = Math.min(length, end + room.margin());
            float[] said = window(voice, first, last);
            float[] under = room.beside(said, window(layer, first, last));
            int skip = (int) (start - first);
            float[] block = Arrays.copyOfRange(under, skip, skip + (int) (end - start));
            if (together) {
                for (int i = 0; i < block.length; i++) {
                    block[i] += said[skip + i];
                }
            }
            reader.block(block, block.length);
        }
    }

    /** Beyond its end a sound is silent. */
    private static float[] window(SoundSource sound, long from, long to) {
        float[] samples = sound.stretch(from, to).samples();
        return samples.length == to - from ? samples : Arrays.copyOf(samples, (int) (to - from));
    }
}

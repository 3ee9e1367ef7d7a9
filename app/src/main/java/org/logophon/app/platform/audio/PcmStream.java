package org.logophon.app.platform.audio;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import org.logophon.core.signal.sound.SoundSource;

/** A sound's samples as a stream of little-endian PCM, made a piece at a time. */
final class PcmStream extends InputStream {

    private final SoundSource sound;
    private final int each;
    private long next;
    private ByteArrayInputStream piece = new ByteArrayInputStream(new byte[0]);

    /** @param bits 16 or 24 */
    PcmStream(SoundSource sound, int bits) {
        this.sound = sound;
        this.each = bits / 8;
    }

    private boolean more() {
        if (piece.available() == 0 && next < sound.length()) {
            long end = Math.min(sound.length(), next + SoundSource.BLOCK);
            piece = new ByteArrayInputStream(pcm(sound.stretch(next, end).samples()));
            next = end;
        }
        return piece.available() > 0;
    }

    private byte[] pcm(float[] samples) {
        double scale = 1L << 8 * each - 1;
        byte[] bytes = new byte[each * samples.length];
        for (int i = 0; i < samples.length; i++) {
            long value = Math.max((long) -scale, Math.min((long) scale - 1, Math.round(samples[i] * scale)));
            for (int b = 0; b < each; b++) {
                bytes[each * i + b] = (byte) (value >> 8 * b);
            }
        }
        return bytes;
    }

    @Override
    public int read() {
        return more() ? piece.read() : -1;
    }

    @Override
    public int read(byte[] into, int offset, int length) {
        return more() ? piece.read(into, offset, length) : -1;
    }
}

package org.logophon.core.signal.wav;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** How a sample is stored in a WAV file, little-endian: integer PCM, or floating point. */
public enum SampleFormat {
    /** With TPDF dither of ±1 step. */
    PCM_16(2) {
        @Override
        public byte[] encode(float[] samples, int count, long index) {
            byte[] out = new byte[count * 2];
            for (int i = 0, o = 0; i < count; i++) {
                float dither = samples[i] == 0 ? 0 : noise(index + i);
                int value = Math.round(Math.max(-32768f, Math.min(32767f, samples[i] * 32767f + dither)));
                out[o++] = (byte) value;
                out[o++] = (byte) (value >> 8);
            }
            return out;
        }
    },
    /** Without dither: an engine's own noise is far above the last step. */
    PCM_24(3) {
        @Override
        public byte[] encode(float[] samples, int count, long index) {
            // four samples fill three words: a third of the stores that single bytes would take
            byte[] out = new byte[count * 3];
            int whole = count & ~3;
            for (int i = 0, o = 0; i < whole; i += 4, o += 12) {
                int a = step24(samples[i]);
                int b = step24(samples[i + 1]);
                int c = step24(samples[i + 2]);
                int d = step24(samples[i + 3]);
                WORDS.set(out, o, a & 0xffffff | b << 24);
                WORDS.set(out, o + 4, b >> 8 & 0xffff | c << 16);
                WORDS.set(out, o + 8, c >> 16 & 0xff | d << 8);
            }
            for (int i = whole, o = whole * 3; i < count; i++) {
                int value = step24(samples[i]);
                out[o++] = (byte) value;
                out[o++] = (byte) (value >> 8);
                out[o++] = (byte) (value >> 16);
            }
            return out;
        }
    },
    /** As it is, also over full scale (IEEE 754). */
    FLOAT_32(4) {
        @Override
        public byte[] encode(float[] samples, int count, long index) {
            byte[] out = new byte[count * 4];
            ByteBuffer.wrap(out).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer().put(samples, 0, count);
            return out;
        }
    };

    /** Format tags of WAVE. */
    private static final short PCM = 1;

    private static final short IEEE_FLOAT = 3;

    private static final VarHandle WORDS = MethodHandles.byteArrayViewVarHandle(int[].class, ByteOrder.LITTLE_ENDIAN);

    private final int bytes;

    SampleFormat(int bytes) {
        this.bytes = bytes;
    }

    public int bytes() {
        return bytes;
    }

    /** @param bits 16, 24 or 32 */
    public static SampleFormat of(int bits) {
        return bits == 16 ? PCM_16 : bits == 24 ? PCM_24 : FLOAT_32;
    }

    short tag() {
        return this == FLOAT_32 ? IEEE_FLOAT : PCM;
    }

    /**
     * @param samples −1…1; what is over full scale is cut off there
     * @param count   of samples to encode
     * @param index   of the first one in its sound: dither belongs to a place, so that a part reads as it does in the
     *                whole
     */
    public abstract byte[] encode(float[] samples, int count, long index);

    private static int step24(float sample) {
        float scaled = sample * 8388607f;
        int step = (int) (scaled + (scaled < 0 ? -0.5f : 0.5f));
        return step > 8388607 ? 8388607 : step < -8388607 ? -8388607 : step;
    }

    /** Between −1 and 1 with a triangular distribution, the same for the same place. */
    private static float noise(long index) {
        // the finishing steps of SplitMix64 (Steele, Lea, Flood, OOPSLA 2014) make two independent halves of a counter
        long z = (index + 1) * 0x9E3779B97F4A7C15L;
        z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
        z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
        z ^= z >>> 31;
        return ((z >>> 40) - (z & 0xffffff)) / (float) (1 << 24);
    }
}

package org.logophon.core.wav;

import java.io.IOException;
import java.io.OutputStream;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.logophon.core.sound.Sound;

/**
 * Writes mono WAV: RIFF with {@code bext} (when given), {@code fmt } and {@code data}. 16-bit samples get TPDF dither
 * of ±1 step; at 24 bit the engine's own noise is far above the last step.
 */
public final class WavWriter {

    private static final int FORMAT_SIZE = 16;
    private static final VarHandle WORDS = MethodHandles.byteArrayViewVarHandle(int[].class, ByteOrder.LITTLE_ENDIAN);

    private WavWriter() {}

    public static void write(Sound sound, SampleFormat format, BroadcastExtension bext, OutputStream out)
            throws IOException {
        byte[] data = samples(sound, format);
        int pad = data.length & 1;
        int bextSize = bext == null ? 0 : 8 + BroadcastExtension.SIZE;
        ByteBuffer head =
                ByteBuffer.allocate(12 + bextSize + 8 + FORMAT_SIZE + 8).order(ByteOrder.LITTLE_ENDIAN);
        tag(head, "RIFF").putInt(head.capacity() - 8 + data.length + pad);
        tag(head, "WAVE");
        if (bext != null) {
            tag(head, "bext").putInt(BroadcastExtension.SIZE).put(bext.bytes());
        }
        tag(head, "fmt ")
                .putInt(FORMAT_SIZE)
                .putShort((short) 1)
                .putShort((short) 1)
                .putInt(sound.rate())
                .putInt(sound.rate() * format.bytes())
                .putShort((short) format.bytes())
                .putShort((short) (8 * format.bytes()));
        tag(head, "data").putInt(data.length);
        out.write(head.array());
        out.write(data);
        if (pad == 1) {
            out.write(0);
        }
    }

    private static ByteBuffer tag(ByteBuffer buffer, String name) {
        return buffer.put(name.getBytes(StandardCharsets.US_ASCII));
    }

    private static byte[] samples(Sound sound, SampleFormat format) {
        return format == SampleFormat.PCM_16 ? dithered16(sound.samples()) : plain24(sound.samples());
    }

    /** Four samples fill three words: a third of the stores that single bytes would take. */
    private static byte[] plain24(float[] samples) {
        byte[] out = new byte[samples.length * 3];
        int whole = samples.length & ~3;
        for (int i = 0, o = 0; i < whole; i += 4, o += 12) {
            int a = step24(samples[i]);
            int b = step24(samples[i + 1]);
            int c = step24(samples[i + 2]);
            int d = step24(samples[i + 3]);
            WORDS.set(out, o, a & 0xffffff | b << 24);
            WORDS.set(out, o + 4, b >> 8 & 0xffff | c << 16);
            WORDS.set(out, o + 8, c >> 16 & 0xff | d << 8);
        }
        for (int i = whole, o = whole * 3; i < samples.length; i++) {
            int value = step24(samples[i]);
            out[o++] = (byte) value;
            out[o++] = (byte) (value >> 8);
            out[o++] = (byte) (value >> 16);
        }
        return out;
    }

    private static int step24(float sample) {
        float scaled = sample * 8388607f;
        int step = (int) (scaled + (scaled < 0 ? -0.5f : 0.5f));
        return step > 8388607 ? 8388607 : step < -8388607 ? -8388607 : step;
    }

    /** The same sound gives the same bytes: the dither's seed is fixed. */
    private static byte[] dithered16(float[] samples) {
        byte[] out = new byte[samples.length * 2];
        Random noise = new Random(1);
        for (int i = 0, o = 0; i < samples.length; i++) {
            float dither = samples[i] == 0 ? 0 : noise.nextFloat() - noise.nextFloat();
            int value = Math.round(Math.max(-32768f, Math.min(32767f, samples[i] * 32767f + dither)));
            out[o++] = (byte) value;
            out[o++] = (byte) (value >> 8);
        }
        return out;
    }
}

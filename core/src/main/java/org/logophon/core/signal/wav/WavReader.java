package org.logophon.core.signal.wav;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.sound.Sound;

/**
 * Reads a WAV file (RIFF, IBM and Microsoft, <i>Multimedia Programming Interface and Data Specifications 1.0</i>, 1991)
 * that another program made: integer PCM of 8 to 32 bits or 32-bit float, any number of channels, which are mixed to
 * one. A program that writes to a pipe can't know its length at the start; whatever length it says, what is there is
 * read.
 */
public final class WavReader {

    private static final int RIFF = 0x46464952;
    private static final int WAVE = 0x45564157;
    private static final int FORMAT = 0x20746d66;
    private static final int DATA = 0x61746164;
    private static final int PCM = 1;
    private static final int FLOAT = 3;
    /** Says its coding in the first two bytes of an identifier after the usual fields. */
    private static final int EXTENSIBLE = 0xfffe;

    private WavReader() {}

    /** @throws InvalidInput with a sentence when the bytes are no such file */
    public static Sound read(byte[] bytes) {
        ByteBuffer file = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        if (bytes.length < 12 || file.getInt(0) != RIFF || file.getInt(8) != WAVE) {
            throw new InvalidInput("It is no WAV file.");
        }
        Layout layout = null;
        for (int at = 12; at + 8 <= bytes.length; ) {
            int id = file.getInt(at);
            long told = Integer.toUnsignedLong(file.getInt(at + 4));
            int there = (int) Math.min(told, bytes.length - at - 8);
            if (id == FORMAT && there >= 16) {
                layout = Layout.read(file, at + 8, there);
            } else if (id == DATA) {
                if (layout == null) {
                    break;
                }
                // nothing at all, or more than there is: the program didn't know when it wrote the head
                return layout.sound(file, at + 8, told == 0 ? bytes.length - at - 8 : there);
            }
            at += 8 + there + (there & 1);
        }
        throw new InvalidInput("The WAV file holds no sound.");
    }

    private record Layout(int coding, int channels, int rate, int bits) {

        static Layout read(ByteBuffer file, int at, int length) {
            int coding = file.getShort(at) & 0xffff;
            if (coding == EXTENSIBLE && length >= 26) {
                coding = file.getShort(at + 24) & 0xffff;
            }
            Layout layout =
                    new Layout(coding, file.getShort(at + 2) & 0xffff, file.getInt(at + 4), file.getShort(at + 14));
            boolean known = coding == PCM && layout.bits % 8 == 0 && layout.bits >= 8 && layout.bits <= 32
                    || coding == FLOAT && layout.bits == 32;
            if (!known || layout.channels == 0) {
                throw new InvalidInput(
                        ("The WAV file is in coding %d with %d bits; integers of 8 to 32 bits and floats of "
                                        + "32 can be read.")
                                .formatted(coding, layout.bits));
            }
            if (layout.rate < 4_000 || layout.rate > 192_000) {
                throw new InvalidInput(
                        "The WAV file has %d samples a second; 4,000 to 192,000 can be read.".formatted(layout.rate));
            }
            return layout;
        }

        Sound sound(ByteBuffer file, int from, int length) {
            int width = bits / 8;
            float[] samples = new float[length / (width * channels)];
            for (int i = 0; i < samples.length; i++) {
                float sum = 0;
                for (int c = 0; c < channels; c++) {
                    sum += sample(file, from + (i * channels + c) * width);
                }
                samples[i] = sum / channels;
            }
            return new Sound(samples, rate);
        }

        private float sample(ByteBuffer file, int at) {
            if (coding == FLOAT) {
                float value = file.getFloat(at);
                if (!Float.isFinite(value)) {
                    throw new InvalidInput("The WAV file has samples that are no numbers.");
                }
                return Math.max(-1, Math.min(1, value));
            }
            return switch (bits) {
                // eight bits alone are counted from the bottom
                case 8 -> ((file.get(at) & 0xff) - 128) / 128f;
                case 16 -> file.getShort(at) / 32_768f;
                case 24 ->
                    ((file.get(at) & 0xff) << 8 | (file.get(at + 1) & 0xff) << 16 | file.get(at + 2) << 24)
                            / 2_147_483_648f;
                default -> file.getInt(at) / 2_147_483_648f;
            };
        }
    }
}

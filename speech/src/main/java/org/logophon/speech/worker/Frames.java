package org.logophon.speech.worker;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * What goes over the pipes between server and worker. A request is an operation byte and its fields; an answer is the
 * mark {@link #ANSWER}, a status byte, and fields or a sentence. Arrays are a length and big-endian values. Every
 * reader states the longest array that it takes, so that neither side can make the other run out of memory.
 */
public final class Frames {

    /** Before every answer: stray output of a native library can't be taken for one. */
    public static final int ANSWER = 0x4c6f676f;
    public static final int OK = 0;
    public static final int REFUSED = 1;
    public static final int HELLO = 0;
    public static final int SPEAK = 1;
    public static final int RESAMPLE = 2;
    /** Half an hour at 22,050 samples a second: more than any cue can be. */
    public static final int MOST_SAMPLES = 22_050 * 60 * 30;
    public static final int MOST_FIELDS = 4_000_000;

    private Frames() {
    }

    public static void writeText(DataOutputStream out, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        out.writeInt(bytes.length);
        out.write(bytes);
    }

    public static String readText(DataInputStream in) throws IOException {
        return new String(readBytes(in, 1 << 20, 1), StandardCharsets.UTF_8);
    }

    public static void writeShorts(DataOutputStream out, short[] values) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(values.length * 2);
        bytes.asShortBuffer().put(values);
        writeBytes(out, values.length, bytes);
    }

    public static short[] readShorts(DataInputStream in, int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(readBytes(in, most, 2));
        short[] values = new short[bytes.remaining() / 2];
        bytes.asShortBuffer().get(values);
        return values;
    }

    public static void writeInts(DataOutputStream out, int[] values) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(values.length * 4);
        bytes.asIntBuffer().put(values);
        writeBytes(out, values.length, bytes);
    }

    public static int[] readInts(DataInputStream in, int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(readBytes(in, most, 4));
        int[] values = new int[bytes.remaining() / 4];
        bytes.asIntBuffer().get(values);
        return values;
    }

    public static void writeFloats(DataOutputStream out, float[] values) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(values.length * 4);
        bytes.asFloatBuffer().put(values);
        writeBytes(out, values.length, bytes);
    }

    public static float[] readFloats(DataInputStream in, int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(readBytes(in, most, 4));
        float[] values = new float[bytes.remaining() / 4];
        bytes.asFloatBuffer().get(values);
        return values;
    }

    private static void writeBytes(DataOutputStream out, int length, ByteBuffer bytes) throws IOException {
        out.writeInt(length);
        out.write(bytes.array());
    }

    private static byte[] readBytes(DataInputStream in, int most, int width) throws IOException {
        int length = in.readInt();
        if (length < 0 || length > most) {
            throw new IOException("A frame announced " + length + " values; at most " + most + " are taken.");
        }
        byte[] bytes = new byte[length * width];
        in.readFully(bytes);
        return bytes;
    }
}

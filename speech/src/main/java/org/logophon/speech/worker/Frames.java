package org.logophon.speech.worker;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/**
 * The messages over the pipes between server and worker. A request is an operation byte and its fields; an answer is
 * the mark {@link #ANSWER}, a status byte, and fields or a sentence. Arrays are a length and values in the machine's
 * byte order. Every reader states the longest array that it takes, so that neither side can make the other run out of
 * memory.
 */
public final class Frames {

    /** Before every answer: stray output of a native library can't be taken for one. */
    public static final int ANSWER = 0x4c6f676f;

    public static final int OK = 0;
    public static final int REFUSED = 1;
    public static final int HELLO = 0;
    public static final int SPEAK = 1;
    public static final int RESAMPLE = 2;
    public static final int SPEAK_FLITE = 3;
    public static final int SPEAK_FESTIVAL = 4;
    public static final int SOUNDS = 5;
    /** Half an hour at 22,050 samples a second: more than any cue can be. */
    public static final int MOST_SAMPLES = 22_050 * 60 * 30;
    /**
     * Java's file streams take a native buffer as long as what is asked for, at every call: long arrays go in pieces.
     */
    private static final int CHUNK_BYTES = 1 << 16;

    public static final int MOST_FIELDS = 4_000_000;

    private Frames() {}

    public static void writeText(DataOutputStream out, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        out.writeInt(bytes.length);
        out.write(bytes);
    }

    public static String readText(DataInputStream in) throws IOException {
        return new String(readBytes(in, 1 << 20, 1), StandardCharsets.UTF_8);
    }

    public static void writeShorts(DataOutputStream out, short[] values) throws IOException {
        ByteBuffer bytes = buffer(new byte[values.length * 2]);
        bytes.asShortBuffer().put(values);
        writeBytes(out, values.length, bytes.array());
    }

    public static short[] readShorts(DataInputStream in, int most) throws IOException {
        ByteBuffer bytes = buffer(readBytes(in, most, 2));
        short[] values = new short[bytes.remaining() / 2];
        bytes.asShortBuffer().get(values);
        return values;
    }

    public static void writeInts(DataOutputStream out, int[] values) throws IOException {
        ByteBuffer bytes = buffer(new byte[values.length * 4]);
        bytes.asIntBuffer().put(values);
        writeBytes(out, values.length, bytes.array());
    }

    public static int[] readInts(DataInputStream in, int most) throws IOException {
        ByteBuffer bytes = buffer(readBytes(in, most, 4));
        int[] values = new int[bytes.remaining() / 4];
        bytes.asIntBuffer().get(values);
        return values;
    }

    public static void writeFloats(DataOutputStream out, float[] values) throws IOException {
        ByteBuffer bytes = buffer(new byte[values.length * 4]);
        bytes.asFloatBuffer().put(values);
        writeBytes(out, values.length, bytes.array());
    }

    public static float[] readFloats(DataInputStream in, int most) throws IOException {
        ByteBuffer bytes = buffer(readBytes(in, most, 4));
        float[] values = new float[bytes.remaining() / 4];
        bytes.asFloatBuffer().get(values);
        return values;
    }

    /** Both ends run on one machine: its own byte order needs no turning round. */
    private static ByteBuffer buffer(byte[] bytes) {
        return ByteBuffer.wrap(bytes).order(ByteOrder.nativeOrder());
    }

    static void writeBytes(DataOutputStream out, int length, byte[] bytes) throws IOException {
        out.writeInt(length);
        for (int at = 0; at < bytes.length; at += CHUNK_BYTES) {
            out.write(bytes, at, Math.min(CHUNK_BYTES, bytes.length - at));
        }
    }

    static byte[] readBytes(DataInputStream in, int most, int width) throws IOException {
        int length = in.readInt();
        if (length < 0 || length > most) {
            throw new IOException("A frame announced " + length + " values; at most " + most + " are taken.");
        }
        byte[] bytes = new byte[length * width];
        for (int at = 0; at < bytes.length; at += CHUNK_BYTES) {
            in.readFully(bytes, at, Math.min(CHUNK_BYTES, bytes.length - at));
        }
        return bytes;
    }
}

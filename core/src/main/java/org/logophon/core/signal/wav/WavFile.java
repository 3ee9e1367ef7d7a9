package org.logophon.core.signal.wav;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.logophon.core.signal.sound.SoundSource;

/**
 * A mono WAV file that is made as it is read, from any byte on: RIFF with {@code bext} and {@code axml} (when given),
 * {@code fmt } and {@code data}; over 4 GB it is RF64 (EBU Tech 3306). The same sound gives the same bytes, whichever
 * part of them is asked for.
 */
public final class WavFile {

    private static final int FORMAT_SIZE = 16;
    /** Of the chunk that counts in 64 bits. */
    private static final int SIZES_SIZE = 28;
    /** RIFF counts its bytes in 32 bits. */
    private static final long MOST_BYTES = 0xffff_ffffL;

    /** Where the time reference lies in a file of less than 4 GB that {@link #write} wrote whole with an extension. */
    public static final long TIME_REFERENCE_AT = 12 + 8 + BroadcastExtension.TIME_REFERENCE_AT;

    public static final int TIME_REFERENCE_BYTES = 8;

    private final SoundSource sound;
    private final SampleFormat format;
    private final byte[] head;
    private final long dataBytes;

    /** @param extension null for none */
    public WavFile(SoundSource sound, SampleFormat format, BroadcastExtension extension) {
        this(sound, format, extension, "");
    }

    /**
     * @param extension null for none
     * @param xml       document that it carries; empty for none
     */
    public WavFile(SoundSource sound, SampleFormat format, BroadcastExtension extension, String xml) {
        this.sound = sound;
        this.format = format;
        this.dataBytes = sound.length() * format.bytes();
        this.head = head(sound.rate(), extension, xml.getBytes(StandardCharsets.UTF_8));
    }

    private byte[] head(int rate, BroadcastExtension extension, byte[] xml) {
        int extensionSize = extension == null ? 0 : 8 + BroadcastExtension.SIZE;
        int xmlSize = xml.length == 0 ? 0 : 8 + xml.length + (xml.length & 1);
        int size = 12 + extensionSize + xmlSize + 8 + FORMAT_SIZE + 8;
        boolean large = dataBytes + size > MOST_BYTES - 1;
        size += large ? 8 + SIZES_SIZE : 0;
        long all = size - 8 + dataBytes + pad();
        ByteBuffer bytes = ByteBuffer.allocate(size).order(ByteOrder.LITTLE_ENDIAN);
        tag(bytes, large ? "RF64" : "RIFF").putInt(large ? -1 : (int) all);
        tag(bytes, "WAVE");
        if (large) {
            tag(bytes, "ds64")
                    .putInt(SIZES_SIZE)
                    .putLong(all)
                    .putLong(dataBytes)
                    .putLong(sound.length())
                    .putInt(0);
        }
        if (extension != null) {
            tag(bytes, "bext").putInt(BroadcastExtension.SIZE).put(extension.bytes());
        }
        if (xmlSize > 0) {
            tag(bytes, "axml").putInt(xml.length).put(xml);
            if ((xml.length & 1) == 1) {
                bytes.put((byte) 0);
            }
        }
        tag(bytes, "fmt ")
                .putInt(FORMAT_SIZE)
                .putShort(format.tag())
                .putShort((short) 1)
                .putInt(rate)
                .putInt(rate * format.bytes())
                .putShort((short) format.bytes())
                .putShort((short) (8 * format.bytes()));
        tag(bytes, "data").putInt(large ? -1 : (int) dataBytes);
        return bytes.array();
    }

    private static ByteBuffer tag(ByteBuffer buffer, String name) {
        return buffer.put(name.getBytes(StandardCharsets.US_ASCII));
    }

    /**
     * Says in a clip that is on disk where it starts: a clip's place follows from the lengths of those before it.
     *
     * @param samples since midnight
     */
    public static void setTimeReference(Path clip, long samples) throws IOException {
        try (FileChannel file = FileChannel.open(clip, StandardOpenOption.WRITE)) {
            ByteBuffer reference = ByteBuffer.allocate(8)
                    .order(ByteOrder.LITTLE_ENDIAN)
                    .putLong(samples)
                    .flip();
            file.write(reference, TIME_REFERENCE_AT);
        }
    }

    /** A chunk has an even number of bytes. */
    private int pad() {
        return (int) (dataBytes & 1);
    }

    public long size() {
        return head.length + dataBytes + pad();
    }

    /** Writes the bytes from one place of the file to another, exclusive; the stream stays open. */
    public void write(long from, long to, OutputStream out) throws IOException {
        if (from < head.length) {
            out.write(head, (int) from, (int) (Math.min(to, head.length) - from));
        }
        long first = Math.max(from, head.length) - head.length;
        long last = Math.min(to - head.length, dataBytes);
        if (last > first) {
            data(first, last, out);
        }
        if (pad() == 1 && to == size() && from < to) {
            out.write(0);
        }
    }

    private void data(long first, long last, OutputStream out) throws IOException {
        int width = format.bytes();
        long[] at = {first / width};
        try {
            sound.read(at[0], (last + width - 1) / width, (samples, count) -> {
                byte[] bytes = format.encode(samples, count, at[0]);
                int skip = (int) Math.max(0, first - at[0] * width);
                int end = (int) Math.min(bytes.length, last - at[0] * width);
                at[0] += count;
                try {
                    out.write(bytes, skip, end - skip);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
    }
}

package org.logophon.core.signal.wav;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/** The {@code axml} chunk of a WAV file (EBU Tech 3285, Supplement 5): an XML document beside the sound. */
public final class Axml {

    /** More than any cue's words with a mark on each of them. */
    private static final int MOST_BYTES = 4 << 20;

    private static final int MOST_CHUNKS = 1_000;

    private Axml() {}

    /** @return empty when it is no WAV file, or has no such chunk */
    public static Optional<String> read(Path file) throws IOException {
        try (FileChannel in = FileChannel.open(file, StandardOpenOption.READ)) {
            ByteBuffer head = bytes(in, 0, 12);
            if (head == null || !wave(text(head, 0), text(head, 8))) {
                return Optional.empty();
            }
            long at = 12;
            for (int i = 0; i < MOST_CHUNKS; i++) {
                ByteBuffer chunk = bytes(in, at, 8);
                if (chunk == null) {
                    return Optional.empty();
                }
                long size = chunk.getInt(4) & 0xffff_ffffL;
                if (text(chunk, 0).equals("axml")) {
                    ByteBuffer content = size > MOST_BYTES ? null : bytes(in, at + 8, (int) size);
                    return Optional.ofNullable(content).map(found -> new String(found.array(), StandardCharsets.UTF_8));
                }
                at += 8 + size + (size & 1);
            }
            return Optional.empty();
        }
    }

    private static boolean wave(String kind, String form) {
        return (kind.equals("RIFF") || kind.equals("RF64")) && form.equals("WAVE");
    }

    private static String text(ByteBuffer bytes, int at) {
        return new String(bytes.array(), at, 4, StandardCharsets.ISO_8859_1);
    }

    /** @return null when the file ends before */
    private static ByteBuffer bytes(FileChannel in, long at, int count) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(count).order(ByteOrder.LITTLE_ENDIAN);
        while (bytes.hasRemaining()) {
            if (in.read(bytes, at + bytes.position()) < 0) {
                return null;
            }
        }
        return bytes.flip();
    }
}

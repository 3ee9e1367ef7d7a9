package org.logophon.core.delivery;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.OutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.signal.wav.WavFile;
import org.logophon.core.time.programme.Programme.PlacedClip;

/** Writes a file of a delivery, and tells what was written. */
public final class FileWriting {

    /** Enough to tell one text from another. */
    private static final int SAID_DIGITS = 32;

    private FileWriting() {}

    /** @param out stays open. @return what the manifest says of it, compared with nothing yet */
    public static Manifest.Entry write(PartFile file, Delivered delivered, OutputStream out) throws IOException {
        boolean clip = !file.cue().isEmpty();
        Digests digests = new Digests(out, clip && file.path().endsWith(".wav"));
        file.content().write(digests);
        digests.flush();
        Optional<PlacedClip<DeliveredClip>> placed = delivered.programme().clips().stream()
                .filter(one -> clip && one.cue().number().equals(file.cue()))
                .findFirst();
        String sha256 = hex(digests.all);
        return new Manifest.Entry(
                file.path(),
                digests.bytes,
                sha256,
                file.cue(),
                "new",
                "",
                placed.map(one -> Sha256.hex(one.cue().text()).substring(0, SAID_DIGITS))
                        .orElse(""),
                placed.map(one -> one.cue().voice()).orElse(""),
                digests.placed ? hex(digests.content) : sha256,
                placed.map(one -> one.start().samples()).orElse(-1L));
    }

    private static String hex(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }

    private static MessageDigest digest(String algorithm) {
        try {
            return MessageDigest.getInstance(algorithm);
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException("Every Java has " + algorithm + ".", never);
        }
    }

    /** Of all bytes, and of all but a clip's place in time. */
    private static final class Digests extends FilterOutputStream {

        private final MessageDigest all = digest("SHA-256");
        /**
         * It tells one's own clip from what it was before, and guards nothing: three times as fast, over hours of
         * sound.
         */
        private final MessageDigest content = digest("MD5");

        private final boolean placed;
        private long bytes;

        Digests(OutputStream out, boolean placed) {
            super(out);
            this.placed = placed;
        }

        @Override
        public void write(int one) throws IOException {
            write(new byte[] {(byte) one}, 0, 1);
        }

        @Override
        public void write(byte[] some, int from, int count) throws IOException {
            if (Thread.currentThread().isInterrupted()) {
                throw new InterruptedIOException("The writing of a delivery was stopped.");
            }
            out.write(some, from, count);
            all.update(some, from, count);
            if (!placed) {
                bytes += count;
                return;
            }
            long first = WavFile.TIME_REFERENCE_AT;
            long after = first + WavFile.TIME_REFERENCE_BYTES;
            if (bytes >= after || bytes + count <= first) {
                content.update(some, from, count);
            } else {
                for (int i = 0; i < count; i++) {
                    long at = bytes + i;
                    content.update(at >= first && at < after ? (byte) 0 : some[from + i]);
                }
            }
            bytes += count;
        }
    }
}

package org.logophon.core.signal.wav;

import com.ibm.icu.text.Transliterator;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;

/**
 * The {@code bext} chunk of EBU Tech 3285 version 2.
 *
 * @param description    what the clip holds; stored as ASCII, 256 characters at most
 * @param reference      unambiguous name of the clip, 32 characters at most
 * @param origination    when the sound was made
 * @param timeReference  first sample, in samples since midnight
 * @param loudnessLufs   integrated loudness, or NaN when not stated
 * @param truePeakDbtp   or NaN
 */
public record BroadcastExtension(
        String description,
        String reference,
        LocalDateTime origination,
        long timeReference,
        double loudnessLufs,
        double truePeakDbtp) {

    /** Bytes of the chunk without a coding history. */
    static final int SIZE = 602;

    /** Bytes before the time reference, which a clip gets when its place is known. */
    static final int TIME_REFERENCE_AT = 256 + 32 + 32 + 10 + 8;

    private static final short NOT_STATED = 0x7fff;

    byte[] bytes() {
        ByteBuffer out = ByteBuffer.allocate(SIZE).order(ByteOrder.LITTLE_ENDIAN);
        put(out, description, 256);
        put(out, "Logophon", 32);
        put(out, reference, 32);
        put(out, origination.format(DateTimeFormatter.ISO_LOCAL_DATE), 10);
        put(out, origination.format(DateTimeFormatter.ofPattern("HH:mm:ss")), 8);
        out.putLong(timeReference);
        out.putShort((short) 2);
        out.position(out.position() + 64);
        out.putShort(hundredths(loudnessLufs));
        out.putShort(NOT_STATED);
        out.putShort(hundredths(truePeakDbtp));
        out.putShort(NOT_STATED);
        out.putShort(NOT_STATED);
        return out.array();
    }

    private static void put(ByteBuffer out, String text, int length) {
        int end = out.position() + length;
        byte[] ascii = ascii(text).getBytes(StandardCharsets.US_ASCII);
        out.put(ascii, 0, Math.min(length, ascii.length));
        out.position(end);
    }

    private static String ascii(String text) {
        if (text.chars().allMatch(c -> c >= 32 && c < 127)) {
            return text;
        }
        return Transliterator.getInstance("Any-Latin; Latin-ASCII; [^\\u0020-\\u007E] Remove")
                .transliterate(text);
    }

    private static short hundredths(double value) {
        return Double.isFinite(value) ? (short) Math.round(value * 100) : NOT_STATED;
    }
}

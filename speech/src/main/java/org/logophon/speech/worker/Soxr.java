package org.logophon.speech.worker;

import com.sun.jna.Memory;
import com.sun.jna.NativeLong;
import com.sun.jna.ptr.NativeLongByReference;

/**
 * Sample-rate conversion by libsoxr in this process, at its default "high" quality (20 bit). Samples are floats in the
 * machine's byte order from end to end: passing Java arrays through JNA took twice as long as the conversion itself.
 */
final class Soxr {

    private static final int FLOAT_BYTES = 4;
    /** Room for what the converter may give beyond the rounded length. */
    private static final int SPARE = 64;

    private final SoxrLibrary library = SoxrLibrary.load();
    private Memory in;
    private Memory out;

    byte[] resample(byte[] samples, int fromRate, int toRate) {
        int length = samples.length / FLOAT_BYTES;
        int wanted = (int) Math.round(length * (double) toRate / fromRate);
        in = roomy(in, samples.length);
        out = roomy(out, (wanted + SPARE) * (long) FLOAT_BYTES);
        in.write(0, samples, 0, samples.length);
        NativeLongByReference done = new NativeLongByReference();
        String wrong = library.soxr_oneshot(
                fromRate,
                toRate,
                1,
                in,
                new NativeLong(length),
                null,
                out,
                new NativeLong(wanted + SPARE),
                done,
                null,
                null,
                null);
        if (wrong != null) {
            throw new IllegalArgumentException(
                    "The sample rate can't be changed from " + fromRate + " to " + toRate + ": " + wrong + ".");
        }
        byte[] converted = new byte[wanted * FLOAT_BYTES];
        out.read(0, converted, 0, Math.min(converted.length, done.getValue().intValue() * FLOAT_BYTES));
        return converted;
    }

    /** Native room is kept from call to call: fresh pages cost more than they hold. */
    private static Memory roomy(Memory had, long bytes) {
        if (had != null && had.size() >= bytes) {
            return had;
        }
        if (had != null) {
            had.close();
        }
        return new Memory(Math.max(1 << 20, bytes));
    }
}

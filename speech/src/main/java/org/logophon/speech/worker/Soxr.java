package org.logophon.speech.worker;

import com.sun.jna.NativeLong;
import com.sun.jna.ptr.NativeLongByReference;
import java.util.Arrays;

/** Sample-rate conversion by libsoxr in this process, at its default "high" quality (20 bit). */
final class Soxr {

    private final SoxrLibrary library = SoxrLibrary.load();

    float[] resample(float[] in, int fromRate, int toRate) {
        int wanted = (int) Math.round(in.length * (double) toRate / fromRate);
        float[] out = new float[wanted + 64];
        NativeLongByReference done = new NativeLongByReference();
        String wrong = library.soxr_oneshot(fromRate, toRate, 1, in, new NativeLong(in.length), null, out,
                new NativeLong(out.length), done, null, null, null);
        if (wrong != null) {
            throw new IllegalArgumentException("The sample rate can't be changed from " + fromRate + " to " + toRate + ": " + wrong + ".");
        }
        return Arrays.copyOf(out, wanted);
    }
}

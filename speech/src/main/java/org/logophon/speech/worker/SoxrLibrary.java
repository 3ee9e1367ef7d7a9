package org.logophon.speech.worker;

import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.NativeLongByReference;

/** The part of {@code soxr.h} (libsoxr 0.1.3) that is used. */
interface SoxrLibrary extends Library {

    static SoxrLibrary load() {
        return Native.load("soxr", SoxrLibrary.class);
    }

    /** Float in and out, high quality by default. @return null, or what is wrong */
    String soxr_oneshot(
            double inRate,
            double outRate,
            int channels,
            Pointer in,
            NativeLong inLength,
            NativeLongByReference inDone,
            Pointer out,
            NativeLong outLength,
            NativeLongByReference outDone,
            Pointer ioSpec,
            Pointer qualitySpec,
            Pointer runtimeSpec);
}

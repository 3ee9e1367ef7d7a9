package org.logophon.speech.worker;

import com.sun.jna.Library;
import com.sun.jna.Native;

/** The part of the C library that is used. */
interface CLibrary extends Library {

    static CLibrary load() {
        return Native.load("c", CLibrary.class);
    }

    void srand(int seed);
}

package org.logophon.speech.worker;

import com.sun.jna.Library;
import com.sun.jna.Native;

/** The part of the C library that is used. */
interface CLibrary extends Library {

    static CLibrary load() {
        return Native.load("c", CLibrary.class);
    }

    int SET_PIPE_SIZE = 1031;

    void srand(int seed);

    /**
     * With {@link #SET_PIPE_SIZE} (Linux): asks for a pipe that holds so many bytes.
     *
     * @return −1 when it can't be had
     */
    int fcntl(int file, int command, int value);
}

package org.logophon.core.wav;

/** How a sample is stored in a WAV file: integer PCM, little-endian. */
public enum SampleFormat {
    PCM_16(2),
    PCM_24(3);

    private final int bytes;

    SampleFormat(int bytes) {
        this.bytes = bytes;
    }

    public int bytes() {
        return bytes;
    }
}

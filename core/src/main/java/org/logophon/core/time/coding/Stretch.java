package org.logophon.core.time.coding;

import org.logophon.core.signal.sound.SoundSource;

/** Some of a sound. @param from first sample. @param to after the last one */
public record Stretch(SoundSource source, long from, long to) implements SoundSource {

    @Override
    public int rate() {
        return source.rate();
    }

    @Override
    public long length() {
        return to - from;
    }

    @Override
    public void read(long first, long last, BlockReader reader) {
        source.read(from + first, from + last, reader);
    }
}

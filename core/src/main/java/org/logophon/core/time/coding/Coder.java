package org.logophon.core.time.coding;

import java.io.IOException;
import java.nio.file.Path;
import org.logophon.core.signal.sound.SoundSource;

/** Codes sound into formats that this core has no code for, and back. */
public interface Coder {

    /**
     * Codes a sound.
     *
     * @param file to write; its format is the wanted one, whatever its name says
     * @throws IOException with a sentence when it can't be done
     */
    void code(SoundSource sound, SoundFormat format, Tags tags, Path file) throws IOException;

    /**
     * The note that a file carries in its tags, as {@link Tags#note} gave it.
     *
     * @return empty for none, and for a file that is no sound
     */
    String note(Path file) throws IOException;

    /** Gives the samples of a coded file, one channel, in order. */
    void decode(Path file, int rate, SoundSource.BlockReader reader) throws IOException;
}

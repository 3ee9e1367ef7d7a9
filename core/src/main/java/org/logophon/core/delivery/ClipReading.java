package org.logophon.core.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.wav.Axml;
import org.logophon.core.time.coding.Coder;

/** Reads what a delivered clip carries of its cue, whatever its format. */
public final class ClipReading {

    private ClipReading() {}

    /**
     * @return empty for a sound that isn't from Logophon, and for what is no sound
     * @throws InvalidInput with a sentence when it is from Logophon and can't be read
     */
    public static Optional<ClipNote> of(Path file, Coder coder) throws IOException {
        Optional<String> beside = Axml.read(file);
        String note = beside.isPresent() ? beside.get() : coder.note(file);
        return note.isBlank() ? Optional.empty() : ClipNote.read(note);
    }
}

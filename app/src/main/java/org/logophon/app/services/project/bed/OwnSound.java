package org.logophon.app.services.project.bed;

import java.util.UUID;
import org.logophon.app.platform.audio.StoredSound;

/**
 * A sound file in a list.
 *
 * @param workspace null for one that comes with Logophon
 * @param project   null for one of the whole workspace
 * @param licence   what whoever brought it in has noted of it
 * @param from      first sample that is used
 * @param to        after the last one
 * @param ownDb     how much louder it shall be than others at the same level
 */
public record OwnSound(
        UUID id,
        UUID workspace,
        UUID project,
        String name,
        String licence,
        StoredSound sound,
        long from,
        long to,
        double ownDb) {

    public boolean shipped() {
        return workspace == null;
    }

    public double seconds() {
        return (to - from) / (double) sound.rate();
    }

    /** What is heard of it, for whoever keeps it. */
    public LaidOut.Used used() {
        return new LaidOut.Used(sound, from, to, ownDb);
    }
}

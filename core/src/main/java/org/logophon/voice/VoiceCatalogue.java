package org.logophon.voice;

import java.util.List;
import java.util.Optional;

/** The voices at hand. */
public interface VoiceCatalogue {

    List<Voice> all();

    /** @param id in any case; a null finds nothing */
    Optional<Voice> find(String id);
}

package org.logophon.voice;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The voices at hand, by id. */
public final class VoiceCatalogue {

    private final Map<String, Voice> byId = new LinkedHashMap<>();

    public VoiceCatalogue(Collection<Voice> voices) {
        for (Voice voice : voices) {
            if (byId.put(voice.id(), voice) != null) {
                throw new IllegalArgumentException("Two voices have the id " + voice.id() + ".");
            }
        }
    }

    public List<Voice> all() {
        return List.copyOf(byId.values());
    }

    public Optional<Voice> find(String id) {
        return Optional.ofNullable(id).map(i -> byId.get(i.toLowerCase(Locale.ROOT)));
    }
}

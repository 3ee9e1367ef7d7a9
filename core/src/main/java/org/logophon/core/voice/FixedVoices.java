package org.logophon.core.voice;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Voices that never change. */
public final class FixedVoices implements VoiceCatalogue {

    private final Map<String, Voice> byId = new LinkedHashMap<>();

    public FixedVoices(Collection<Voice> voices) {
        for (Voice voice : voices) {
            if (byId.put(voice.id(), voice) != null) {
                throw new IllegalArgumentException("Two voices have the id " + voice.id() + ".");
            }
        }
    }

    @Override
    public List<Voice> all() {
        return List.copyOf(byId.values());
    }

    @Override
    public Optional<Voice> find(String id) {
        return Optional.ofNullable(id).map(i -> byId.get(i.toLowerCase(Locale.ROOT)));
    }
}

package org.logophon.core.voice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The voices at hand. */
public interface VoiceCatalogue {

    List<Voice> all();

    /** @param id in any case; a null finds nothing */
    Optional<Voice> find(String id);

    /** Another number whenever voices have come, gone or changed. */
    default long version() {
        return 0;
    }

    /**
     * A voice that costs nothing and speaks a language, as like another one as there is: its region first, then a
     * whisper for a whisper, its gender; then what sounds most like a person, its engine, its age.
     *
     * @param tag BCP 47; the region counts when it names one
     */
    default Optional<Voice> inLanguage(String tag, Voice like) {
        String language = tag.split("-")[0];
        return all().stream()
                .filter(voice -> voice.terms().free()
                        && !voice.ofTheHouse()
                        && voice.language().split("-")[0].equalsIgnoreCase(language))
                .min(Comparator.comparing((Voice voice) -> !voice.language().equalsIgnoreCase(tag))
                        .thenComparing(voice -> voice.whispers() != like.whispers())
                        .thenComparing(voice -> voice.gender() != like.gender())
                        .thenComparing(Voice::making)
                        .thenComparing(voice -> !voice.engine().equals(like.engine()))
                        .thenComparing(voice -> voice.age() != like.age())
                        .thenComparing(Voice::id));
    }
}

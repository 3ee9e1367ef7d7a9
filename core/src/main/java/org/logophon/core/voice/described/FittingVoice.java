package org.logophon.core.voice.described;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;

/**
 * A voice for a role that has none: of its language, of the sex and age that its name tells, unlike the others, clear.
 */
public final class FittingVoice {

    private FittingVoice() {}

    /**
     * @param language  BCP 47 tag of the script
     * @param role      its name, as "Grandmother"
     * @param taken     ids of the voices of other roles
     * @param clearness of a voice, by its id
     * @return empty when no free voice speaks the language
     */
    public static Optional<Voice> of(
            Collection<Voice> voices,
            String language,
            String role,
            Set<String> taken,
            Function<String, Optional<Clearness>> clearness) {
        Description told = Description.of(role, Set.of());
        String spoken = language.split("-")[0];
        return voices.stream()
                .filter(voice -> voice.terms().free()
                        && !voice.ofTheHouse()
                        && !voice.whispers()
                        && voice.language().split("-")[0].equalsIgnoreCase(spoken))
                .min(Comparator.comparing((Voice voice) -> told.gender() != null && voice.gender() != told.gender())
                        .thenComparing(voice -> told.age() != null && voice.age() != told.age())
                        .thenComparing(voice -> taken.contains(voice.id()))
                        .thenComparing(voice -> clearness
                                .apply(voice.id())
                                .map(c -> -c.percent())
                                .orElse(0))
                        .thenComparing(Voice::making));
    }
}

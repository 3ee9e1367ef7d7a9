package org.logophon.speech;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

/**
 * Flite's English voices under our names. They were made of recordings, and sound more natural than a formant voice.
 */
final class FliteVoices {

    static final String ENGINE = "flite";

    private FliteVoices() {}

    static List<Voice> all() {
        return List.of(
                voice("marnie", "Marnie", "en-US", "United States", Gender.FEMALE, "cmu_us_slt")
                        .made(Making.STATISTICAL),
                voice("rufus", "Rufus", "en-US", "United States", Gender.MALE, "cmu_us_rms")
                        .made(Making.STATISTICAL),
                voice("farquhar", "Farquhar", "en-GB-scotland", "Scotland", Gender.MALE, "cmu_us_awb")
                        .made(Making.STATISTICAL),
                voice("otis", "Otis", "en-US", "United States", Gender.MALE, "cmu_us_kal16")
                        .made(Making.DIPHONE));
    }

    private static Voice voice(String id, String name, String language, String accent, Gender gender, String library) {
        Set<Ability> canDo = EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE, Ability.WORD_TIMES);
        return new Voice(
                id,
                name,
                language,
                "English",
                accent,
                gender,
                Age.GROWN,
                List.of(),
                ENGINE,
                library,
                canDo,
                EnumSet.of(Ability.PACE, Ability.WORD_TIMES),
                List.of(),
                Terms.FREE);
    }
}

package org.logophon.speech;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

/** Festival's voices under our names, those of them that are installed. */
final class FestivalVoices {

    static final String ENGINE = "festival";

    private static final Path FOLDER = Path.of("/usr/share/festival/voices");

    private FestivalVoices() {}

    static List<Voice> all() {
        return Files.isDirectory(FOLDER.resolve("us/cmu_us_slt_arctic_hts"))
                ? List.of(voice("verity", "Verity", "cmu_us_slt_arctic_hts"))
                : List.of();
    }

    private static Voice voice(String id, String name, String engineVoice) {
        Set<Ability> canDo = EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE, Ability.WORD_TIMES);
        return new Voice(
                        id,
                        name,
                        "en-US",
                        "English",
                        "United States",
                        Gender.FEMALE,
                        Age.GROWN,
                        List.of(),
                        ENGINE,
                        engineVoice,
                        canDo,
                        EnumSet.of(Ability.PACE, Ability.WORD_TIMES),
                        List.of(),
                        Terms.FREE)
                .made(Making.STATISTICAL);
    }
}

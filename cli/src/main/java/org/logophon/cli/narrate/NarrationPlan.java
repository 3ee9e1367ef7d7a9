package org.logophon.cli.narrate;

import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.logophon.direction.Direction;
import org.logophon.direction.Effective;
import org.logophon.finish.FinishSettings;
import org.logophon.reading.ReadingList;
import org.logophon.voice.Voice;

/**
 * Everything asked for on the command line.
 *
 * @param cast role in lower case to voice
 */
record NarrationPlan(Voice voice, Map<String, Voice> cast, Direction direction, ReadingList readings, String namePattern,
                     FinishSettings finish) {

    Voice voiceOf(String role) {
        return cast.getOrDefault(role.toLowerCase(Locale.ROOT), voice);
    }

    /** Every voice that is cast. */
    Set<Voice> voices() {
        Set<Voice> voices = new LinkedHashSet<>(cast.values());
        voices.add(voice);
        return voices;
    }

    Effective effective() {
        return Effective.of(direction);
    }
}

package org.logophon.core.voice;

import java.util.Locale;
import org.logophon.core.input.InvalidInput;

/** An ability of a voice. */
public enum Ability {
    PACE,
    PITCH,
    RANGE,
    STRESS,
    PAUSE,
    WHISPER,
    STYLES,
    IPA,
    WORD_TIMES;

    public String id() {
        return this == IPA ? "IPA" : name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** @throws InvalidInput with a sentence when no ability is called that */
    public static Ability named(String word) {
        for (Ability ability : values()) {
            if (ability.id().equalsIgnoreCase(word) || ability.name().equalsIgnoreCase(word)) {
                return ability;
            }
        }
        throw new InvalidInput("There is no ability “" + word + "”.");
    }
}

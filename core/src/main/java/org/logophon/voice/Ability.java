package org.logophon.voice;

import java.util.Locale;

/** What can be asked of a voice. */
public enum Ability {
    PACE, PITCH, RANGE, STRESS, PAUSE, WHISPER, STYLES, IPA, WORD_TIMES;

    public String word() {
        return this == IPA ? "IPA" : name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** @throws IllegalArgumentException with a sentence when no ability is called that */
    public static Ability named(String word) {
        for (Ability ability : values()) {
            if (ability.word().equalsIgnoreCase(word) || ability.name().equalsIgnoreCase(word)) {
                return ability;
            }
        }
        throw new IllegalArgumentException("There is no ability “" + word + "”.");
    }
}

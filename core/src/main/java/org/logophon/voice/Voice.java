package org.logophon.voice;

import java.util.Set;

/**
 * One speaking voice that an engine offers.
 *
 * @param id       ours, stable: what scripts, casts and recipes name
 * @param name     given name, shown to people
 * @param language BCP 47 tag
 * @param languageName language in English
 * @param accent   region or way of speaking in English, empty when the language has one only
 * @param engine   engine family
 * @param engineVoice the engine's own identifier: internal, never shown
 */
public record Voice(String id, String name, String language, String languageName, String accent, Gender gender,
                    String engine, String engineVoice, Set<Ability> canDo) {

    public boolean whispers() {
        return canDo.contains(Ability.WHISPER);
    }

    /** Language with its accent, as in "English, Scotland". */
    public String speaks() {
        return accent.isEmpty() ? languageName : languageName + ", " + accent;
    }
}

package org.logophon.voice;

/** What a voice can do by itself or with the core's help. */
public enum Ability {
    PACE, PITCH, WORD_TIMES, WHISPER;

    public String word() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }
}

package org.logophon.core.signal.effect;

import org.logophon.core.input.InvalidInput;

/** What a voice comes through. */
public enum Effect {
    /** The speech band of a telephone line, 300–3400 Hz (ITU-T G.712). */
    TELEPHONE("telephone"),
    /** A cone of a few centimetres: no depth, a hard middle, a little overdriven. */
    SMALL_SPEAKER("small speaker"),
    /** A large stone room: 1.6 s until the sound has fallen by 60 dB. */
    HALL("hall"),
    /** Speech as a machine might make it: one note, with the ring of a metal tube. */
    MACHINE("machine");

    private final String word;

    Effect(String word) {
        this.word = word;
    }

    public String id() {
        return word;
    }

    /** @return null for an empty name @throws InvalidInput with a sentence for any other that isn't one */
    public static Effect named(String name) {
        if (name == null || name.isBlank()) {
            return null;
        }
        for (Effect effect : values()) {
            if (effect.word.equalsIgnoreCase(name.strip()) || effect.name().equalsIgnoreCase(name.strip())) {
                return effect;
            }
        }
        throw new InvalidInput(
                "There is no effect “" + name.strip() + "”. Choose telephone, small speaker, hall or machine.");
    }
}

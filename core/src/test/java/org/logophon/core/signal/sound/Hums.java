package org.logophon.core.signal.sound;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * Made-up speech: each word is two hums with resonances of their own, and its true place is known. Nobody would take it
 * for a language, but it has what speech is compared by.
 */
public final class Hums {

    /** Resonances of nine sounds: a low and a high one each, in hertz. */
    private static final double[][] SOUNDS = {
        {300, 2300},
        {700, 1200},
        {400, 2000},
        {250, 800},
        {600, 1700},
        {500, 900},
        {350, 2700},
        {800, 1500},
        {450, 1100}
    };

    private final List<Sound> parts = new ArrayList<>();
    private final List<WordStart> starts = new ArrayList<>();
    private final double pitch;
    private final int rate;
    private int samples;

    /** @param pitch of the hum, in hertz */
    public Hums(double pitch, int rate) {
        this.pitch = pitch;
        this.rate = rate;
    }

    /** Says one of nine words. @param place code point at which it stands in the text */
    public Hums word(int word, int place, double seconds) {
        starts.add(new WordStart(place, samples));
        for (int half = 0; half < 2; half++) {
            double[] peaks = SOUNDS[(word + 3 * half) % SOUNDS.length];
            add(Tones.of(i -> 0.2 * hummed(i / (double) rate, peaks), seconds / 2, rate));
        }
        return this;
    }

    public Hums silence(double seconds) {
        add(Tones.of(i -> 0, seconds, rate));
        return this;
    }

    private void add(Sound part) {
        parts.add(part);
        samples += part.samples().length;
    }

    /** Harmonics of a hum, loud near two peaks. */
    private double hummed(double at, double[] peaks) {
        double sum = 0;
        for (double hertz = pitch; hertz < 3_500; hertz += pitch) {
            double near = 0;
            for (double peak : peaks) {
                near += 1 / (1 + Math.pow((hertz - peak) / 120, 2));
            }
            sum += near * Math.sin(2 * Math.PI * hertz * at);
        }
        return sum / 3;
    }

    public Sound sound() {
        return Tones.joined(parts.toArray(Sound[]::new));
    }

    public List<WordStart> starts() {
        return List.copyOf(starts);
    }

    public Utterance told() {
        return new Utterance(sound(), starts, List.of());
    }
}

package org.logophon.core.voice.figures;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.voice.Gender;

/**
 * Plain words for what a voice measures. The borders are ours: the outer quarters, roughly, of the voices that come
 * with
 * the engines.
 */
public final class VoiceCharacter {

    private VoiceCharacter() {}

    public static List<String> of(VoiceFigures figures, Gender gender) {
        List<String> words = new ArrayList<>();
        Double pitch = figures.medianPitchHz();
        boolean woman = gender == Gender.FEMALE;
        if (pitch != null && pitch < (woman ? 190 : 90)) {
            words.add("deep");
        } else if (pitch != null && pitch > (woman ? 215 : 108)) {
            words.add("high");
        }
        Double range = figures.pitchRangeSemitones();
        if (range != null && range < 3) {
            words.add("even");
        } else if (range != null && range > 5.2) {
            words.add("lively");
        }
        if (figures.brightnessHz() < 600) {
            words.add("dark");
        } else if (figures.brightnessHz() > 1_000) {
            words.add("bright");
        }
        return words;
    }
}

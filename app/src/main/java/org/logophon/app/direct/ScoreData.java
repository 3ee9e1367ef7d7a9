package org.logophon.app.direct;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.rendering.StoredSpeech;

/**
 * What the score draws, from a take.
 *
 * @param peaks 0–255, a hundred a second, relative to the take's own loudest
 * @param pitch Hz each 10 ms, 0 where unvoiced
 */
record ScoreData(double seconds, int[] peaks, int[] pitch, List<ScoreWord> words) {

    /** Seconds from the take's first sample. */
    record ScoreWord(String text, double from, double to) {}

    static ScoreData of(StoredSpeech speech, String text) {
        int loudest = 1;
        for (byte peak : speech.peaks()) {
            loudest = Math.max(loudest, peak & 0xff);
        }
        int[] peaks = new int[speech.peaks().length];
        for (int i = 0; i < peaks.length; i++) {
            peaks[i] = (speech.peaks()[i] & 0xff) * 255 / loudest;
        }
        int[] pitch = new int[speech.pitch().length];
        for (int i = 0; i < pitch.length; i++) {
            pitch[i] = Math.round(speech.pitch()[i]);
        }
        List<ScoreWord> words = new ArrayList<>();
        Integer[] fields = speech.words();
        for (int i = 0; i < fields.length; i += 4) {
            words.add(new ScoreWord(
                    text.substring(fields[i], fields[i + 1]),
                    fields[i + 2] / (double) speech.rate(),
                    fields[i + 3] / (double) speech.rate()));
        }
        return new ScoreData(speech.seconds(), peaks, pitch, words);
    }
}

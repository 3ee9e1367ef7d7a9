package org.logophon.app.steps.direct;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.core.voice.render.WordTime;

/**
 * The data that a score is drawn from.
 *
 * @param peaks 0–255, a hundred a second, relative to the take's own loudest
 * @param pitch Hz each 10 ms, 0 where unvoiced
 */
record ScoreData(double seconds, int[] peaks, int[] pitch, List<ScoreWord> words) {

    /** Seconds from the take's first sample. */
    record ScoreWord(String text, double from, double to, int start, int end) {}

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
        double rate = speech.sound().rate();
        for (WordTime word : speech.timed()) {
            words.add(new ScoreWord(
                    text.substring(word.start(), word.end()),
                    word.startSample() / rate,
                    word.endSample() / rate,
                    word.start(),
                    word.end()));
        }
        return new ScoreData(speech.sound().seconds(), peaks, pitch, words);
    }
}

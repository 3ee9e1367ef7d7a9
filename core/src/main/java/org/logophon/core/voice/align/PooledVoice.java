package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * The mean of several voices that say the same words: step by step the mean of them, in the time of one
 * of them. Each value is weighed by how little it strays from voice to voice, so that what makes a person counts less
 * than what makes a sound.
 *
 * @param frames  a step's values each, weighed
 * @param weights of each value
 * @param rows    step at which each word starts
 * @param places  code point of each word in the spoken text
 */
record PooledVoice(float[][] frames, float[] weights, int[] rows, int[] places) {

    /** One voice, with steps of its own. */
    record Told(MelCepstra steps, int[] rows, int[] places) {

        /** @param said with word starts @param asked whose throat it is given */
        static Told of(Utterance said, MelCepstra asked, double highestHertz) {
            Sound sound = said.sound();
            SpeechSpan span = SpeechSpan.of(sound);
            MelCepstra steps = VocalTractWarp.fitting(sound.cut(span.from(), span.to()), asked, highestHertz);
            List<WordStart> words = new ArrayList<>();
            for (WordStart word : said.words()) {
                // an engine may end with an event that is no word's
                if (word.codePoint() >= 0
                        && (words.isEmpty() || words.get(words.size() - 1).codePoint() < word.codePoint())) {
                    words.add(word);
                }
            }
            int[] rows = new int[words.size()];
            int[] places = new int[words.size()];
            for (int i = 0; i < rows.length; i++) {
                double step = (words.get(i).sample() - span.from()) / (steps.stepSeconds() * sound.rate());
                rows[i] = i == 0 ? 0 : (int) Math.max(rows[i - 1], Math.min(steps.frames().length, Math.round(step)));
                places[i] = words.get(i).codePoint();
            }
            return new Told(steps, rows, places);
        }
    }

    /** @param base whose time it is, one of them */
    static PooledVoice of(Told base, List<Told> voices) {
        float[][] own = base.steps().frames();
        int values = own[0].length;
        float[][] mean = new float[own.length][values];
        double[] strays = new double[values];
        List<float[][]> laid = new ArrayList<>();
        for (Told voice : voices) {
            laid.add(voice == base ? own : laid(own, voice.steps().frames()));
        }
        for (int i = 0; i < own.length; i++) {
            for (int c = 0; c < values; c++) {
                float sum = 0;
                for (float[][] voice : laid) {
                    sum += voice[i][c];
                }
                mean[i][c] = sum / laid.size();
                for (float[][] voice : laid) {
                    double away = voice[i][c] - mean[i][c];
                    strays[c] += away * away;
                }
            }
        }
        float[] weights = new float[values];
        double freedom = own.length * Math.max(1.0, laid.size() - 1.0);
        for (int c = 0; c < values; c++) {
            weights[c] = laid.size() == 1 ? 1 : (float) (1 / Math.sqrt(strays[c] / freedom + 1e-6));
        }
        return new PooledVoice(weighed(mean, weights), weights, base.rows(), base.places());
    }

    /** Another sound's steps, weighed alike. */
    float[][] weighed(MelCepstra asked) {
        return weighed(asked.frames(), weights);
    }

    private static float[][] weighed(float[][] frames, float[] weights) {
        float[][] weighed = new float[frames.length][weights.length];
        for (int i = 0; i < frames.length; i++) {
            for (int c = 0; c < weights.length; c++) {
                weighed[i][c] = frames[i][c] * weights[c];
            }
        }
        return weighed;
    }

    private static float[][] laid(float[][] base, float[][] voice) {
        int[] path = Warp.path(base, voice);
        float[][] laid = new float[base.length][];
        for (int i = 0; i < base.length; i++) {
            laid[i] = voice[Math.min(voice.length - 1, (path[i] + path[i + 1]) / 2)];
        }
        return laid;
    }
}

package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;

/**
 * Steps of a sound of any length, read in blocks: 20 ms each, brought to the mean and spread of what is spoken in it.
 *
 * @param frames a step's values each
 * @param quiet  which of them nobody speaks in
 */
record LongSteps(float[][] frames, boolean[] quiet) {

    static final double STEP_SECONDS = 0.020;
    private static final int BLOCK_STEPS = 2_000;
    /** Around a block, so that its first and last windows see what is there. */
    private static final int MARGIN_STEPS = 2;
    /** Over the noise, in dB: a quarter of the way to the speech, and this at the least. */
    private static final float OVER_NOISE_DB = 6;

    private static final float WAY = 0.25f;
    /** However quiet the quietest moment. */
    private static final float UNDER_SPEECH_DB = 32;

    /**
     * How much each value counts: the less, the more it strays between voices that say the same. Measured over six
     * English voices of ours, of men and women, as {@link PooledVoice} weighs them.
     */
    private static final float[] WEIGHTS = {
        2.08f, 2.38f, 1.58f, 1.67f, 1.54f, 1.42f, 1.33f, 1.29f, 1.24f, 1.22f, 1.17f, 1.14f, 1.11f, // cepstra
        1.19f, 1.20f, 0.98f, 0.96f, 0.94f, 0.86f, 0.83f, 0.84f, 0.81f, 0.80f, 0.77f, 0.75f, 0.74f // their slopes
    };

    static LongSteps of(SoundSource sound, double highestHertz) {
        int step = (int) Math.round(STEP_SECONDS * sound.rate());
        List<float[]> frames = new ArrayList<>();
        List<Float> powers = new ArrayList<>();
        double loudest = 1e-12;
        for (long at = 0; at < sound.length(); at += (long) BLOCK_STEPS * step) {
            long from = Math.max(0, at - (long) MARGIN_STEPS * step);
            long to = Math.min(sound.length(), at + (long) (BLOCK_STEPS + MARGIN_STEPS) * step);
            MelCepstra raw = MelCepstra.raw(sound.stretch(from, to), highestHertz, STEP_SECONDS, 1, loudest);
            loudest = raw.loudest();
            int first = (int) ((at - from) / step);
            int last = (int) Math.min(raw.frames().length, first + Math.min(BLOCK_STEPS, (sound.length() - at) / step));
            for (int i = first; i < last; i++) {
                frames.add(raw.frames()[i]);
                powers.add((float) (raw.levels()[i] + 10 * Math.log10(raw.loudest())));
            }
        }
        if (frames.isEmpty()) {
            return new LongSteps(new float[0][], new boolean[0]);
        }
        float[][] all = frames.toArray(float[][]::new);
        boolean[] quiet = quiet(powers);
        MelCepstra.slopes(all);
        MelCepstra.normalise(all, quiet);
        weigh(all);
        return new LongSteps(all, quiet);
    }

    /** Steps of several sounds that one voice said, each trimmed to its speech; brought to one mean. */
    static float[][][] together(List<Sound> sounds, double highestHertz, double throat) {
        float[][][] each = new float[sounds.size()][][];
        java.util.stream.IntStream.range(0, each.length).parallel().forEach(k -> {
            Sound sound = sounds.get(k);
            each[k] = sound == null
                    ? new float[0][]
                    : MelCepstra.raw(sound, highestHertz, STEP_SECONDS, throat, 1e-12)
                            .frames();
            MelCepstra.slopes(each[k]);
        });
        float[][] all = Arrays.stream(each).flatMap(Arrays::stream).toArray(float[][]::new);
        if (all.length > 0) {
            MelCepstra.normalise(all, new boolean[all.length]);
            weigh(all);
        }
        return each;
    }

    private static void weigh(float[][] frames) {
        for (float[] frame : frames) {
            for (int c = 0; c < WEIGHTS.length; c++) {
                frame[c] *= WEIGHTS[c];
            }
        }
    }

    private static boolean[] quiet(List<Float> powers) {
        float[] sorted = new float[powers.size()];
        for (int i = 0; i < sorted.length; i++) {
            sorted[i] = powers.get(i);
        }
        Arrays.sort(sorted);
        float noise = sorted[sorted.length / 20];
        float speech = sorted[sorted.length * 19 / 20];
        float threshold = Math.max(noise + Math.max(OVER_NOISE_DB, WAY * (speech - noise)), speech - UNDER_SPEECH_DB);
        boolean[] quiet = new boolean[sorted.length];
        for (int i = 0; i < quiet.length; i++) {
            quiet[i] = powers.get(i) < threshold;
        }
        return quiet;
    }
}

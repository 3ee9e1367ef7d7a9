package org.logophon.core.voice.render;

import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;

/**
 * A rendered recipe, before finishing.
 *
 * @param sound   at the engine's rate
 * @param words   every written word with its time
 * @param measurement what was measured against what was asked
 * @param phones  its single sounds; none where the engine doesn't tell them
 */
public record Speech(Sound sound, List<WordTime> words, Measurement measurement, List<Phone> phones) {

    public Speech {
        phones = List.copyOf(phones);
    }

    /** One of whose single sounds nobody knows. */
    public Speech(Sound sound, List<WordTime> words, Measurement measurement) {
        this(sound, words, measurement, List.of());
    }

    /** Of 16 bits. */
    private static final int FULL_SCALE = 1 << 15;

    /** Kept around the speech, so that soft starts and ends stay whole. */
    private static final double KEEP_SECONDS = 0.020;

    /** The same words in a sound that is longer or shorter all through. */
    Speech stretched(Sound longer, Measurement other) {
        double factor = longer.samples().length / (double) Math.max(1, sound.samples().length);
        int length = longer.samples().length;
        return new Speech(
                longer,
                words.stream()
                        .map(w -> new WordTime(
                                w.start(),
                                w.end(),
                                within((int) Math.round(w.startSample() * factor), length),
                                within((int) Math.round(w.endSample() * factor), length)))
                        .toList(),
                other,
                phones);
    }

    /** Without the quiet before and after it, but for 20 ms. Trimming twice changes nothing. */
    public Speech trimmed() {
        SpeechSpan span = SpeechSpan.of(sound).widened(KEEP_SECONDS, sound);
        if (span.from() == 0 && span.to() == sound.samples().length) {
            return this;
        }
        int length = span.to() - span.from();
        List<WordTime> moved = words.stream()
                .map(w -> new WordTime(
                        w.start(),
                        w.end(),
                        within(w.startSample() - span.from(), length),
                        within(w.endSample() - span.from(), length)))
                .toList();
        return new Speech(sound.cut(span.from(), span.to()), moved, measurement, phones);
    }

    /** The same, quieter as a whole where it would go over full scale. */
    public Speech withinFullScale() {
        float loudest = 0;
        for (float sample : sound.samples()) {
            loudest = Math.max(loudest, Math.abs(sample));
        }
        return loudest < 1 ? this : new Speech(sound.amplified(0.999 / loudest), words, measurement, phones);
    }

    /**
     * As it is kept: trimmed, within full scale, 16 bits a sample, and places of single sounds to a ten-thousandth of
     * their word. Whoever doesn't keep it hears the same.
     */
    public Speech kept() {
        Speech trimmed = trimmed().withinFullScale();
        float[] samples = trimmed.sound.samples().clone();
        for (int i = 0; i < samples.length; i++) {
            samples[i] = Math.max(-FULL_SCALE, Math.min(FULL_SCALE - 1, Math.round(samples[i] * FULL_SCALE)))
                    / (float) FULL_SCALE;
        }
        return new Speech(
                new Sound(samples, trimmed.sound.rate()),
                trimmed.words,
                trimmed.measurement,
                Phone.read(Phone.written(trimmed.phones)));
    }

    private static int within(int sample, int length) {
        return Math.max(0, Math.min(length, sample));
    }
}

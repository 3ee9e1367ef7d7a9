package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.signal.effect.Effects;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;

/**
 * The mixer of several voices in one cue: at one rate, at one level but for what their roles ask, a short
 * rest between them.
 */
final class VoiceMixer {

    /** Where one voice hands over to another, at least. Ours. */
    private static final double HANDOVER_SECONDS = 0.12;

    private static final double MOST_GAIN_DB = 20;
    private static final double RAMP_SECONDS = 0.005;

    private VoiceMixer() {}

    /** @param speeches of the pieces, in order; marks and effects aren't in them yet */
    static Speech joined(Recipe whole, List<Speech> speeches, Resampler resampler) {
        List<VoicePart> pieces = whole.pieces();
        int rate = speeches.stream()
                .mapToInt(speech -> speech.sound().rate())
                .max()
                .orElseThrow();
        List<Sound> sounds = speeches.stream()
                .map(speech ->
                        speech.sound().rate() == rate ? speech.sound() : resampler.resample(speech.sound(), rate))
                .toList();
        List<Sound> own = IntStream.range(0, pieces.size())
                .filter(i -> pieces.get(i).own())
                .mapToObj(sounds::get)
                .toList();
        double target = SoundJoiner.mean(own.isEmpty() ? sounds : own);
        SoundJoiner joining = new SoundJoiner(rate);
        List<WordTime> words = new ArrayList<>();
        List<Phone> phones = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            VoicePart piece = pieces.get(i);
            double rest = i == 0
                    ? 0
                    : Math.max(
                            HANDOVER_SECONDS,
                            BoundaryType.after(pieces.get(i - 1).recipe().text())
                                    .seconds());
            double gain = piece.own()
                    ? 0
                    : SoundJoiner.gain(SoundJoiner.level(sounds.get(i)), target, MOST_GAIN_DB) + piece.decibels();
            SoundJoiner.Laid laid = joining.add(sounds.get(i), rest, gain);
            double faster = rate / (double) speeches.get(i).sound().rate();
            speeches.get(i).phones().forEach(phone -> phones.add(phone.later(piece.from())));
            for (WordTime word : speeches.get(i).words()) {
                words.add(new WordTime(
                        piece.from() + word.start(),
                        piece.from() + word.end(),
                        laid.at((int) Math.round(word.startSample() * faster)),
                        laid.at((int) Math.round(word.endSample() * faster))));
            }
        }
        return new Speech(joining.sound(), words, reached(whole, speeches), phones);
    }

    /**
     * How far all voices together met what each was asked for, by the length of what they say, as figures of the cue's
     * own speaker.
     */
    private static Measurement reached(Recipe whole, List<Speech> speeches) {
        double pace = 0;
        double seconds = 0;
        double semitones = 0;
        double voiced = 0;
        for (int i = 0; i < speeches.size(); i++) {
            Recipe asked = whole.pieces().get(i).recipe();
            Measurement got = speeches.get(i).measurement();
            double length = speeches.get(i).sound().seconds();
            pace += Math.log(got.pacePercent() / 100 / asked.paceFactor()) * length;
            seconds += length;
            if (got.semitones() != null) {
                semitones += (got.semitones() - asked.semitones()) * length;
                voiced += length;
            }
        }
        return new Measurement(
                100 * whole.paceFactor() * Math.exp(pace / seconds),
                voiced == 0 ? null : whole.semitones() + semitones / voiced);
    }

    private record EffectMix(Effect effect, int percent) {}

    /** Each voice through its own effect; what rings on after it rings under the next one. */
    static Sound effects(Recipe whole, Speech speech) {
        List<EffectMix> heard = whole.pieces().stream()
                .map(piece -> new EffectMix(
                        piece.recipe().treatment().effect(),
                        piece.recipe().treatment().effectPercent()))
                .toList();
        Set<EffectMix> kinds = new LinkedHashSet<>(heard);
        if (kinds.size() == 1) {
            return Effects.apply(
                    speech.sound(), heard.get(0).effect(), heard.get(0).percent());
        }
        int[] turns = turns(whole, speech);
        float[] out = new float[0];
        for (EffectMix kind : kinds) {
            float[] through = Effects.apply(only(kind, heard, turns, speech.sound()), kind.effect(), kind.percent())
                    .samples();
            float[] sum = java.util.Arrays.copyOf(out, Math.max(out.length, through.length));
            for (int i = 0; i < through.length; i++) {
                sum[i] += through[i];
            }
            out = sum;
        }
        return new Sound(out, speech.sound().rate());
    }

    /** For each piece its first sample: half-way through the rest before it. */
    private static int[] turns(Recipe whole, Speech speech) {
        List<VoicePart> pieces = whole.pieces();
        int[] turns = new int[pieces.size()];
        List<WordTime> words = speech.words();
        for (int w = 1, p = 1; w < words.size() && p < pieces.size(); w++) {
            if (words.get(w).start() >= pieces.get(p).from()) {
                turns[p++] = (words.get(w - 1).endSample() + words.get(w).startSample()) / 2;
            }
        }
        return turns;
    }

    private static Sound only(EffectMix kind, List<EffectMix> heard, int[] turns, Sound sound) {
        float[] samples = new float[sound.samples().length];
        int ramp = (int) Math.max(1, RAMP_SECONDS * sound.rate());
        for (int p = 0; p < turns.length; p++) {
            if (!heard.get(p).equals(kind)) {
                continue;
            }
            boolean in = p > 0 && !heard.get(p - 1).equals(kind);
            boolean out = p + 1 < turns.length && !heard.get(p + 1).equals(kind);
            int from = p == 0 ? 0 : turns[p];
            int to = p + 1 < turns.length ? turns[p + 1] : samples.length;
            for (int i = from; i < Math.min(samples.length, to + (out ? ramp : 0)); i++) {
                double share = in && i - from < ramp ? (i - from) / (double) ramp : 1;
                share = out && i >= to ? 1 - (i - to) / (double) ramp : share;
                samples[i] += (float) (sound.samples()[i] * share);
            }
        }
        return new Sound(samples, sound.rate());
    }
}

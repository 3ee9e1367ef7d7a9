package org.logophon.render;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.logophon.effect.Effect;
import org.logophon.effect.Effects;
import org.logophon.sound.Resampler;
import org.logophon.sound.Sound;

/** Brings what several voices say together in one cue: at one rate, at one level but for what their roles ask, a short rest between them. */
final class Ensemble {

    /** Where one voice hands over to another, at least. Ours. */
    private static final double HANDOVER_SECONDS = 0.12;
    private static final double MOST_GAIN_DB = 20;
    private static final double RAMP_SECONDS = 0.005;

    private Ensemble() {
    }

    /** @param speeches of the pieces, in order; marks and effects aren't in them yet */
    static Speech joined(Recipe whole, List<Speech> speeches, Resampler resampler) {
        List<Piece> pieces = whole.pieces();
        int rate = speeches.stream().mapToInt(speech -> speech.sound().rate()).max().orElseThrow();
        List<Sound> sounds = speeches.stream().map(speech -> speech.sound().rate() == rate ? speech.sound() : resampler.resample(speech.sound(), rate)).toList();
        List<Sound> own = IntStream.range(0, pieces.size()).filter(i -> pieces.get(i).own()).mapToObj(sounds::get).toList();
        double target = Joining.mean(own.isEmpty() ? sounds : own);
        Joining joining = new Joining(rate);
        List<WordTime> words = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            double rest = i == 0 ? 0 : Math.max(HANDOVER_SECONDS, Joint.after(pieces.get(i - 1).recipe().text()).seconds());
            double gain = piece.own() ? 0 : Joining.gain(Joining.level(sounds.get(i)), target, MOST_GAIN_DB) + piece.decibels();
            Joining.Laid laid = joining.add(sounds.get(i), rest, gain);
            double faster = rate / (double) speeches.get(i).sound().rate();
            for (WordTime word : speeches.get(i).words()) {
                words.add(new WordTime(piece.from() + word.start(), piece.from() + word.end(), laid.at((int) Math.round(word.startSample() * faster)),
                        laid.at((int) Math.round(word.endSample() * faster))));
            }
        }
        return new Speech(joining.sound(), words, reached(whole, speeches));
    }

    /** How far all voices together met what each was asked for, by the length of what they say, as figures of the cue's own speaker. */
    private static Reached reached(Recipe whole, List<Speech> speeches) {
        double pace = 0;
        double seconds = 0;
        double semitones = 0;
        double voiced = 0;
        for (int i = 0; i < speeches.size(); i++) {
            Recipe asked = whole.pieces().get(i).recipe();
            Reached got = speeches.get(i).reached();
            double length = speeches.get(i).sound().seconds();
            pace += Math.log(got.pacePercent() / 100 / asked.paceFactor()) * length;
            seconds += length;
            if (got.semitones() != null) {
                semitones += (got.semitones() - asked.semitones()) * length;
                voiced += length;
            }
        }
        return new Reached(100 * whole.paceFactor() * Math.exp(pace / seconds), voiced == 0 ? null : whole.semitones() + semitones / voiced);
    }

    private record Heard(Effect effect, int percent) {
    }

    /** Each voice through its own effect; what rings on after it rings under the next one. */
    static Sound effects(Recipe whole, Speech speech) {
        List<Heard> heard = whole.pieces().stream().map(piece -> new Heard(piece.recipe().treatment().effect(), piece.recipe().treatment().effectPercent())).toList();
        Set<Heard> kinds = new LinkedHashSet<>(heard);
        if (kinds.size() == 1) {
            return Effects.apply(speech.sound(), heard.get(0).effect(), heard.get(0).percent());
        }
        int[] turns = turns(whole, speech);
        float[] out = new float[0];
        for (Heard kind : kinds) {
            float[] through = Effects.apply(only(kind, heard, turns, speech.sound()), kind.effect(), kind.percent()).samples();
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
        List<Piece> pieces = whole.pieces();
        int[] turns = new int[pieces.size()];
        List<WordTime> words = speech.words();
        for (int w = 1, p = 1; w < words.size() && p < pieces.size(); w++) {
            if (words.get(w).start() >= pieces.get(p).from()) {
                turns[p++] = (words.get(w - 1).endSample() + words.get(w).startSample()) / 2;
            }
        }
        return turns;
    }

    private static Sound only(Heard kind, List<Heard> heard, int[] turns, Sound sound) {
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

package org.logophon.core.time.bed;

import org.logophon.core.signal.loudness.EnergyProfile;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.Stretch;
import org.logophon.core.time.programme.SampleCount;

/**
 * A sound in its place, with all that is done to it.
 *
 * @param from    its first sample in the programme
 * @param gainDb  while it is lowered
 * @param riseDb  that it is louder where it isn't
 * @param fadeIn  samples
 * @param fadeOut samples
 */
record Laid(SoundSource source, long from, double gainDb, double riseDb, long fadeIn, long fadeOut) {

    /** A sound that is cut off clicks, unless it goes within so much. Ours. */
    private static final long SHORTEST_FADE = 48 * 5;

    static Laid of(Bed bed, VoiceSpans voice, double voiceLufs) {
        Bed.Settings asked = bed.settings();
        SoundSource sound = bed.sound().source();
        long wanted = bed.to().minus(bed.from()).samples();
        boolean again = asked.looped() && wanted > sound.length();
        SoundSource whole = again ? new Repeated(sound, wanted) : cut(sound, wanted);
        long period = again ? ((Repeated) whole).period() : whole.length();
        return faded(
                whole,
                bed.from().samples(),
                gain(bed, voice, voiceLufs, period, whole.length()),
                asked.riseDb(),
                SampleCount.ofMillis(asked.fadeInMillis()).samples(),
                SampleCount.ofMillis(asked.fadeOutMillis()).samples());
    }

    static Laid of(GapSound sound, double voiceLufs) {
        SoundSource cut = cut(sound.sound().source(), sound.length().samples());
        var heard = sound.sound().profile().sum();
        heard.add(0, cut.length() / (double) SampleCount.RATE);
        double gain = gain(voiceLufs, sound.levelDb(), sound.sound(), heard.lufs());
        return faded(cut, sound.at().samples(), gain, 0, 0, 0);
    }

    private static Laid faded(SoundSource source, long from, double gainDb, double riseDb, long fadeIn, long fadeOut) {
        long most = source.length() / 2;
        return new Laid(
                source,
                from,
                gainDb,
                riseDb,
                Math.min(most, Math.max(SHORTEST_FADE, fadeIn)),
                Math.min(most, Math.max(SHORTEST_FADE, fadeOut)));
    }

    private static SoundSource cut(SoundSource sound, long wanted) {
        return sound.length() <= wanted ? sound : new Stretch(sound, 0, wanted);
    }

    /** What is heard of it under the voice is brought to its level; of one that no voice is over, all of it. */
    private static double gain(Bed bed, VoiceSpans voice, double voiceLufs, long period, long length) {
        var under = bed.sound().profile().sum();
        long start = bed.from().samples();
        for (int i = voice.endingAfter(start); i < voice.count() && voice.from(i) < start + length; i++) {
            rounds(under, Math.max(0, voice.from(i) - start), Math.min(length, voice.to(i) - start), period);
        }
        double lufs = under.lufs();
        return gain(
                voiceLufs,
                bed.settings().levelDb(),
                bed.sound(),
                Double.isInfinite(lufs) ? bed.sound().profile().lufs() : lufs);
    }

    private static void rounds(EnergyProfile.Sum sum, long from, long to, long period) {
        for (long at = from; at < to; ) {
            long inside = at % period;
            long next = Math.min(to, at + period - inside);
            sum.add(inside / (double) SampleCount.RATE, (inside + next - at) / (double) SampleCount.RATE);
            at = next;
        }
    }

    private static double gain(double voiceLufs, double levelDb, HeardSound sound, double lufs) {
        return Double.isInfinite(lufs) ? 0 : voiceLufs + levelDb + sound.ownDb() - lufs;
    }

    long to() {
        return from + source.length();
    }

    /**
     * Adds what sounds of it.
     *
     * @param lowered how far it is, at each sample of the block.
     * @param at of the block in the programme
     */
    void add(long at, float[] block, int count, float[] lowered) {
        long first = Math.max(at, from);
        long last = Math.min(at + count, to());
        if (first >= last) {
            return;
        }
        double base = Decibels.toFactor(gainDb);
        double risen = Decibels.toFactor(riseDb);
        long[] place = {first};
        source.read(first - from, last - from, (samples, got) -> {
            for (int i = 0; i < got; i++) {
                int inBlock = (int) (place[0] - at);
                double rise = riseDb == 0 || lowered[inBlock] == 1
                        ? 1
                        : lowered[inBlock] == 0 ? risen : Decibels.toFactor(riseDb * (1 - lowered[inBlock]));
                block[inBlock] += (float) (samples[i] * base * rise * fade(place[0] - from));
                place[0]++;
            }
        });
    }

    private double fade(long inside) {
        long left = source.length() - inside;
        double in = inside >= fadeIn ? 1 : (inside + 0.5) / fadeIn;
        double out = left > fadeOut ? 1 : (left - 0.5) / fadeOut;
        double both = Math.min(in, out);
        return both == 1 ? 1 : Math.pow(Math.sin(Math.PI / 2 * both), 2);
    }
}

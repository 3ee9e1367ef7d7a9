package org.logophon.core.time.bed;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.programme.SampleCount;

/** All sounds and beds of a programme as one sound at 48 kHz, from the programme's start. */
public final class Layer implements SoundSource {

    private final List<Laid> laid;
    private final Ducking ducking;
    private final long length;

    private Layer(List<Laid> laid, Ducking ducking, long length) {
        this.laid = laid;
        this.ducking = ducking;
        this.length = length;
    }

    /**
     * @param programme how long it is: a sound in its last gap may go beyond
     * @param voiceLufs that levels are against
     */
    public static Layer of(
            SampleCount programme, VoiceSpans voice, double voiceLufs, List<Bed> beds, List<GapSound> sounds) {
        List<Laid> all = new ArrayList<>();
        beds.stream()
                .filter(bed -> bed.to().compareTo(bed.from()) > 0)
                .forEach(bed -> all.add(Laid.of(bed, voice, voiceLufs)));
        sounds.forEach(sound -> all.add(Laid.of(sound, voiceLufs)));
        all.removeIf(one -> one.source().length() == 0);
        return new Layer(
                all, new Ducking(voice), all.stream().mapToLong(Laid::to).reduce(programme.samples(), Math::max));
    }

    public boolean silent() {
        return laid.isEmpty();
    }

    @Override
    public int rate() {
        return SampleCount.RATE;
    }

    @Override
    public long length() {
        return length;
    }

    @Override
    public void read(long from, long to, BlockReader reader) {
        float[] block = new float[(int) Math.min(BLOCK, Math.max(0, to - from))];
        float[] lowered = new float[block.length];
        for (long at = from; at < to; at += BLOCK) {
            int count = (int) Math.min(BLOCK, to - at);
            Arrays.fill(block, 0, count, 0);
            long end = at + count;
            long start = at;
            if (laid.stream().anyMatch(one -> one.riseDb() > 0 && one.from() < end && one.to() > start)) {
                ducking.fill(at, lowered, count);
            }
            for (Laid one : laid) {
                one.add(at, block, count, lowered);
            }
            reader.block(block, count);
        }
    }
}

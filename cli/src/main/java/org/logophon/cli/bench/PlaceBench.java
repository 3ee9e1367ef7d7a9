package org.logophon.cli.bench;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.place.Fit;
import org.logophon.core.time.place.Fit.Spoken;
import org.logophon.core.time.place.PlaceCheck;
import org.logophon.core.time.place.PlaceCheck.PlacedCue;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.Entry;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;

/** Placing, checking and fitting a long programme. */
final class PlaceBench {

    private static final int CUES = 2_000;
    private static final int ROUNDS = 30;
    private static final double SECONDS = 0.05;

    List<BenchResult> run() {
        FrameRate rate = FrameRate.named("29.97df");
        List<Entry<PlacedCue>> cues = new ArrayList<>();
        for (int i = 0; i < CUES; i++) {
            SampleCount in = SampleCount.ofMillis(i * 7_300L);
            Placement placement = i % 5 == 0
                    ? Placement.FOLLOW
                    : new InSlot(
                            in, in.plus(SampleCount.ofMillis(5_000 + i % 17 * 100)), Anchor.START, SampleCount.ZERO);
            cues.add(new Entry<>(
                    new PlacedCue(String.valueOf(i), placement),
                    SampleCount.ofMillis(5_400 + i % 13 * 90),
                    SampleCount.ofMillis(400),
                    placement));
        }
        double best = Double.MAX_VALUE;
        for (int round = 0; round < ROUNDS; round++) {
            long began = System.nanoTime();
            Programme<PlacedCue> programme = Programme.placed(cues, rate);
            PlaceCheck.of(programme, new PlaceCheck.Picture(rate, SampleCount.ZERO, null, List.of()));
            for (Entry<PlacedCue> cue : cues) {
                if (cue.placement() instanceof InSlot slot) {
                    List<SampleCount> pauses = List.of(SampleCount.ofMillis(240), SampleCount.ofMillis(410));
                    Fit.into(slot.length(), new Spoken(cue.length(), pauses, 18), SampleCount.ZERO);
                }
            }
            best = Math.min(best, (System.nanoTime() - began) / 1e9);
        }
        return List.of(new BenchResult("2,000 cues placed, checked and fitted", SECONDS + " s", best, SECONDS, "s", 1));
    }
}

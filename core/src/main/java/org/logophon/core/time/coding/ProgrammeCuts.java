package org.logophon.core.time.coding;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;

/** The cuts of a programme into parts: between cues only, where one begins, and none sounds across it. */
public final class ProgrammeCuts {

    private ProgrammeCuts() {}

    /** @return samples at which parts begin, 0 first. A part is longer than asked for where a single cue is */
    public static List<Long> of(Programme<?> programme, SampleCount longest) {
        List<Long> cuts = new ArrayList<>(List.of(0L));
        long last = 0;
        long sounding = 0;
        for (PlacedClip<?> clip : programme.clips()) {
            long start = clip.start().samples();
            if (start >= sounding && start > last && clip.end().samples() - last > longest.samples()) {
                cuts.add(start);
                last = start;
            }
            sounding = Math.max(sounding, clip.end().samples());
        }
        return List.copyOf(cuts);
    }
}

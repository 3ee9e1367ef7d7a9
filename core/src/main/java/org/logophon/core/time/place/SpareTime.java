package org.logophon.core.time.place;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.programme.SampleCount;

/** Spreads room that a programme leaves until its target over the gaps between its cues. */
public final class SpareTime {

    private SpareTime() {}

    /** How it is shared out. */
    public enum Way {
        /** Every gap the same. */
        EVENLY,
        /** At the ends of scenes alone. */
        SCENES,
        /** By how long each gap is. */
        WEIGHT
    }

    /** @param sceneEnds true when it is the last of its scene */
    public record Gap(SampleCount length, boolean sceneEnds) {}

    /**
     * @param gaps  after each cue but the last
     * @param spare to share out
     * @param most  that a gap may grow to
     * @return the gaps as they would be; together they grow by {@code spare}, or by less where the limit holds
     */
    public static List<SampleCount> spread(List<Gap> gaps, SampleCount spare, SampleCount most, Way way) {
        long[] lengths = gaps.stream().mapToLong(gap -> gap.length().samples()).toArray();
        long left = Math.max(0, spare.samples());
        while (left > 0) {
            List<Integer> open = new ArrayList<>();
            double weights = 0;
            for (int i = 0; i < lengths.length; i++) {
                boolean takes = lengths[i] < most.samples()
                        && (way != Way.SCENES || gaps.get(i).sceneEnds());
                if (takes) {
                    open.add(i);
                    weights += weight(gaps.get(i), way);
                }
            }
            if (open.isEmpty()) {
                break;
            }
            long given = 0;
            for (int i : open) {
                long share = Math.max(1, (long) (left * weight(gaps.get(i), way) / weights));
                long taken = Math.min(Math.min(share, left - given), most.samples() - lengths[i]);
                lengths[i] += taken;
                given += taken;
            }
            left -= given;
        }
        List<SampleCount> spread = new ArrayList<>();
        for (long length : lengths) {
            spread.add(new SampleCount(length));
        }
        return spread;
    }

    private static double weight(Gap gap, Way way) {
        return way == Way.WEIGHT ? Math.max(1, gap.length().samples()) : 1;
    }
}

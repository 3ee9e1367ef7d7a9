package org.logophon.core.direction.ssml;

import java.util.Map;
import java.util.TreeMap;

/**
 * A pitch contour: semitones at shares of the time, straight lines between, level before and after (SSML 1.1, prosody
 * contour).
 */
record Bend(TreeMap<Double, Double> points) {

    double at(double share) {
        Map.Entry<Double, Double> before = points.floorEntry(share);
        Map.Entry<Double, Double> after = points.ceilingEntry(share);
        if (before == null || after == null) {
            return (before == null ? after : before).getValue();
        }
        double span = after.getKey() - before.getKey();
        return span == 0
                ? before.getValue()
                : before.getValue() + (after.getValue() - before.getValue()) * (share - before.getKey()) / span;
    }
}

package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.sound.Sound;

/** The shortening of long gaps in speech: their middles are taken out, and the room's sound runs on over the joint. */
public final class Gaps {

    private static final double JOINT_SECONDS = 0.020;

    private Gaps() {}

    /** @param longest seconds that a gap may last */
    public static Sound shortened(Sound sound, double longest) {
        int most = (int) Math.round(longest * sound.rate());
        int joint = (int) Math.round(JOINT_SECONDS * sound.rate());
        float[] x = sound.samples();
        List<int[]> kept = new ArrayList<>();
        int from = 0;
        for (Activity.Span pause : Activity.of(sound).pauses()) {
            if (pause.to() - pause.from() > most + joint) {
                kept.add(new int[] {from, pause.from() + most / 2});
                from = pause.to() - (most - most / 2);
            }
        }
        if (kept.isEmpty()) {
            return sound;
        }
        kept.add(new int[] {from, x.length});
        int length = 0;
        for (int[] part : kept) {
            length += part[1] - part[0];
        }
        float[] out = new float[length];
        int at = 0;
        for (int i = 0; i < kept.size(); i++) {
            int[] part = kept.get(i);
            System.arraycopy(x, part[0], out, at, part[1] - part[0]);
            if (i > 0) {
                // equal power: what is joined is noise, and has nothing in common
                for (int k = 0; k < joint && part[0] - joint + k >= 0 && at - joint + k >= 0; k++) {
                    double turn = Math.PI / 2 * (k + 0.5) / joint;
                    out[at - joint + k] =
                            (float) (out[at - joint + k] * Math.cos(turn) + x[part[0] - joint + k] * Math.sin(turn));
                }
            }
            at += part[1] - part[0];
        }
        return new Sound(out, sound.rate());
    }
}

package org.logophon.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.timecode.FrameRate;
import org.logophon.core.timecode.Timecode;

/**
 * The picture follows the voice: how long each shot must become for what is said over it, or how fast it would have to
 * run. For those who cut to the voice.
 */
public final class PictureFollows {

    private PictureFollows() {}

    /**
     * A shot as it is.
     *
     * @param number     of its cue
     * @param in         first frame
     * @param frames     that it has
     * @param clipFrames that its clip needs, counted up
     */
    public record Shot(String number, long in, long frames, long clipFrames) {}

    /**
     * A shot as it would be.
     *
     * @param change  frames to gain, or to lose when negative
     * @param percent speed to set instead: what it has of what it needs
     * @param newIn   first frame, when every shot before it has changed
     */
    public record Followed(Shot shot, long change, double percent, long newIn) {

        public long newOut() {
            return newIn + shot.clipFrames();
        }
    }

    /** @param shots in order; what lies between them stays as long as it is */
    public static List<Followed> of(List<Shot> shots) {
        List<Followed> followed = new ArrayList<>();
        long moved = 0;
        for (Shot shot : shots) {
            long change = shot.clipFrames() - shot.frames();
            followed.add(new Followed(shot, change, 100.0 * shot.frames() / shot.clipFrames(), shot.in() + moved));
            moved += change;
        }
        return List.copyOf(followed);
    }

    /** An edit decision list (CMX 3600) of the new times: one event a shot, from its first frame on. */
    public static String edl(String title, List<Followed> shots, FrameRate rate) {
        StringBuilder list = new StringBuilder("TITLE: ")
                .append(title.replaceAll("[\\r\\n]", " ").toUpperCase(Locale.ROOT))
                .append('\n')
                .append(rate.drop() ? "FCM: DROP FRAME\n" : "FCM: NON-DROP FRAME\n");
        int event = 1;
        for (Followed shot : shots) {
            list.append(String.format(
                    Locale.ROOT,
                    "%03d  AX       V     C        %s %s %s %s%n* FROM CLIP NAME: %s%n",
                    event++,
                    Timecode.written(0, rate),
                    Timecode.written(shot.shot().clipFrames(), rate),
                    Timecode.written(shot.newIn(), rate),
                    Timecode.written(shot.newOut(), rate),
                    shot.shot().number()));
        }
        return list.toString();
    }
}

package org.logophon.core.time.place;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timeline.Edl;

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
        List<Edl.Event> events = shots.stream()
                .map(shot -> new Edl.Event(
                        "V", shot.shot().clipFrames(), shot.newIn(), shot.shot().number()))
                .toList();
        return String.join("\r\n", Edl.of(title, events, rate));
    }
}

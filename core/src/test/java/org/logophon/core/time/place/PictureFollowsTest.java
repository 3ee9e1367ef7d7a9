package org.logophon.core.time.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.time.picture.PictureTimes;
import org.logophon.core.time.place.PictureFollows.Followed;
import org.logophon.core.time.place.PictureFollows.Shot;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;

class PictureFollowsTest {

    private static final long TEN_HOURS = 25L * 36_000;

    /** A clip slowed to 85 % is 1.176 times as long, and the picture with it: common practice, no source. */
    @Test
    void shotsGainOrLoseFramesOrRunAtAnotherSpeed() {
        List<Followed> followed = PictureFollows.of(List.of(
                new Shot("010", TEN_HOURS, 100, 118),
                new Shot("020", TEN_HOURS + 110, 100, 80),
                new Shot("030", TEN_HOURS + 210, 50, 50)));
        assertThat(followed).extracting(Followed::change).containsExactly(18L, -20L, 0L);
        assertThat(followed.get(0).percent()).isBetween(84.7, 84.8);
        assertThat(followed).extracting(Followed::newIn).containsExactly(TEN_HOURS, TEN_HOURS + 128, TEN_HOURS + 208);
        String edl = PictureFollows.edl("First Firing", followed, FrameRate.DEFAULT);
        // read again, it is what it says
        var slots =
                PictureTimes.read("a.edl", edl, FrameRate.DEFAULT, TEN_HOURS).slots();
        assertThat(slots).hasSize(3);
        assertThat(slots.get(1).name()).isEqualTo("020");
        assertThat(slots.get(1).in()).isEqualTo(SampleCount.ofMillis(128 * 40));
        assertThat(slots.get(1).out()).isEqualTo(SampleCount.ofMillis(208 * 40));
    }
}

package org.logophon.core.time.timecode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.logophon.core.input.InvalidInput;

/** Timecode by SMPTE ST 12-1; the counts of drop-frame are the standard's. */
class TimecodeTest {

    private static final FrameRate DROP = FrameRate.named("29.97df");

    static Stream<FrameRate> rates() {
        return FrameRate.ALL.stream();
    }

    @ParameterizedTest
    @MethodSource("rates")
    void everyFrameOfADayIsReadBackFromWhatIsWrittenOfIt(FrameRate rate) {
        long day = rate.framesADay();
        // every frame of some minutes at three places, and each 997th of the rest: drop-frame repeats every ten minutes
        long closely = rate.counted() * (rate.drop() ? 600L : 61);
        for (long frame = 0; frame < day; frame += frame % 3_000_000 < closely ? 1 : 997) {
            assertThat(Timecode.typed(Timecode.written(frame, rate), rate, 0).frame())
                    .isEqualTo(frame);
        }
        assertThat(Timecode.written(day, rate)).isEqualTo(Timecode.written(0, rate));
        assertThat(Timecode.typed("24:00:00" + (rate.drop() ? ";" : ":") + "00", rate, 0)
                        .wrapped())
                .isTrue();
    }

    @ParameterizedTest
    @MethodSource("rates")
    void aFrameBeginsAtItsFirstSample(FrameRate rate) {
        for (long frame = 0; frame < rate.framesADay(); frame += 7_919) {
            long sample = rate.firstSample(frame, 48_000);
            assertThat(rate.frameAt(sample, 48_000)).isEqualTo(frame);
            assertThat(sample == 0 || rate.frameAt(sample - 1, 48_000) == frame - 1)
                    .isTrue();
            assertThat(rate.rounded(sample, 48_000)).isEqualTo(sample);
            assertThat(rate.rounded(sample + 1, 48_000)).isEqualTo(rate.firstSample(frame + 1, 48_000));
        }
    }

    @Test
    void dropFrameHasThePublishedCounts() {
        assertThat(DROP.framesAnHour()).isEqualTo(107_892);
        assertThat(Timecode.typed("00:10:00;00", DROP, 0).frame()).isEqualTo(17_982);
        assertThat(FrameRate.named("59.94df").framesAnHour()).isEqualTo(215_784);
        assertThat(DROP.firstSample(107_892, 48_000) / 48_000.0).isBetween(3_599.9963, 3_599.9965);
        FrameRate non = FrameRate.named("29.97");
        assertThat(non.firstSample(Timecode.typed("01:00:00:00", non, 0).frame(), 48_000) / 48_000.0)
                .isEqualTo(3_603.6);
        assertThat(Timecode.written(1_800, DROP)).isEqualTo("00:01:00;02");
        assertThat(Timecode.written(1_799, DROP)).isEqualTo("00:00:59;29");
        assertThat(Timecode.written(17_982, DROP)).isEqualTo("00:10:00;00");
    }

    @ParameterizedTest
    @CsvSource({
        "25, 1:2:3:4, 01:02:03:04",
        "25, 1020304, 01:02:03:04",
        "25, 62.5s, 00:01:02:13",
        "25, '62,5 s', 00:01:02:13",
        "25, +12, 00:00:40:12",
        "25, -12, 00:00:39:13",
        "25, -00:00:01:00, 00:00:39:00",
        "25, +1:0, 00:00:41:00",
        "25, 3:05, 00:00:03:05",
        "25, 112, 00:00:01:12",
        "29.97df, 1:00;02, 00:01:00;02",
        "29.97df, 10:0:0:0, 10:00:00;00",
        "23.976, 0:0:59:23, 00:00:59:23"
    })
    void whatIsTypedIsForgiven(String rate, String typed, String written) {
        FrameRate named = FrameRate.named(rate);
        assertThat(Timecode.written(
                        Timecode.typed(typed, named, 40L * named.counted()).frame(), named))
                .isEqualTo(written);
    }

    @Test
    void whatCannotBeIsRefusedWithTheNextFrameThatExists() {
        assertThatThrownBy(() -> Timecode.typed("00:01:00;00", DROP, 0))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("00:01:00;02");
        assertThatThrownBy(() -> Timecode.typed("00:00:00:25", FrameRate.DEFAULT, 0))
                .hasMessageContaining("frames to 24");
        assertThatThrownBy(() -> Timecode.typed("soon", FrameRate.DEFAULT, 0)).hasMessageContaining("is no timecode");
        assertThatThrownBy(() -> Timecode.typed("-12", FrameRate.DEFAULT, 0))
                .hasMessageContaining("before 00:00:00:00");
        assertThatThrownBy(() -> FrameRate.named("31")).hasMessageContaining("29.97df");
        assertThat(FrameRate.ALL)
                .extracting(FrameRate::id)
                .containsExactly(
                        "23.976", "24", "25", "29.97", "29.97df", "30", "47.952", "48", "50", "59.94", "59.94df", "60");
    }
}

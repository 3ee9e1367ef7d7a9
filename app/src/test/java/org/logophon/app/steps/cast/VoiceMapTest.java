package org.logophon.app.steps.cast;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.VoiceFigures;

class VoiceMapTest {

    private static VoiceRow row(String id, Double pitch, Double pace, double range) {
        Voice voice = new Voice(id, id, "en-GB", "English", "", Gender.MALE, "test", id, EnumSet.of(Ability.PACE));
        VoiceFigures figures =
                pace == null ? null : new VoiceFigures(pitch, pitch == null ? null : range, pace, pace, 800);
        return new VoiceRow(voice, figures, false, null, List.of(), VoiceNote.NONE, List.of(), null);
    }

    private static VoiceMap.Dot dot(VoiceMap map, String id) {
        return map.dots().stream()
                .filter(dot -> dot.voice().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static final VoiceRow LOW = row("low", 100.0, 180.0, 4);
    private static final VoiceRow HIGH = row("high", 200.0, 180.0, 6);
    private static final VoiceRow QUICK = row("quick", 100.0, 220.0, 2);
    private static final VoiceRow WHISPER = row("whisper", null, 200.0, 0);
    private static final VoiceRow UNMEASURED = row("unmeasured", null, null, 0);
    private static final List<VoiceRow> ALL = List.of(LOW, HIGH, QUICK, WHISPER, UNMEASURED);

    @Test
    void pitchGoesRightAndPaceUpAndLivelinessIsTheSize() {
        VoiceMap map = VoiceMap.of(ALL, ALL);
        assertThat(dot(map, "high").x()).isGreaterThan(dot(map, "low").x());
        assertThat(dot(map, "high").y()).isEqualTo(dot(map, "low").y());
        assertThat(dot(map, "quick").y()).isLessThan(dot(map, "low").y());
        assertThat(dot(map, "high").radius()).isGreaterThan(dot(map, "low").radius());
        assertThat(map.without()).as("a whisper, and one that isn't measured").isEqualTo(2);
        assertThat(map.dots()).allSatisfy(dot -> {
            assertThat(dot.x()).isBetween(0.0, (double) VoiceMap.WIDTH);
            assertThat(dot.y()).isBetween(0.0, (double) VoiceMap.HEIGHT);
        });
    }

    @Test
    void anOctaveIsAsWideAsAnyOther() {
        List<VoiceRow> octaves =
                List.of(row("a", 80.0, 200.0, 4), row("b", 160.0, 200.0, 4), row("c", 320.0, 200.0, 4));
        VoiceMap map = VoiceMap.of(octaves, octaves);
        assertThat(dot(map, "b").x() - dot(map, "a").x())
                .isCloseTo(dot(map, "c").x() - dot(map, "b").x(), org.assertj.core.api.Assertions.within(0.2));
    }

    @Test
    void whatTheFilterLeavesOutIsAPointWithoutAName() {
        VoiceMap.Dot high = dot(VoiceMap.of(ALL, ALL), "high");
        VoiceMap map = VoiceMap.of(ALL, List.of(LOW));
        assertThat(map.dots()).extracting(VoiceMap.Dot::voice).containsExactly("low");
        assertThat(map.without()).isZero();
        assertThat(map.others())
                .as("one point at the pitch of \"high\"; \"quick\" is far from the pace of what "
                        + "matches: another passage")
                .matches("M" + high.x() + " \\d+\\.\\dh0");
    }

    @Test
    void aMapOfNothingIsStillAMap() {
        VoiceMap map = VoiceMap.of(List.of(), List.of());
        assertThat(map.dots()).isEmpty();
        assertThat(map.pitches()).isNotEmpty();
        assertThat(map.paces()).isNotEmpty();
        assertThat(VoiceMap.of(List.of(UNMEASURED), List.of(UNMEASURED)).without())
                .isEqualTo(1);
    }
}

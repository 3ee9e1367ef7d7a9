package org.logophon.core.time.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.picture.SlotMatch.Cue;
import org.logophon.core.time.picture.SlotMatch.Match;
import org.logophon.core.time.timecode.FrameRate;

/** Times of the picture, in the forms in which editors and captions have them. */
class PictureTimesTest {

    private static final long TEN_HOURS = 25L * 36_000;

    private static String read(String name, String text) {
        return read(name, text, FrameRate.DEFAULT, 0);
    }

    private static String read(String name, String text, FrameRate rate, long start) {
        StringBuilder said = new StringBuilder();
        for (PictureSlot slot : PictureTimes.read(name, text, rate, start).slots()) {
            said.append(slot.number())
                    .append(' ')
                    .append(slot.in().seconds())
                    .append('-')
                    .append(slot.out().seconds())
                    .append(' ')
                    .append(slot.name())
                    .append(';');
        }
        return said.toString();
    }

    /** By SMPTE 258M: record in and out are the last two times of an event. */
    @Test
    void anEditDecisionListGivesItsRecordTimesFromTheProjectsStart() {
        String list = """
                TITLE: FIRST FIRING
                FCM: NON-DROP FRAME

                001  AX       V     C        00:00:00:00 00:00:05:00 10:00:00:00 10:00:05:00
                * FROM CLIP NAME: KILN.MOV
                001  AX       AA    C        00:00:00:00 00:00:05:00 10:00:00:00 10:00:05:00
                002  AX       V     D    012 00:00:10:00 00:00:13:12 10:00:05:00 10:00:08:12
                * FROM CLIP NAME: HANDS, CLOSE
                """;
        assertThat(read("cut.edl", list, FrameRate.DEFAULT, TEN_HOURS))
                .isEqualTo(" 0.0-5.0 KILN.MOV; 5.0-8.48 HANDS, CLOSE;");
        assertThatThrownBy(() -> read("cut.edl", list, FrameRate.named("29.97df"), 0))
                .hasMessageContaining("counts in non-drop");
        assertThatThrownBy(() -> read("cut.edl", list.replace("10:00:05:00 10:00:08:12", "10:00:05:00 10:00:08:30")))
                .hasMessageContaining("Line 7")
                .hasMessageContaining("frames to 24");
    }

    @Test
    void aTimelineGivesItsMarkersOrElseItsClips() {
        String clip =
                "{\"OTIO_SCHEMA\":\"Clip.2\",\"name\":\"%s\",\"source_range\":{\"start_time\":{\"rate\":25,\"value\":50},\"duration\":{\"rate\":25,\"value\":%d}},\"markers\":[%s]}";
        String marker =
                "{\"OTIO_SCHEMA\":\"Marker.2\",\"name\":\"glaze\",\"marked_range\":{\"start_time\":{\"rate\":25,\"value\":75},\"duration\":{\"rate\":25,\"value\":25}}}";
        String timeline =
                "{\"OTIO_SCHEMA\":\"Timeline.1\",\"tracks\":{\"children\":[{\"OTIO_SCHEMA\":\"Track.1\",\"kind\":\"Video\",\"children\":[%s,{\"OTIO_SCHEMA\":\"Gap.1\",\"source_range\":{\"start_time\":{\"rate\":25,\"value\":0},\"duration\":{\"rate\":25,\"value\":25}}},%s]}]}}";
        assertThat(read("a.otio", timeline.formatted(clip.formatted("one", 100, ""), clip.formatted("two", 50, ""))))
                .isEqualTo(" 0.0-4.0 one; 5.0-7.0 two;");
        assertThat(read(
                        "a.otio",
                        timeline.formatted(clip.formatted("one", 100, marker), clip.formatted("two", 50, ""))))
                .as("a marker counts in its clip's own time")
                .isEqualTo(" 1.0-2.0 glaze;");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{",
                "{\"OTIO_SCHEMA\":\"Clip.1\"}",
                "{\"OTIO_SCHEMA\":\"Timeline.1\"}",
                "{\"OTIO_SCHEMA\":\"Timeline.1\",\"global_start_time\":{\"rate\":0,\"value\":1}}",
                "",
                "Dear editor",
                "in,out\n\"1,2",
                "in,out\n5,2",
                "in,out\n1,4\n3,6",
                "in,out\n1,soon",
                "00:00:61:00",
                "name,what\na,b"
            })
    void whatIsBrokenIsASentence(String text) {
        assertThatThrownBy(() -> read("file", text))
                .isInstanceOf(InvalidInput.class)
                .hasMessageMatching("(?s)[A-Z\"].*\\.");
        String nested = "{\"OTIO_SCHEMA\":\"Timeline.1\",\"a\":" + "[".repeat(100_000);
        assertThatThrownBy(() -> read("file", nested)).isInstanceOf(InvalidInput.class);
    }

    @Test
    void tablesListsAndCaptionsAreUnderstood() {
        assertThat(read("a.csv", "Cue;Start;Duration\n010;00:00:01:00;2.5\n020;5;1,5"))
                .isEqualTo("010 1.0-3.5 ;020 5.0-6.5 ;");
        assertThat(read("a.csv", "Shot,TC In,TC Out,Description\n3,00:00:01:05,00:00:02:00,Hands"))
                .isEqualTo("3 1.2-2.0 Hands;");
        assertThat(read("a.txt", "00:00:01:00\n00:00:04:12\n00:00:09:00"))
                .isEqualTo(" 1.0-4.48 ; 4.48-9.0 ; 9.0-19.0 ;");
        assertThat(read("a.txt", "00:00:01:00\t00:00:02:00\tThe kiln")).isEqualTo(" 1.0-2.0 The kiln;");
        assertThat(read(
                        "a.srt",
                        "1\n00:00:01,500 --> 00:00:03,000\n<i>Wedge</i>\nthe "
                                + "clay.\n\n2\n00:00:04,000 --> 00:00:05,000\nTurn.\n"))
                .isEqualTo("1 1.5-3.0 Wedge the clay.;2 4.0-5.0 Turn.;");
        assertThat(read("a.vtt", "WEBVTT\n\n00:01.500 --> 00:03.000 line:0\nWedge."))
                .isEqualTo(" 1.5-3.0 Wedge.;");
        assertThat(PictureTimes.read("a.csv", "Cue,Start,Runs\n1,2,3", FrameRate.DEFAULT, 0)
                        .guessed())
                .containsExactly("start: Start", "length: Runs", "number: Cue");
    }

    @Test
    void slotsFindTheirCuesByNumberThenByNameThenByOrder() {
        List<Cue> cues = List.of(
                new Cue("010", "Wedge the clay."),
                new Cue("020", "Turn it slowly on the wheel, and keep it wet."),
                new Cue("030", "Stop."));
        assertThat(matched("in,out,cue\n1,2,20\n3,4,10\n5,6,99", cues)).containsExactly(1, 0, -1);
        assertThat(matched("in,out,name\n1,2,Turn it slowly\n3,4,Nothing like it", cues))
                .containsExactly(1, -1);
        assertThat(matched("in,out\n1,2\n3,4\n5,6\n7,8", cues)).containsExactly(0, 1, 2, -1);
    }

    private static List<Integer> matched(String table, List<Cue> cues) {
        return SlotMatch.of(
                        PictureTimes.read("a.csv", table, FrameRate.DEFAULT, 0).slots(), cues)
                .stream()
                .map(Match::cue)
                .toList();
    }
}

package org.logophon.core.time.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.part.TimelinePart;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.time.picture.PictureTimes;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.picture.SlotMatch;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.Entry;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is written for an editor is read again by Place, and gives the same places. */
class TimelineFilesTest {

    static List<FrameRate> rates() {
        return FrameRate.ALL;
    }

    private static Delivered delivered(FrameRate rate, int cues) {
        Random random = new Random(cues);
        List<Entry<DeliveredClip>> entries = new ArrayList<>();
        for (int i = 0; i < cues; i++) {
            String number = "%03d0".formatted(i + 1);
            String odd = i % 7 == 0 ? " é “odd” & 100% #1" : "";
            entries.add(new Entry<>(
                    new DeliveredClip(
                            number,
                            "clips/" + number + "_clay" + odd + ".wav",
                            i < 3 ? "One" : "Two",
                            i % 3 == 0 ? "Keeper" : "Narrator",
                            "Isla",
                            "Wedge the clay.",
                            List.of(),
                            new Loudness(-19, true),
                            -3),
                    new SampleCount(20_000 + random.nextInt(90_000)),
                    new SampleCount(random.nextInt(40_000)),
                    Placement.FOLLOW));
        }
        return new Delivered(
                "Odd & “quoted”\nTitle",
                "en-GB",
                rate,
                rate.framesAnHour(),
                Programme.placed(entries, rate),
                List.of(),
                List.of());
    }

    private static String written(PartFile file) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        file.content().write(out);
        return out.toString(StandardCharsets.UTF_8);
    }

    private static void agrees(List<PictureSlot> slots, Delivered delivered, int from) {
        FrameRate rate = delivered.rate();
        List<SlotMatch.Cue> cues = delivered.programme().clips().stream()
                .map(clip -> new SlotMatch.Cue(clip.cue().number(), clip.cue().text()))
                .toList();
        List<SlotMatch.Match> matches = SlotMatch.of(slots, cues);
        for (int i = 0; i < slots.size(); i++) {
            var clip = delivered.programme().clips().get(from + i);
            assertThat(matches.get(i).cue()).as(slots.get(i).name()).isEqualTo(from + i);
            assertThat(rate.frameAt(slots.get(i).in().samples(), SampleCount.RATE))
                    .isEqualTo(delivered.frame(clip.start()));
            assertThat(rate.frameAt(rate.rounded(slots.get(i).out().samples(), SampleCount.RATE), SampleCount.RATE))
                    .isEqualTo(delivered.frameFrom(clip.end()));
        }
    }

    @ParameterizedTest
    @MethodSource("rates")
    void listsAndTimelinesReadBackFrameForFrameAtEveryRate(FrameRate rate) throws Exception {
        Delivered delivered = delivered(rate, 60);
        List<PartFile> files = new TimelinePart().files(delivered, DeliveryOptions.USUAL, null);
        assertThat(files).extracting(PartFile::path).containsExactly("timeline.edl", "timeline.otio");
        for (PartFile file : files) {
            PictureTimes times = PictureTimes.read(file.path(), written(file), rate, delivered.start());
            assertThat(times.slots()).hasSize(60);
            agrees(times.slots(), delivered, 0);
        }
    }

    /** SMPTE 258M counts events with three digits. */
    @Test
    void moreThan999EventsAreSeveralLists() throws Exception {
        Delivered delivered = delivered(FrameRate.named("29.97df"), 2_100);
        List<PartFile> files = new TimelinePart().files(delivered, DeliveryOptions.USUAL, null);
        assertThat(files)
                .extracting(PartFile::path)
                .containsExactly("timeline.edl", "timeline-2.edl", "timeline-3.edl", "timeline.otio");
        int from = 0;
        for (PartFile file : files.subList(0, 3)) {
            String text = written(file);
            assertThat(text).contains("FCM: DROP FRAME").doesNotContain("1000  AX");
            PictureTimes times = PictureTimes.read(file.path(), text, delivered.rate(), delivered.start());
            agrees(times.slots(), delivered, from);
            from += times.slots().size();
        }
        assertThat(from).isEqualTo(2_100);
    }

    @Test
    void whatOverlapsLiesOnTheSecondTrackAndATrackOfItsOwn() throws Exception {
        List<Entry<DeliveredClip>> entries = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            entries.add(new Entry<>(
                    new DeliveredClip(
                            "0" + (i + 1) + "0",
                            "0" + (i + 1) + "0.wav",
                            "",
                            "Narrator",
                            "Isla",
                            "Lean in.",
                            List.of(),
                            new Loudness(-19, true),
                            -3),
                    SampleCount.ofMillis(2_000),
                    SampleCount.ZERO,
                    new Placement.Fixed(SampleCount.ofMillis(i * 1_500L))));
        }
        Delivered delivered = new Delivered(
                "Over",
                "en-GB",
                FrameRate.DEFAULT,
                0,
                Programme.placed(entries, FrameRate.DEFAULT),
                List.of(),
                List.of());
        List<PartFile> files = new TimelinePart().files(delivered, DeliveryOptions.USUAL, null);
        assertThat(written(files.get(0)))
                .contains("001  AX       A     C", "002  AX       A2    C", "003  AX       A     C");
        JsonNode tracks = JsonMapper.builder()
                .build()
                .readTree(written(files.get(1)))
                .path("tracks")
                .path("children");
        assertThat(tracks.size()).isEqualTo(2);
        assertThat(tracks.get(1).path("name").asString()).isEqualTo("Narrator 2");
        assertThat(tracks.get(0)
                        .path("children")
                        .get(0)
                        .path("media_references")
                        .path("DEFAULT_MEDIA")
                        .path("target_url")
                        .asString())
                .isEqualTo("010.wav");
    }
}

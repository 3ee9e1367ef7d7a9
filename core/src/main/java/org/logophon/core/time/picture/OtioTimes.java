package org.logophon.core.time.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.programme.SampleCount;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** OpenTimelineIO JSON: markers of the timeline are the slots, or else the clips of its first picture track. */
final class OtioTimes {

    private static final int DEEPEST = 64;
    private static final double LONGEST_SECONDS = 48 * 3_600.0;
    private static final String MARKERS = "markers";

    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxNumberLength(40)
                            .build())
                    .build())
            .build();

    private OtioTimes() {}

    static PictureTimes read(String text) {
        try {
            JsonNode root = JSON.readTree(text);
            if (!schema(root).startsWith("Timeline.")) {
                throw new InvalidInput("This JSON file is no timeline: it begins with \"" + cut(schema(root))
                        + "\" instead of OpenTimelineIO's Timeline.");
            }
            double start = seconds(root.path("global_start_time"), 0);
            List<PictureSlot> markers = new ArrayList<>();
            markers(root.path("tracks").path(MARKERS), start, markers);
            List<PictureSlot> clips = new ArrayList<>();
            for (JsonNode track : root.path("tracks").path("children")) {
                walk(track, start, clips, markers);
                boolean picture = "Video".equals(track.path("kind").asString(""));
                if (picture && !clips.isEmpty()) {
                    break;
                }
            }
            List<PictureSlot> slots = markers.isEmpty() ? clips : markers;
            slots.sort(Comparator.comparing(PictureSlot::in));
            return new PictureTimes(
                    "an OpenTimelineIO timeline", slots, List.of(markers.isEmpty() ? "its clips" : "its markers"));
        } catch (JacksonException broken) {
            throw new InvalidInput(
                    "This timeline can't be read: it is no whole JSON, or nested deeper than any timeline is.");
        }
    }

    private static void walk(JsonNode track, double from, List<PictureSlot> clips, List<PictureSlot> markers) {
        markers(track.path(MARKERS), from, markers);
        double at = from;
        for (JsonNode child : track.path("children")) {
            double length = seconds(child.path("source_range").path("duration"), 0);
            if (length == 0) {
                length = seconds(
                        child.path("media_reference").path("available_range").path("duration"), 0);
            }
            String kind = schema(child);
            if (kind.startsWith("Transition.")) {
                continue;
            }
            if (kind.startsWith("Clip.") && length > 0) {
                double source = seconds(child.path("source_range").path("start_time"), 0);
                clips.add(new PictureSlot("", cut(child.path("name").asString("")), samples(at), samples(at + length)));
                markers(child.path(MARKERS), at - source, markers);
            }
            at += length;
        }
    }

    private static void markers(JsonNode found, double from, List<PictureSlot> markers) {
        for (JsonNode marker : found) {
            double in = from + seconds(marker.path("marked_range").path("start_time"), 0);
            double length = seconds(marker.path("marked_range").path("duration"), 0);
            if (length > 0) {
                markers.add(
                        new PictureSlot("", cut(marker.path("name").asString("")), samples(in), samples(in + length)));
            }
        }
    }

    private static String schema(JsonNode node) {
        return node.path("OTIO_SCHEMA").asString("");
    }

    /** A rational time. */
    private static double seconds(JsonNode time, double otherwise) {
        if (!time.isObject()) {
            return otherwise;
        }
        double rate = time.path("rate").asDouble(0);
        double seconds = time.path("value").asDouble(0) / rate;
        if (!(rate > 0) || !Double.isFinite(seconds) || Math.abs(seconds) > LONGEST_SECONDS) {
            throw new InvalidInput("A time of this timeline has no rate, or is longer than two days. Write it anew.");
        }
        return seconds;
    }

    private static SampleCount samples(double seconds) {
        return SampleCount.nearest(seconds);
    }

    private static String cut(String name) {
        return name.length() <= 200 ? name : name.substring(0, 200);
    }
}

package org.logophon.core.time.timeline;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.logophon.core.time.timecode.FrameRate;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * OpenTimelineIO JSON (schemas Timeline.1, Stack.1, Track.1, Clip.2, Gap.1, Marker.2, as their published specification
 * has them): a track a role, or more where its clips overlap; gaps between clips; markers on the whole.
 */
public final class Otio {

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    private static final String PLAIN = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-._~/";

    private Otio() {}

    /**
     * A clip on a track.
     *
     * @param in     first frame from the programme's start
     * @param frames that it lasts
     * @param file   that it lies in, beside the timeline
     */
    public record TimelineClip(String name, String file, String role, long in, long frames) {}

    /** A place with a name. @param frame from the programme's start */
    public record TimelineMarker(String name, String note, long frame) {}

    /** @param start timecode of the first frame, as a frame number */
    public static String of(
            String title, FrameRate rate, long start, List<TimelineClip> clips, List<TimelineMarker> markers) {
        Map<String, Object> stack = object("Stack.1", "tracks");
        stack.put(
                "markers", markers.stream().map(marker -> marker(marker, rate)).toList());
        stack.put("children", tracks(clips, rate));
        Map<String, Object> timeline = object("Timeline.1", title);
        timeline.put("global_start_time", time(start, rate));
        timeline.put("tracks", stack);
        return JSON.writeValueAsString(timeline);
    }

    private static List<Map<String, Object>> tracks(List<TimelineClip> clips, FrameRate rate) {
        Map<String, List<TimelineClip>> roles = clips.stream()
                .collect(Collectors.groupingBy(TimelineClip::role, LinkedHashMap::new, Collectors.toList()));
        List<Map<String, Object>> tracks = new ArrayList<>();
        roles.forEach((role, own) -> {
            List<List<TimelineClip>> apart = apart(own);
            for (int i = 0; i < apart.size(); i++) {
                tracks.add(track(i == 0 ? role : role + " " + (i + 1), apart.get(i), rate));
            }
        });
        return tracks;
    }

    /** Clips that overlap lie on tracks of their own. */
    private static List<List<TimelineClip>> apart(List<TimelineClip> clips) {
        List<List<TimelineClip>> tracks = new ArrayList<>();
        for (TimelineClip clip : clips) {
            tracks.stream()
                    .filter(track -> {
                        TimelineClip last = track.get(track.size() - 1);
                        return last.in() + last.frames() <= clip.in();
                    })
                    .findFirst()
                    .ifPresentOrElse(track -> track.add(clip), () -> tracks.add(new ArrayList<>(List.of(clip))));
        }
        return tracks;
    }

    private static Map<String, Object> track(String name, List<TimelineClip> clips, FrameRate rate) {
        List<Map<String, Object>> children = new ArrayList<>();
        long at = 0;
        for (TimelineClip clip : clips) {
            if (clip.in() > at) {
                Map<String, Object> gap = object("Gap.1", "");
                gap.put("source_range", range(0, clip.in() - at, rate));
                children.add(gap);
            }
            children.add(clip(clip, rate));
            at = clip.in() + clip.frames();
        }
        Map<String, Object> track = object("Track.1", name);
        track.put("kind", "Audio");
        track.put("children", children);
        return track;
    }

    private static Map<String, Object> clip(TimelineClip clip, FrameRate rate) {
        Map<String, Object> media = object("ExternalReference.1", clip.name());
        media.put("target_url", url(clip.file()));
        media.put("available_range", range(0, clip.frames(), rate));
        Map<String, Object> made = object("Clip.2", clip.name());
        made.put("source_range", range(0, clip.frames(), rate));
        made.put("media_references", Map.of("DEFAULT_MEDIA", media));
        made.put("active_media_reference_key", "DEFAULT_MEDIA");
        return made;
    }

    /** A relative reference (RFC 3986, 2.3): what isn't unreserved is encoded, slashes part folders. */
    private static String url(String file) {
        StringBuilder url = new StringBuilder();
        for (byte one : file.getBytes(StandardCharsets.UTF_8)) {
            if (PLAIN.indexOf(one) >= 0) {
                url.append((char) one);
            } else {
                url.append('%').append(HexFormat.of().withUpperCase().toHexDigits(one));
            }
        }
        return url.toString();
    }

    private static Map<String, Object> marker(TimelineMarker marker, FrameRate rate) {
        Map<String, Object> made = object("Marker.2", marker.name());
        made.put("marked_range", range(marker.frame(), 0, rate));
        made.put("comment", marker.note());
        return made;
    }

    private static Map<String, Object> range(long start, long frames, FrameRate rate) {
        Map<String, Object> range = new LinkedHashMap<>();
        range.put("OTIO_SCHEMA", "TimeRange.1");
        range.put("start_time", time(start, rate));
        range.put("duration", time(frames, rate));
        return range;
    }

    /** A whole number of frames: the rate is the nearest number to its fraction, as the format has no other. */
    private static Map<String, Object> time(long frames, FrameRate rate) {
        Map<String, Object> time = new LinkedHashMap<>();
        time.put("OTIO_SCHEMA", "RationalTime.1");
        time.put("value", (double) frames);
        time.put("rate", rate.frames() / (double) rate.seconds());
        return time;
    }

    private static Map<String, Object> object(String schema, String name) {
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("OTIO_SCHEMA", schema);
        object.put("name", name);
        object.put("metadata", Map.of());
        return object;
    }
}

package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timeline.Edl;
import org.logophon.core.time.timeline.Otio;
import org.logophon.core.time.timeline.Otio.TimelineClip;

/** The programme as timeline files: edit decision lists, and OpenTimelineIO. */
public final class TimelinePart implements Part {

    private static final String TRACK = "Sounds and beds";

    @Override
    public String id() {
        return "timeline";
    }

    @Override
    public String label() {
        return "Timeline files";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        List<PartFile> files = new ArrayList<>();
        int lists = Math.max(1, (delivered.programme().clips().size() + Edl.MOST_EVENTS - 1) / Edl.MOST_EVENTS);
        for (int i = 0; i < lists; i++) {
            int at = i;
            files.add(PartFile.text(
                    i == 0 ? "timeline.edl" : "timeline-" + (i + 1) + ".edl",
                    () -> Edl.of(delivered.title(), events(delivered), delivered.rate())
                            .get(at)));
        }
        boolean bed = wishes.bedFile() && sounds.layer() != null;
        if (bed) {
            // a list of its own: in the others every audio track may be a voice's
            files.add(PartFile.text(
                    "bed.edl",
                    () -> Edl.of(delivered.title(), List.of(bedEvent(delivered, wishes, sounds)), delivered.rate())
                            .get(0)));
        }
        files.add(PartFile.text(
                "timeline.otio", () -> otio(delivered, bed ? bedClip(delivered, wishes, sounds) : null)));
        return files;
    }

    /** What begins before the one before it ends lies on the second track. */
    private static List<Edl.Event> events(Delivered delivered) {
        List<Edl.Event> events = new ArrayList<>();
        long first = Long.MIN_VALUE;
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            long in = delivered.frame(placed.start());
            long frames = frames(delivered, placed);
            boolean free = in >= first;
            events.add(new Edl.Event(free ? "A" : "A2", frames, delivered.start() + in, name(placed.cue())));
            first = free ? in + frames : first;
        }
        return events;
    }

    private static long frames(Delivered delivered, PlacedClip<DeliveredClip> placed) {
        return Math.max(1, delivered.frameFrom(placed.end()) - delivered.frame(placed.start()));
    }

    /** A clip's file without the folders that it lies in. */
    private static String name(DeliveredClip clip) {
        return clip.file().substring(clip.file().lastIndexOf('/') + 1);
    }

    private static Edl.Event bedEvent(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        TimelineClip bed = bedClip(delivered, wishes, sounds);
        return new Edl.Event("A", bed.frames(), delivered.start(), bed.file());
    }

    /** On a track of its own, from the programme's start. */
    private static TimelineClip bedClip(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        String file = BedPart.file(wishes);
        long frames =
                Math.max(1, delivered.frameFrom(new SampleCount(sounds.layer().length())));
        return new TimelineClip(file, file, TRACK, 0, frames);
    }

    /** @param bed null for none */
    private static String otio(Delivered delivered, TimelineClip bed) {
        List<TimelineClip> clips = new ArrayList<>();
        delivered
                .programme()
                .clips()
                .forEach(placed -> clips.add(new TimelineClip(
                        name(placed.cue()),
                        placed.cue().file(),
                        placed.cue().role(),
                        delivered.frame(placed.start()),
                        frames(delivered, placed))));
        if (bed != null) {
            clips.add(bed);
        }
        List<Otio.TimelineMarker> markers = Marker.of(delivered).stream()
                .map(marker -> new Otio.TimelineMarker(marker.name(), marker.note(), delivered.frame(marker.at())))
                .toList();
        return Otio.of(delivered.title(), delivered.rate(), delivered.start(), clips, markers);
    }
}

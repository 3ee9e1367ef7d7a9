package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.Delivered.Note;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;

/** A place with a name on the timeline. */
record Marker(SampleCount at, String name, String note) {

    /** Where scenes begin, and open notes; in the order of time. */
    static List<Marker> of(Delivered delivered) {
        List<Marker> markers = new ArrayList<>();
        String scene = "";
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            DeliveredClip clip = placed.cue();
            if (!clip.scene().equals(scene)) {
                scene = clip.scene();
                markers.add(new Marker(placed.start(), scene, ""));
            }
            for (Note note : delivered.notes()) {
                if (note.number().equals(clip.number())) {
                    markers.add(new Marker(
                            placed.start().plus(SampleCount.nearest(note.seconds())),
                            clip.number() + " " + note.word(),
                            note.remark()));
                }
            }
        }
        markers.sort(Comparator.comparing(Marker::at));
        return markers;
    }
}

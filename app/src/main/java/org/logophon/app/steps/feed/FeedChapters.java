package org.logophon.app.steps.feed;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.services.deliveries.DeliveredCue;

/** Chapters of a programme as the open JSON chapters format 1.2.0 has them: its scenes. */
record FeedChapters(String version, List<Chapter> chapters) {

    /** @param startTime seconds into the file */
    record Chapter(double startTime, String title) {}

    /** @param before seconds of the file before the programme begins: a spoken title */
    static FeedChapters of(List<DeliveredCue> cues, double before) {
        List<Chapter> chapters = new ArrayList<>();
        String scene = "";
        for (DeliveredCue cue : cues) {
            if (!cue.scene().isEmpty() && !cue.scene().equals(scene)) {
                double start = chapters.isEmpty()
                        ? 0
                        : Math.round((before + cue.start().seconds()) * 1_000) / 1_000.0;
                chapters.add(new Chapter(start, cue.scene()));
            }
            scene = cue.scene();
        }
        return new FeedChapters("1.2.0", chapters);
    }
}

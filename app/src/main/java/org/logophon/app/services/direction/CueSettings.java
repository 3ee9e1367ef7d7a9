package org.logophon.app.services.direction;

import java.util.UUID;
import org.logophon.app.services.direction.ScoreEdits.Setting;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.MarkRepository;
import org.springframework.stereotype.Component;

/** All that a cue says of how it is spoken, beside its marks: what undo gives back. */
@Component
public class CueSettings {

    private final CueRepository cues;
    private final MarkRepository marks;

    CueSettings(CueRepository cues, MarkRepository marks) {
        this.cues = cues;
        this.marks = marks;
    }

    public Setting of(Cue cue) {
        return new Setting(cue.direction(), cue.taken(), marks.seed(cue.id()));
    }

    public void set(UUID cue, Setting setting) {
        cues.direct(cue, setting.direction(), setting.taken());
        marks.setSeed(cue, setting.seed());
    }
}

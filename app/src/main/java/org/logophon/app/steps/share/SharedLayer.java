package org.logophon.app.steps.share;

import org.logophon.app.services.rendering.ProjectLayer;
import org.logophon.app.services.rendering.TakeSound;
import org.logophon.app.steps.share.SharedProgramme.SharedCue;
import org.logophon.core.signal.wav.WavFile;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.springframework.stereotype.Component;

/** What lies under a programme that is heard at a link. */
@Component
class SharedLayer {

    private final ProjectLayer layers;
    private final TakeSound takes;

    SharedLayer(ProjectLayer layers, TakeSound takes) {
        this.layers = layers;
        this.takes = takes;
    }

    String stamp(SharedProgramme programme) {
        return voices(programme).stamp(programme.laid());
    }

    SampleCount length(SharedProgramme programme) {
        return programme.laid().length(SampleCount.nearest(programme.seconds()));
    }

    WavFile wav(SharedProgramme programme) {
        return layers.wav(programme.laid(), voices(programme));
    }

    private ProjectLayer.Voices<SharedCue> voices(SharedProgramme programme) {
        return new ProjectLayer.Voices<>(
                new Programme<>(programme.cues().stream()
                        .map(cue -> new PlacedClip<>(
                                cue,
                                SampleCount.nearest(cue.start()),
                                SampleCount.nearest(cue.seconds()),
                                SampleCount.ZERO))
                        .toList()),
                SampleCount.nearest(programme.seconds()),
                programme.targetLufs(),
                cue -> cue.take().id(),
                SharedCue::offsetDb,
                cue -> takes.clip(cue.take().sound(), programme.targetLufs(), cue.offsetDb())
                        .sound());
    }
}

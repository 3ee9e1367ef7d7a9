package org.logophon.app.services.deliveries;

import java.util.Map;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.take.Take;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.SpokenTitle;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.finish.PaddedSource;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Component;

/** Sound for the parts of a delivery, with its spoken title where one was wished for. */
@Component
class DeliverySounds {

    /** Where only names are asked for. */
    static ProjectSounds names(LaidOut laid, Delivered delivered) {
        SoundSource layer = new PaddedSource(
                SoundSource.of(new Sound(new float[0], SampleCount.RATE)),
                delivered.programme().length().samples(),
                0);
        return new ProjectSounds(Map.of(), Map.of(), null, laid.empty() ? null : layer, null, null);
    }

    private final Narrator narrator;
    private final ClipFinisher finisher;
    private final Coder coder;
    private final Resampler resampler;

    DeliverySounds(Narrator narrator, ClipFinisher finisher, Coder coder, Resampler resampler) {
        this.narrator = narrator;
        this.finisher = finisher;
        this.coder = coder;
        this.resampler = resampler;
    }

    ProjectSounds of(
            ProjectView view,
            Delivered delivered,
            Delivery delivery,
            Map<String, SoundSource> clips,
            Map<String, Take> takes,
            SoundSource layer) {
        SoundSource before = delivery.choice().title() ? title(view, delivered, delivery.targetLufs()) : null;
        return new ProjectSounds(clips, takes, before, layer, coder, resampler);
    }

    /** By the voice of the first cue, if it is one that costs nothing. */
    private SoundSource title(ProjectView view, Delivered delivered, Double lufs) {
        Voice voice = view.cues().stream()
                .filter(cue -> cue.voice() != null && cue.voice().terms().free())
                .map(cue -> cue.voice())
                .findFirst()
                .orElse(null);
        if (voice == null || delivered.programme().clips().isEmpty()) {
            return null;
        }
        String said = SpokenTitle.of(delivered.title(), delivered.programme().length(), voice.language());
        Recipe recipe = Recipe.of(said, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
        return finisher.finish(narrator.render(recipe), FinishSettings.to(lufs), 0)
                .sound();
    }
}

package org.logophon.cli.narrate;

import java.util.Optional;
import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.narrate.MadeClip.Sounding;
import org.logophon.cli.recording.RecordedCues;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.time.place.TimedTake;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechFailed;

/** One cue of a script to its finished clip: rendered, or cut out of a recording of it. */
final class CueMaker {

    private final Narrator narrator;
    private final ClipFinisher finisher;
    private final NarrationPlan plan;
    private final RecordedCues recorded;
    private final KeptSpeech kept;

    /** @param recorded cues that a person says; null for none. @param kept what was spoken before */
    CueMaker(Narrator narrator, ClipFinisher finisher, NarrationPlan plan, RecordedCues recorded, KeptSpeech kept) {
        this.narrator = narrator;
        this.finisher = finisher;
        this.plan = plan;
        this.recorded = recorded;
        this.kept = kept;
    }

    /**
     * The clip of a cue.
     *
     * @param at     index of the cue
     * @param fitted how it is said to fit its slot; null for as the plan says
     * @throws SpeechFailed with a sentence, when nothing can be said of it or the engine couldn't
     */
    Sounding make(ScriptFile file, int at, String fileName, Recipe fitted) {
        ScriptCue cue = file.script().cues().get(at);
        String number = file.numbers().get(at);
        String problem = ScriptCue.problem(cue.text());
        if (problem != null) {
            throw new SpeechFailed(problem);
        }
        Recipe recipe = fitted == null ? plan.recipe(file, at, narrator::engineVersion) : fitted;
        Voice voice = recipe.voice();
        Speech speech = (recorded == null
                        ? Optional.<Speech>empty()
                        : recorded.of(number, cue.text(), recipe.spokenText(), voice.language()))
                .orElseGet(() -> kept.of(recipe, asked -> narrator.render(asked).kept()));
        Clip clip = finisher.finish(speech, plan.finish(), plan.direction().loudnessDb());
        DeliveredClip delivered = new DeliveredClip(
                number,
                fileName,
                cue.scene(),
                cue.role(),
                plan.voiceOf(file, at).name(),
                cue.text(),
                clip.words(),
                clip.loudness(),
                clip.truePeakDbtp(),
                "",
                plan.score(file, at),
                speech.phones(),
                null);
        MadeClip made = new MadeClip(
                at,
                delivered,
                SampleCount.converted(clip.sound().length(), clip.sound().rate()),
                speech.measurement(),
                recipe.paceFactor(),
                voice.whispers() ? plan.direction().semitones() : recipe.semitones(),
                recipe,
                TimedTake.of(speech.sound(), speech.words()));
        return new Sounding(made, clip);
    }

    /** Words that stand in no cue, in the voice of the narration: a spoken title. */
    SoundSource say(String words) {
        Recipe recipe = Recipe.of(words, plan.voice(), narrator.engineVersion(plan.voice()), plan.direction());
        return finisher.finish(narrator.render(recipe).kept(), plan.finish(), 0).sound();
    }
}

package org.logophon.cli.recording;

import java.util.ArrayList;
import java.util.List;
import org.logophon.cli.input.ScriptFile;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.align.LongCut;
import org.logophon.core.voice.recording.CueCutter;
import org.logophon.core.voice.recording.HeldRecording;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** A recording held against a script: cut into its cues where there are several, each held against its words. */
final class HeldScript {

    /** @param fromSeconds where its sound begins in the recording */
    record HeldCue(int cue, String text, double fromSeconds, Sound sound, HeldRecording held) {}

    private HeldScript() {}

    /** @return in the order of time; cues that aren't said are left out, cues said several times are there as often */
    static List<HeldCue> of(RecordingFile recording, ScriptFile script, String language, WorkerPool pool) {
        List<String> texts =
                script.script().cues().stream().map(cue -> cue.text()).toList();
        Engines engines = new Engines(pool);
        RecordingAligner holder = new RecordingAligner(engines, NativeVoices::saying);
        List<LongCut.Said> said = texts.size() == 1
                ? List.of(new LongCut.Said(
                        0,
                        0,
                        recording.sound().length() / (double) recording.sound().rate()))
                : new CueCutter(engines, NativeVoices::quick, new WorkerResampler(pool))
                        .cut(recording.sound(), texts, language);
        List<HeldCue> held = new ArrayList<>();
        for (LongCut.Said one : said) {
            Sound sound = recording.sound().stretch(one.fromSeconds(), one.toSeconds());
            String text = texts.get(one.cue());
            held.add(new HeldCue(
                    one.cue(),
                    text,
                    one.fromSeconds(),
                    sound,
                    holder.hold(sound, text, SpokenText.of(text, SaidByRule.of(text, language), language), language)));
        }
        return held;
    }
}

package org.logophon.speech;

import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.worker.Frames;

/** Flite in worker processes. It changes the pace of a whole text; pitch is left to the signal. */
final class FliteEngine implements SpeechEngine {

    /** Debian's package holds this one version for the life of a release; the library has no call that tells it. */
    private static final String VERSION = "flite 2.2";

    private static final long DEADLINE_MILLIS = 30_000;
    private static final long DEADLINE_MILLIS_PER_CHARACTER = 20;

    private final WorkerPool pool;

    FliteEngine(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public String version(Voice voice) {
        return VERSION;
    }

    @Override
    public double paceToAsk(Voice voice, double paceFactor) {
        return PaceShare.ofOneThatDragsWell(paceFactor);
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        NarrowText given = NarrowText.ascii(request.text());
        float stretch = (float) Math.max(0.3, Math.min(3, 1 / request.paceFactor()));
        return pool.ask(
                out -> {
                    out.writeByte(Frames.SPEAK_FLITE);
                    Frames.writeText(out, request.voice().engineVoice());
                    Frames.writeText(out, given.text());
                    out.writeFloat(stretch);
                },
                in -> SpokenFrames.read(in, given::spokenAt, PhonemeNames::arpabet),
                DEADLINE_MILLIS + DEADLINE_MILLIS_PER_CHARACTER * given.text().length());
    }
}
